import { type Filling, line, place } from '#words/place';

export const inSeason = place('mix/in-season', {
  follows: (litres: Filling, day: Filling, changes: Filling) =>
    line`The season still mixes ${litres} of it, first ${day}. Saved like this, it takes ${changes}.`,
  change: (name: Filling, from: Filling, to: Filling) => line`${name} ${from} → ${to}`,
});
