import { z } from 'zod';
import { clientKey, day, moment, note, oneOf, rowId, text } from '#contract/fields';
import { type Figures } from '#core/judge/figures';
import { keptReadingIds } from '#core/judge/readings';
import { recipeSchema } from '#contract/recipe';

export const newMixSchema = z.strictObject({ key: clientKey, name: text(80), note, recipe: recipeSchema });
export const renamedMixSchema = z.strictObject({ name: text(80), note });
export const newVersionSchema = z.strictObject({
  key: clientKey,
  recipe: recipeSchema,
  /** What became of the plants that made it be changed. */
  why: z.string().trim().max(300).default(''),
});

/** What it came to when it was kept, by the model of that day. */
export const figuresSchema = z.object({
  model: rowId,
  values: z.partialRecord(oneOf(keptReadingIds), z.number()),
}) satisfies z.ZodType<Figures>;

/** Litres that the season still mixes of it, and the first day of that; null where none is. */
export const mixInSeasonSchema = z.object({ litres: z.number(), on: day.nullable() });

export const mixVersionSchema = z.object({
  id: rowId,
  mixId: rowId,
  /** Client keys of the version and of its mix; null for what was kept before there were any. */
  key: z.string().nullable(),
  mixKey: z.string().nullable(),
  version: rowId,
  name: z.string(),
  note: z.string(),
  recipe: recipeSchema,
  /** null for what was kept before figures were. */
  figures: figuresSchema.nullable(),
  why: z.string(),
  createdAt: moment,
});
export type MixVersion = z.output<typeof mixVersionSchema>;
