import { z } from 'zod';
import { int, num, oneOf, text } from '#contract/fields';
import { stages } from '#core/mix/stage';

export const jobSchema = z.union(
  [
    z.strictObject({ trays: int(1, 100_000), sparePct: num(0, 200) }),
    z.strictObject({ litres: num(0.01, 100_000) }),
  ],
  { error: 'must be trays (1 to 100000) with sparePct (0 to 200), or litres (0.01 to 100000)' },
);

/** A recipe as it is kept. */
export const recipeSchema = z.strictObject({
  stage: oneOf(stages),
  vessel: text(60),
  compactionPct: num(0, 50),
  components: z
    .array(z.strictObject({ material: text(60), parts: num(0.01, 1000) }))
    .min(1, { error: 'must be a list of 1 to 30 materials' })
    .max(30, { error: 'must be a list of 1 to 30 materials' }),
  lime: z.strictObject({ amendment: text(60), ph: num(3.5, 8) }).nullable(),
  amendments: z
    .array(z.strictObject({ amendment: text(60), gPerL: num(0, 1000) }))
    .max(30, { error: 'must be a list of at most 30 doses' }),
  job: jobSchema,
  measured: z
    .strictObject({
      shrinkagePct: num(0, 50),
      airPct: num(0, 90),
      ph: num(2.5, 11),
      ecSaturatedMSPerCm: num(0, 50),
      jar: z.strictObject({ bufferMeqPerLPerPh: num(0.1, 1000), phBeforeLime: num(2.5, 9) }),
    })
    .partial()
    .optional(),
});
