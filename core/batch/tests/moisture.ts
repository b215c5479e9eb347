import { allow } from '#core/units/allowed';
import { benchTest, number, tells } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const moistureTest = benchTest({
  fields: [
    number('dishG', 'g', 0, 5000, 'scale'),
    number('wetG', 'g', 0, 20_000, 'scale'),
    number('dryG', 'g', 0, 20_000, 'scale'),
  ],
  compute: ({ dishG, wetG, dryG }, { dryBulkDensityGPerL, totalPorosity, targetSaturation }) => {
    if (dryG <= dishG) throw new OutOfRange('dryG', dryG, allow('allowed.more-than-dish', { grams: dishG }));
    if (wetG < dryG) throw new OutOfRange('wetG', wetG, allow('allowed.at-least-dry', { grams: dryG }));
    const perDry = (wetG - dryG) / (dryG - dishG);
    const saturation = Math.min(1.2, (perDry * dryBulkDensityGPerL) / 1000 / totalPorosity);
    const [low, high] = [targetSaturation * 100 - 15, targetSaturation * 100 + 10] as const;
    return { ...tells((100 * perDry) / (1 + perDry), '%', { saturation }), poresPct: { low, high } };
  },
});
