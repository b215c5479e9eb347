import { type Filling, line, place } from '#words/place';

export const testForm = place('run/test-form', {
  take: 'Take ',
  fromTheInstrument: ' from the instrument',
  enter: (name: Filling) => line`Enter ${name}`,
  mustBe: (argument: Filling, allowed: Filling) => line`${argument} must be ${allowed}`,
  noReading: 'no reading',
  take2: (value: Filling, value2: Filling) => line`take ${value} ${value2}`,
});
