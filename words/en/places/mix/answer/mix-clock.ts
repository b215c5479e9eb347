import { type Filling, line, place } from '#words/place';

export const mixClock = place('mix/answer/mix-clock', {
  halfOfItsWater: 'Half of its water gone',
  atFirstAndUnderLeaf: 'at first, and under the leaves of the last day',
  nitrogen: 'Nitrogen',
  keptLike: 'Kept like this',
  change: 'Change',
  firstLast: (first: Filling, last: Filling) => line`${first}, then ${last}`,
  noPlant: 'No plant stands in it: nothing takes its nitrogen.',
  lasts: (weeks: Filling) => line`Without liquid feed it lasts all ${weeks} weeks.`,
  feedFrom: (day: Filling) => line`Without liquid feed it runs out about day ${day}: feed by then.`,
});
