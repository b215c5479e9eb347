import { type Filling, line, place } from '#words/place';

export const making = place('data/making', {
  outOfReachIsKept: (called: Filling) =>
    line`Out of reach: ${called} is stored on this device and sent once the nursery answers.`,
});
