import { type Filling, line, place } from '#words/place';

export const shelfPanel = place('finder/shelf-panel', {
  onTheShelf: 'On the shelf',
  ofSoMany: (searched: Filling, here: Filling) =>
    line`${searched} of ${here} are looked at at once. Choose which.`,
  lookAtIt: 'look at it',
  priceAndLimits: 'Price and limits',
  onlyWhatYouHave: 'Only what you have',
  addAMaterialToThe: 'Add a material to the shelf',
  partsAtLeast: 'Parts at least',
  partsAtMost: 'Parts at most',
});
