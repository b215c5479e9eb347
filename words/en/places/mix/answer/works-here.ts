import { type Filling, line, place } from '#words/place';

export const worksHere = place('mix/answer/works-here', {
  iKnow: 'I know, it works here',
  whyItWorks: 'Why it works here',
  doNotSayItAgain: 'Do not say it again',
  sayWhy: 'Say why: it stands with the recipe.',
  tooLong: (most: Filling, given: Filling) => line`At most ${most} letters, not ${given}.`,
});
