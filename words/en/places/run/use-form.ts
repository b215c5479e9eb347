import { place } from '#words/place';

export const useForm = place('run/use-form', {
  sowingCuttingsOrPots: 'Sowing, cuttings or pots',
  cellsBlocksOrPotsOf: 'Cells, blocks or pots of',
  emptyOnesFrom: 'Empty ones from',
  enter: 'Enter',
  followThem: 'Follow them under Plants',
});
