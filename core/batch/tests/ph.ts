import { benchTest, number, result } from '#core/batch/tests/bench-test';

export const phTest = benchTest({
  name: 'pH',
  howTo:
    'One part of moist mix, two of clean water, stir, wait half an hour, read. After lime: on day 7 and 14.',
  fields: [number('ph', 'pH', '', 2.5, 11, 'pen-ph')],
  compute: ({ ph }, context) =>
    result(
      ph,
      'pH',
      [context.ph.low, context.ph.high],
      { low: 'Too acid.', ok: 'Right.', high: 'Too alkaline.' },
      { ph },
    ),
});
