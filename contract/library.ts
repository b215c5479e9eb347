import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { materialRowSchema } from '#contract/material';
import { vesselKindSchema } from '#contract/vessel';

/** Where it is from, and whether the nursery added it. */
const source = { source: z.string(), own: z.boolean() };

/** Materials, products and vessels in shelf order, each with its source; percentages, as in the tables. */
export const librarySchema = z.object({
  materials: z.array(materialRowSchema.extend(source)),
  amendments: z.array(amendmentSchema.extend(source)),
  vessels: z.array(vesselKindSchema.extend(source)),
});
export type LibraryAnswer = z.output<typeof librarySchema>;
