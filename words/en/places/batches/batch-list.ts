import { type Filling, line, place } from '#words/place';

export const batchList = place('batches/batch-list', {
  theBatches: 'the batches',
  noBatchIsKeptYet: 'No batch is kept yet. Set a recipe on the mix, then press “Make this batch”.',
  toTheMix: 'To the mix',
  olderBatches: 'Older batches',
  archived: (count: Filling) => line`Archived (${count})`,
  restore: 'Restore',
  olderOnesInTheArchive: 'Older ones in the archive',
  isBack: (name: Filling) => line`“${name}” is back.`,
  notBroughtBack: (message: Filling) => line`Not brought back: ${message}`,
});
