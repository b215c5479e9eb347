import { type Filling, line, place } from '#words/place';

export const inTubs = place('mix/in-tubs', {
  leftIn: 'of it is left in',
  fills: (count: Filling, vessel: Filling) => line`: fills ${count} of ${vessel}`,
});
