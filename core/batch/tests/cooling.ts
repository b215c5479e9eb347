import { benchTest, number, tells } from '#core/batch/tests/bench-test';
import { coolingFrom, hoursUntil } from '#core/batch/hot-water';

/** Not sown above this: common practice, no source. */
const COOL_ENOUGH_C = 30;

export const coolingTest = benchTest({
  name: 'Cooling',
  howTo: 'Lid on, probe in the middle. Read once when the heat is off, and again half an hour or more later.',
  fields: [
    number('startC', 'First reading', '°C', 30, 100, 'thermometer'),
    number('laterC', 'Later reading', '°C', 5, 100, 'thermometer'),
    number('minutes', 'Minutes between', 'min', 1, 1440),
    number('ambientC', 'Around it', '°C', -10, 40),
  ],
  compute: ({ startC, laterC, minutes, ambientC }) => {
    const hours = minutes / 60;
    const left = hoursUntil(coolingFrom(startC, laterC, hours, ambientC), COOL_ENOUGH_C) - hours;
    if (!Number.isFinite(left))
      return tells(
        ambientC,
        '°C around it',
        `It never cools to ${COOL_ENOUGH_C} °C where it stands: carry it somewhere cooler, or spread it out thin.`,
      );
    return tells(
      Math.max(0, left),
      `h until ${COOL_ENOUGH_C} °C`,
      left > 0 ? 'Sow below 30 °C, not before.' : 'Cool enough to sow.',
    );
  },
});
