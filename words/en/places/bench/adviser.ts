import { type Filling, line, place } from '#words/place';

export const adviser = place('bench/adviser', {
  done: (what: Filling) => line`Done. ${what}`,
  quiet: 'Not said again of this recipe. Save it to keep that.',
});
