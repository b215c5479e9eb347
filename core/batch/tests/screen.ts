import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const screenTest = benchTest({
  name: 'Oversize',
  howTo: 'Put a dry sample through your screen and weigh what stays on it.',
  fields: [
    number('sampleG', 'Sample', 'g', 1, 50_000, 'scale'),
    number('overG', 'Stayed on the screen', 'g', 0, 50_000, 'scale'),
  ],
  compute: ({ sampleG, overG }) => {
    if (overG > sampleG) throw new OutOfRange('overG', overG, `at most the sample, ${sampleG} g`);
    return result((100 * overG) / sampleG, '% oversize', [null, 10], {
      low: '',
      ok: 'Little stays on: screen it and go on.',
      high: 'Much stays on: buy or use a finer grade.',
    });
  },
});
