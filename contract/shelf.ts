import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { clientKey, num, rowId, text, yesNo, taking } from '#contract/fields';
import { type OwnMeasure } from '#core/batch/scoops';
import { limits } from '#core/units/limits';

/** How a material stands on the shelf. */
export const shelfLineSchema = z.strictObject({
  here: yesNo,
  /** Per litre, loose; null where it is not known. */
  costPerL: num(limits.pricePerUnit).nullable().default(null),
  useUp: yesNo.default(false),
});
/** What changes of it; the rest stays as it stands. */
export const shelfChangeSchema = z.strictObject({
  here: yesNo.optional(),
  costPerL: num(limits.pricePerUnit).nullable().optional(),
  useUp: yesNo.optional(),
});
export const namedShelfLineSchema = shelfLineSchema.extend({ material: z.string() });
export type ShelfChange = z.output<typeof shelfChangeSchema>;
export type ShelfLine = z.output<typeof namedShelfLineSchema>;

export const newMeasureSchema = z
  .strictObject({
    key: clientKey,
    name: text(40),
    litres: num(limits.measureLitres),
    heapedLitres: num(limits.heapedLitres).nullable().default(null),
  })
  .refine((m) => m.heapedLitres === null || m.heapedLitres >= m.litres, {
    ...taking(allow('allowed.at-least-struck', none)),
    path: ['heapedLitres'],
  });

export const measureSchema = z.object({
  id: rowId,
  name: z.string(),
  litres: z.number(),
  heapedLitres: z.number().nullable(),
}) satisfies z.ZodType<OwnMeasure>;
