import { type Filling, line, place } from '#words/place';

export const numberText = place('ui/fields/number-text', {
  aWholeNumber: 'a whole number',
  aNumber: 'a number',
  mustBeFromTo: (value: Filling, kind: Filling, shownEnd: Filling, shownEnd2: Filling) =>
    line`${value}: must be ${kind} from ${shownEnd} to ${shownEnd2}`,
});
