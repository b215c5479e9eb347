import { allow } from '#core/units/allowed';
import { benchTest, number, result } from '#core/batch/tests/bench-test';
import { OutOfRange } from '#core/units/check';

export const drainTest = benchTest({
  fields: [number('pondS', 's', 0, 3600), number('throughS', 's', 0, 3600)],
  compute: ({ pondS, throughS }) => {
    if (throughS < pondS - 1)
      throw new OutOfRange('throughS', throughS, allow('allowed.since-it-stood', { seconds: pondS }));
    return result(pondS, 's', [null, 3]);
  },
});
