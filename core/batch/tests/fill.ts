import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const fillTest = benchTest({
  name: 'Fill weight',
  howTo: 'Weigh an empty vessel, fill it as you always do, strike it level, weigh again.',
  fields: [
    number('volumeMl', 'The vessel holds', 'mL', 5, 200_000),
    number('emptyG', 'Empty', 'g', 0, 50_000, 'scale'),
    number('filledG', 'Filled', 'g', 0, 500_000, 'scale'),
  ],
  compute: ({ volumeMl, emptyG, filledG }, context) => {
    if (filledG <= emptyG)
      throw new OutOfRange('filledG', filledG, `more than the empty vessel, ${emptyG} g`);
    const expected = context.dryBulkDensityGPerL + 1000 * context.targetSaturation * context.totalPorosity;
    return result(((filledG - emptyG) * 1000) / volumeMl, 'g/L', [0.85 * expected, 1.15 * expected], {
      low: 'Lighter than expected: filled loosely, or drier.',
      ok: 'As expected.',
      high: 'Heavier than expected: pressed, or wetter.',
    });
  },
});
