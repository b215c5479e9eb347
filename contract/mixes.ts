import { z } from 'zod';
import { clientKey, moment, note, rowId, text } from '#contract/fields';
import { recipeSchema } from '#contract/recipe';

export const newMixSchema = z.strictObject({ key: clientKey, name: text(80), note, recipe: recipeSchema });
export const newVersionSchema = z.strictObject({ key: clientKey, recipe: recipeSchema });

export const mixVersionSchema = z.object({
  id: rowId,
  mixId: rowId,
  version: rowId,
  name: z.string(),
  note: z.string(),
  recipe: recipeSchema,
  createdAt: moment,
});
export type MixVersion = z.output<typeof mixVersionSchema>;
