import { z } from 'zod';
import { aboutKinds } from '#contract/about';
import { oneOf, rowId } from '#contract/fields';

export const aboutKindSchema = oneOf(aboutKinds);
export const whereSchema = z.object({
  id: rowId,
  /** What it is called; for an event the kind of it. */
  name: z.string(),
  /** Of an event: the planting that it happened to. */
  planting: rowId.optional(),
});
export type Where = z.output<typeof whereSchema>;
