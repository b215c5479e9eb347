import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { windowsOf } from '#core/judge/windows';
import { OutOfRange } from '#core/units/check';

export const airTest = benchTest({
  name: 'Air, by filling and draining',
  howTo:
    'Plug the holes of your pot, fill it with moist mix, and let water in slowly to the brim. Wait an hour, top up. Pull the plug over a bowl and weigh what runs out in an hour.',
  fields: [
    number('volumeMl', 'The pot holds', 'mL', 20, 20_000),
    number('drainedMl', 'Ran out', 'mL (or g)', 0, 20_000, 'scale'),
  ],
  compute: ({ volumeMl, drainedMl }, { stage, windows }) => {
    if (drainedMl > 0.9 * volumeMl)
      throw new OutOfRange('drainedMl', drainedMl, `at most nine tenths of the pot, ${0.9 * volumeMl}`);
    const airPct = (100 * drainedMl) / volumeMl;
    const { low, high } = windowsOf({ stage, windows }).airPct;
    return result(
      airPct,
      '% air',
      [low, high],
      {
        low: 'Too little air in this pot.',
        ok: 'Enough air.',
        high: 'Very open: it dries fast.',
      },
      { airPct },
    );
  },
});
