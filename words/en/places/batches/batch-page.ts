import { type Filling, line, place } from '#words/place';

export const batchPage = place('batches/batch-page', {
  batch: (id: Filling) => line`Batch ${id}`,
  makeItStepByStep: 'Make it, step by step',
  printTheCard: 'Print the card',
  mixItAgain: 'Mix it again',
  allBatches: 'All batches',
  theCard: 'the card',
  isArchived: (name: Filling) => line`“${name}” is archived.`,
  notArchived: (message: Filling) => line`Not archived: ${message}`,
});
