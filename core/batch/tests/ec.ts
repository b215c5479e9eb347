import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { windowsOf } from '#core/judge/windows';
import { convertEc, ecMethods } from '#core/mix/salts';

export const ecTest = benchTest({
  name: 'Salts',
  howTo:
    'Read the pen in the extract that you make, and say which: the sum turns it into the saturated extract.',
  fields: [
    number('ec', 'EC', 'mS/cm', 0, 50, 'pen-ec'),
    { id: 'method', label: 'Taken by', choices: ecMethods },
  ],
  compute: ({ ec, method }, { stage, windows, totalPorosity, drainedWater }) => {
    const saturated = convertEc(ec, method, 'saturated', {
      totalPorosity,
      water: drainedWater,
    });
    const { low, high } = windowsOf({ stage, windows }).ecSaturatedMSPerCm;
    return result(
      saturated,
      'mS/cm, saturated extract',
      [low, high],
      { low: 'Lean.', ok: 'Right.', high: 'Salty.' },
      { ecSaturatedMSPerCm: saturated },
    );
  },
});
