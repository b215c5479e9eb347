import { type Filling, line, many, place } from '#words/place';

export const tubSays = place('ui/words/tub-says', {
  notMixedYet: (done: Filling, of: Filling) => line`Not mixed yet: ${done} of ${of} steps done.`,
  notMixed: 'not mixed yet',
  rests: (day: Filling) => line`It rests until ${day}: nothing is sown in it before.`,
  resting: (day: Filling) => line`rests until ${day}`,
  toTest: 'Its pH is still to be read.',
  test: 'pH to read',
  tooHigh: (ph: Filling) => line`pH ${ph} was read, above its window. Put it right before it is used.`,
  high: (ph: Filling) => line`pH ${ph}, too high`,
  over: (volume: Filling) => line`${volume} more was filled than it held. Count what is left.`,
  count: 'count it',
  left: (volume: Filling) => line`${volume} left`,
  fills: (count: number, noun: string) => line`fills ${count} ${many(count, noun, `${noun}s`)}`,
  empty: 'empty',
  sow: 'Sow from this tub',
  strike: 'Strike in this mix',
  pot: 'Pot from this tub',
});
