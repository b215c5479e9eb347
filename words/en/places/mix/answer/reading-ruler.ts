import { type Filling, line, place } from '#words/place';

export const readingRuler = place('mix/answer/reading-ruler', {
  whereFrom: ': where from?',
  byYourOwnTest: 'by your own test',
  yourWaters: 'your water’s',
  tooLow: '▾ too low',
  tooHigh: '▴ too high',
  likely: (places: Filling, places2: Filling) => line`likely ${places}–${places2}`,
});
