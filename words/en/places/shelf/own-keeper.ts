import { type Filling, line, place } from '#words/place';

export const ownKeeper = place('shelf/own-keeper', {
  standsOnYourShelf: (name: Filling) => line`${name} stands on your shelf.`,
  notKept: (message: Filling) => line`Not kept: ${message}`,
});
