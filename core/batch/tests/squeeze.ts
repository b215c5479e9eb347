import { benchTest, result } from '#core/batch/tests/bench-test';
import { squeezeNames, squeezeRange } from '#core/mix/moisture';

export const squeezeTest = benchTest({
  fields: [{ id: 'grade', choices: squeezeNames }],
  compute: ({ grade }, { targetSaturation }) => {
    const [low, high] = squeezeRange(grade);
    const saturation = (low + high) / 2;
    return result(saturation * 100, '%', targetSaturation > 0.6 ? [70, 90] : [30, 50], { saturation });
  },
});
