import { benchTest, number, tells } from '#core/batch/tests/bench-test';
import { coolingFrom, hoursUntil } from '#core/batch/hot-water';

/** Not sown above this: common practice, no source. */
export const COOL_ENOUGH_C = 30;

export const coolingTest = benchTest({
  fields: [
    number('startC', '°C', 30, 100, 'thermometer'),
    number('laterC', '°C', 5, 100, 'thermometer'),
    number('minutes', 'min', 1, 1440),
    number('ambientC', '°C', -10, 40),
  ],
  compute: ({ startC, laterC, minutes, ambientC }) => {
    const hours = minutes / 60;
    const left = hoursUntil(coolingFrom(startC, laterC, hours, ambientC), COOL_ENOUGH_C) - hours;
    if (!Number.isFinite(left))
      // It never is: the warmth around it is all that there is to tell.
      return tells(ambientC, '°C');
    return tells(Math.max(0, left), 'h');
  },
});
