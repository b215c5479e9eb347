import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { windowsOf } from '#core/mix/windows';
import { convertEc, ecMethods } from '#core/mix/salts';

export const ecTest = benchTest({
  fields: [number('ec', 'mS/cm', 0, 50, 'pen-ec'), { id: 'method', choices: ecMethods }],
  compute: ({ ec, method }, { stage, windows, totalPorosity, drainedWater }) => {
    const saturated = convertEc(ec, method, 'saturated', {
      totalPorosity,
      water: drainedWater,
    });
    const { low, high } = windowsOf({ stage, windows }).ecSaturatedMSPerCm;
    return result(saturated, 'mS/cm', [low, high], { ecSaturatedMSPerCm: saturated });
  },
});
