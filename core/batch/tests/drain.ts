import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const drainTest = benchTest({
  name: 'Drain',
  howTo:
    'Fill a pot, tap once, pour on a cup of water at once. Count until none stands, then until it drips below.',
  fields: [
    number('pondS', 'Water stood for', 's', 0, 3600),
    number('throughS', 'Ran through after', 's', 0, 3600),
  ],
  compute: ({ pondS, throughS }) => {
    if (throughS < pondS - 1)
      throw new OutOfRange('throughS', throughS, `at least the ${pondS} s that water stood`);
    return result(pondS, 's', [null, 3], {
      low: '',
      ok: 'Goes in at once: it drains.',
      high: 'Water stands: too many fines, or dry peat that repels it. Wet it and try again before you change it.',
    });
  },
});
