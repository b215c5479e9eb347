import { allow } from '#core/units/allowed';
import { benchTest, number, tells } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const yieldTest = benchTest({
  fields: [number('finishedL', 'L', 0.01, 1_000_000)],
  compute: ({ finishedL }, { looseLitres }) => {
    const shrinkagePct = 100 * (1 - finishedL / looseLitres);
    if (shrinkagePct < -2 || shrinkagePct > 50)
      throw new OutOfRange(
        'finishedL',
        finishedL,
        allow('allowed.half-of-scooped', { low: looseLitres / 2, high: looseLitres }),
      );
    return tells(Math.max(0, shrinkagePct), '%', { shrinkagePct: Math.max(0, shrinkagePct) });
  },
});
