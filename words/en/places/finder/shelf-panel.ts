import { type Filling, line, place } from '#words/place';

export const shelfPanel = place('finder/shelf-panel', {
  onTheShelf: 'On the shelf',
  atMostAreSearchedTake: (most: Filling) =>
    line`${most} at most are searched: take one off to put another on.`,
  priceAndLimits: 'Price and limits',
  onlyWhatYouHave: 'Only what you have',
  putAnotherOnTheShelf: 'Put another on the shelf',
  partsAtLeast: 'Parts at least',
  partsAtMost: 'Parts at most',
});
