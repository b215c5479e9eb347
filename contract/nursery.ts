import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { day, taking } from '#contract/fields';
import { isTimeZone } from '#core/units/day';

export const newNurserySchema = z.strictObject({
  timeZone: z
    .string()
    .max(60)
    .refine(isTimeZone, taking(allow('allowed.time-zone', none))),
});

/** What the data folder is, and whose days it counts in. */
export const nurserySchema = z.object({
  /** Of the data folder: another one has another, so nothing that waits on a device goes to the wrong place. */
  id: z.string().regex(/^[0-9a-f]{32}$/),
  timeZone: z.string(),
  /** The calendar day there, now. */
  today: day,
});
export type Nursery = z.output<typeof nurserySchema>;
