import { benchTest, result } from '#core/batch/tests/bench-test';
import { squeezeAt, squeezeNames, squeezeRange } from '#core/mix/moisture';

export const squeezeTest = benchTest({
  name: 'Squeeze',
  howTo: 'Press a handful hard, open the hand, poke it. Choose what it did.',
  fields: [{ id: 'grade', label: 'What it did', choices: squeezeNames }],
  compute: ({ grade }, { targetSaturation }) => {
    const [low, high] = squeezeRange(grade);
    const saturation = (low + high) / 2;
    return result(
      saturation * 100,
      '% of the pores full',
      targetSaturation > 0.6 ? [70, 90] : [30, 50],
      {
        low: `It ${squeezeAt(saturation)}: too dry.`,
        ok: `It ${squeezeAt(saturation)}: right.`,
        high: `It ${squeezeAt(saturation)}: too wet.`,
      },
      { saturation },
    );
  },
});
