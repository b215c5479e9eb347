import { z } from 'zod';
import { allow } from '#core/units/allowed';
import { day, oneOf, taking, text } from '#contract/fields';
import { labelSizes } from '#core/batch/label-sizes';
import { limits } from '#core/units/limits';

const [fewest, most] = limits.labels;
const { error } = taking(allow('allowed.whole', { low: fewest, high: most }));
/** A count in a query, where everything is text. */
const count = z
  .string()
  .regex(/^\d{1,3}$/, { error })
  .transform(Number)
  .refine((n) => n >= fewest && n <= most, { error });
const date = day.nullable().default(null);

export const labelsQuerySchema = z.strictObject({
  size: oneOf(labelSizes.map((s) => s.id) as [string, ...string[]]).default(labelSizes[0]!.id),
  count: count.default(1),
  sown: date,
  pricked: date,
  potted: date,
  units: oneOf(['metric', 'us']).default('metric'),
  plant: text(60).nullable().default(null),
});
export const cardQuerySchema = z.strictObject({
  units: oneOf(['metric', 'us']).default('metric'),
  scoop: text(60).optional(),
  /** The sign that stands before money. */
  sign: z.string().max(4).default(''),
});
