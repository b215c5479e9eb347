import { type Filling, line, place } from '#words/place';

export const testForm = place('run/test-form', {
  take: 'Take ',
  fromTheInstrument: ' from the instrument',
  enter: (name: Filling) => line`Enter ${name}`,
  mustBe: (argument: Filling, allowed: Filling) => line`${argument} must be ${allowed}`,
  noReading: 'no reading',
  takeReading: (reading: Filling) => line`take ${reading}`,
});
