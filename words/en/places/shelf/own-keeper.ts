import { type Filling, line, place } from '#words/place';

export const ownKeeper = place('shelf/own-keeper', {
  isOnYourShelf: (name: Filling) => line`${name} is on your shelf.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
