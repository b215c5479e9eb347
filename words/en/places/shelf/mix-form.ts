import { type Filling, line, place } from '#words/place';

export const mixForm = place('shelf/mix-form', {
  aMixOfYoursNew:
    'A mix of yours, new or standing in a tub for weeks, as one part of another. Its peat and its feed come along; feed that was set free by now is in its water.',
  mixedSoManyWeeksAgo: 'Mixed so many weeks ago',
  stoodAt: 'Stood at',
  thatCannotBe: (why: Filling) => line`That cannot be: ${why}.`,
  yoursOfTheMix: (name: Filling) => line`yours, of the mix ${name}`,
});
