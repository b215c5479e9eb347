import { benchTest, number, result } from '#core/batch/tests/bench-test';

export const phTest = benchTest({
  fields: [number('ph', '', 2.5, 11, 'pen-ph')],
  compute: ({ ph }, context) => result(ph, 'pH', [context.ph.low, context.ph.high], { ph }),
});
