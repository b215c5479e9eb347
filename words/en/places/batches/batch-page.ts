import { type Filling, line, place } from '#words/place';

export const batchPage = place('batches/batch-page', {
  batch: (id: Filling) => line`Batch ${id}`,
  makeItStepByStep: 'Make it, step by step',
  printLabels: 'Print labels',
  printTheCard: 'Print the card',
  mixTheSameAgain: 'Mix the same again',
  openInMix: 'Open in Mix',
  notMade: (message: Filling) => line`Not made: ${message}`,
  hasAStop: 'It has a stop: look at it in Mix before it is made again.',
  leftOf: 'left of',
  allBatches: 'All batches',
  theCard: 'the card',
  isArchived: (name: Filling) => line`“${name}” is archived.`,
  notArchived: (message: Filling) => line`Not archived: ${message}`,
});
