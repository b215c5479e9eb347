import { type Filling, line, place } from '#words/place';

export const judgedAlone = place('shelf/judged-alone', {
  byItselfFor: 'By itself, for',
  byItself: 'By itself',
  shouldBe: (verdict: Filling, window: Filling) => line`${verdict}: should be ${window}`,
  inLabel: 'in',
});
