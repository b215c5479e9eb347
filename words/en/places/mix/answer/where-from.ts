import { type Filling, line, place } from '#words/place';

export const whereFrom = place('mix/answer/where-from', {
  whatGoesIn: 'What goes in',
  whatMovesItMost: 'What moves it most:',
  source: (says: Filling, says2: Filling) => line`Source: ${says}. ${says2}`,
});
