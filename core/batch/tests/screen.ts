import { allow } from '#core/units/allowed';
import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const screenTest = benchTest({
  fields: [number('sampleG', 'g', 1, 50_000, 'scale'), number('overG', 'g', 0, 50_000, 'scale')],
  compute: ({ sampleG, overG }) => {
    if (overG > sampleG)
      throw new OutOfRange('overG', overG, allow('allowed.most-sample', { grams: sampleG }));
    return result((100 * overG) / sampleG, '%', [null, 10]);
  },
});
