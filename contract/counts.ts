import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { int, list, num, numbers, oneOf, taking } from '#contract/fields';
import { limits } from '#core/units/limits';

const count = z
  .strictObject({ alive: int([0, 1_000_000]), of: int([1, 1_000_000]) })
  .refine((c) => c.alive <= c.of, { ...taking(allow('allowed.most-there-were', none)), path: ['alive'] });

export const compareRequestSchema = z.strictObject({
  a: count,
  b: count,
  confidence: num(limits.confidence).default(0.95),
  detect: z
    .strictObject({ difference: num([0.001, 0.999]), power: num([0.5, 0.999]).default(0.8) })
    .optional(),
});

export type CompareJob = z.output<typeof compareRequestSchema>;

const share = numbers('share', 'low', 'high');
export const compareAnswerSchema = z.object({
  a: share,
  b: share,
  fisherP: z.number(),
  better: oneOf(['a', 'b', 'neither']),
  cellsEachToTell: z.number().nullable(),
});

const figure = num([-1e9, 1e9]);
const spread = num([1e-9, 1e9]);
export const learnRequestSchema = z.strictObject({
  prior: z.strictObject({ mean: figure, sd: spread }),
  tests: list(z.strictObject({ value: figure, sd: spread }), [0, 1000], 'tests'),
});
export const learnAnswerSchema = numbers('mean', 'sd');
