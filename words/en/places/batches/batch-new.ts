import { type Filling, line, place } from '#words/place';

export const batchNew = place('batches/batch-new', {
  newBatch: 'New batch',
  madeOn: 'Made on',
  notForTheSeason: 'Not for the season',
  makeItAnyway: 'Make it anyway',
  theCardSaysSo: 'The card and the batch will say so.',
  saveThisBatch: 'Save this batch',
  backToTheMix: 'Back to the mix',
  thisRecipeCannotBeMade: 'This recipe cannot be made as it is. Go back to the mix to see why.',
  aNameMustHave1: (count: Filling) => line`A name must have 1 to 80 letters, this one has ${count}`,
  oneSowingWaits: 'one sowing waits',
  sowingsWait: (count: Filling) => line`${count} sowings wait`,
  forTheSeasonForIt: (sowingsWait: Filling) => line`For the season: ${sowingsWait} for it.`,
  batch: (trim: Filling) => line`batch ${trim}`,
  batchIsSaved: (id: Filling) => line`Batch ${id} is saved.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
