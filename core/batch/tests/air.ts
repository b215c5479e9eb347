import { allow } from '#core/units/allowed';
import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { windowsOf } from '#core/mix/windows';
import { OutOfRange } from '#core/units/check';

export const airTest = benchTest({
  fields: [number('volumeMl', 'mL', 20, 20_000), number('drainedMl', 'mL', 0, 20_000, 'scale')],
  compute: ({ volumeMl, drainedMl }, { stage, windows }) => {
    if (drainedMl > 0.9 * volumeMl)
      throw new OutOfRange(
        'drainedMl',
        drainedMl,
        allow('allowed.nine-tenths-of-pot', { litres: (0.9 * volumeMl) / 1000 }),
      );
    const airPct = (100 * drainedMl) / volumeMl;
    const { low, high } = windowsOf({ stage, windows }).airPct;
    return result(airPct, '%', [low, high], { airPct });
  },
});
