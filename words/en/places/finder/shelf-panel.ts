import { type Filling, line, place } from '#words/place';

export const shelfPanel = place('finder/shelf-panel', {
  onTheShelf: 'On the shelf',
  atMostAreSearchedTake: (most: Filling) => line`At most ${most} are searched: remove one to add another.`,
  priceAndLimits: 'Price and limits',
  onlyWhatYouHave: 'Only what you have',
  addAMaterialToThe: 'Add a material to the shelf',
  partsAtLeast: 'Parts at least',
  partsAtMost: 'Parts at most',
});
