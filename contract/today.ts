import { z } from 'zod';
import { day, oneOf, rowId } from '#contract/fields';
import { stepTextSchema } from '#contract/message';

export const dueStepSchema = z.object({
  batchId: rowId,
  batch: z.string(),
  step: z.string(),
  /** The step itself: what it says first is what to do. */
  text: stepTextSchema,
  /** due: the day has come · waiting: it has not · open: the batch is begun, and this is its next step. */
  state: oneOf(['due', 'waiting', 'open']),
  on: day.nullable(),
});
export type DueStep = z.output<typeof dueStepSchema>;
