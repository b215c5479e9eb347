import { type Filling, line, place } from '#words/place';

export const mixForm = place('shelf/mix-form', {
  aMixOfYoursNew:
    'A mix of yours, new or from a tub, as one part of another. Its peat and its feed come along. What its feed has released by now is in its water.',
  weeksSinceItWasMixed: 'Weeks since it was mixed',
  stoodAt: 'Stood at',
  notPossible: (why: Filling) => line`Not possible: ${why}.`,
  yoursOfTheMix: (name: Filling) => line`yours, of the mix ${name}`,
});
