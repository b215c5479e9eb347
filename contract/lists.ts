import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { oneOf, taking } from '#contract/fields';

export const from = z
  .string()
  .regex(/^\d{1,9}$/, taking(allow('allowed.whole', { low: 0, high: Infinity })))
  .transform(Number)
  .default(0);

/** Which part of a list: the page that begins at a row, of what is there or of what was put away. */
export const listQuerySchema = z.strictObject({ from, away: oneOf(['no', 'yes']).default('no') });
export type ListQuery = z.output<typeof listQuerySchema>;
