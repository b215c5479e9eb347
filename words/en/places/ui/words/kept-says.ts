import { type Filling, line, place } from '#words/place';

export const keptSays = place('ui/words/kept-says', {
  unfed: 'no liquid feed',
  fed: (strength: Filling, day: Filling) => line`${strength} of nitrogen from day ${day}`,
  kept: (house: Filling, warmth: Filling, feed: Filling) => line`${house}, ${warmth}, ${feed}`,
});
