import { allow } from '#core/units/allowed';
import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const fillTest = benchTest({
  fields: [
    number('volumeMl', 'mL', 5, 200_000),
    number('emptyG', 'g', 0, 50_000, 'scale'),
    number('filledG', 'g', 0, 500_000, 'scale'),
  ],
  compute: ({ volumeMl, emptyG, filledG }, context) => {
    if (filledG <= emptyG)
      throw new OutOfRange('filledG', filledG, allow('allowed.more-than-empty', { grams: emptyG }));
    const expected = context.dryBulkDensityGPerL + 1000 * context.targetSaturation * context.totalPorosity;
    return result(((filledG - emptyG) * 1000) / volumeMl, 'g/L', [0.85 * expected, 1.15 * expected]);
  },
});
