import { type Filling, line, place } from '#words/place';

export const plantCurves = place('plants/plant-curves', {
  asATable: 'As a table',
  day: 'Day',
  stand: 'Stand',
  height: 'Height',
  rightIsTo: (low: Filling, high: Filling) => line`; right is ${low} to ${high}`,
  fromOnDayToOn: (
    name: Filling,
    fixed: Filling,
    value: Filling,
    fixed2: Filling,
    value2: Filling,
    between: Filling,
  ) => line`${name} from ${fixed} on day ${value} to ${fixed2} on day ${value2}${between}.`,
});
