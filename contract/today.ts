import { z } from 'zod';
import { day, num, oneOf, rowId, taking } from '#contract/fields';
import { allow } from '#core/units/allowed';
import { limits } from '#core/units/limits';
import { none } from '#core/units/message';
import { benchTestIds } from '#core/batch/tests/bench-tests';
import { stepTextSchema } from '#contract/message';

export const dueStepSchema = z.object({
  batchId: rowId,
  /** Client key of the batch, and number of its newest entry. */
  key: z.string(),
  seen: z.number(),
  batch: z.string(),
  step: z.string(),
  /** Loads of it that are not ticked. */
  loads: z.array(z.number()),
  /** A test that goes with it. */
  test: oneOf(benchTestIds).nullable(),
  /** The step itself: what it says first is what to do. */
  text: stepTextSchema,
  /** due: the day has come · waiting: it has not · open: the batch is begun, and this is its next step. */
  state: oneOf(['due', 'waiting', 'open']),
  on: day.nullable(),
});
/** What a line of Today is about: so that what is put off is found again. */
const itemOfToday = z
  .string()
  .regex(/^[a-z]+(\/[\w.-]{1,60}){1,4}$/, taking(allow('allowed.line-of-today', none)));

/** Not today, or not at all: told again from a day on; null takes it back. */
export const putOffSchema = z.strictObject({ item: itemOfToday, until: day.nullable() });
/** How cold tonight is to be, as somebody typed it; null takes it back. */
export const setLowSchema = z.strictObject({ on: day, celsius: num(limits.nightC).nullable() });
export const lowSchema = z.object({ on: day, celsius: z.number().nullable() });
export const deskSchema = z.object({
  putOff: z.array(z.object({ item: z.string(), until: day })),
  /** Tonight, °C; null where nobody typed it. */
  low: z.number().nullable(),
  /** The made-up nursery: its forecast is made up as well. */
  demo: z.boolean(),
});
export type Desk = z.output<typeof deskSchema>;
export type DueStep = z.output<typeof dueStepSchema>;
