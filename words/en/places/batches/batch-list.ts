import { type Filling, line, place } from '#words/place';

export const batchList = place('batches/batch-list', {
  theBatches: 'the batches',
  find: 'Find by name',
  madeIn: 'Made in',
  anyMonth: 'any month',
  which: 'Which',
  all: 'all',
  holdsSome: 'those that hold some',
  toTest: 'pH to read',
  resting: 'still resting',
  notMixed: 'not mixed yet',
  of: 'of',
  noneLikeThat: 'None like that.',
  noBatchesYetOpenA: 'No batches yet. Open a recipe in Mix, then press “Make this batch”.',
  toTheMix: 'To the mix',
  olderBatches: 'Older batches',
  archived: (count: Filling) => line`Archived (${count})`,
  restore: 'Restore',
  olderBatchesInTheArchive: 'Older batches in the archive',
  isBack: (name: Filling) => line`“${name}” is back.`,
  notRestored: (message: Filling) => line`Not restored: ${message}`,
});
