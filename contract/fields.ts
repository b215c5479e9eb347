import { z } from 'zod';

/** A number with its allowed range in every error. */
export const num = (low: number, high: number): z.ZodNumber => {
  const error = `must be a number from ${low} to ${high}`;
  return z.number({ error }).min(low, { error }).max(high, { error });
};

export const int = (low: number, high: number): z.ZodNumber => {
  const error = `must be a whole number from ${low} to ${high}`;
  return z.number({ error }).int({ error }).min(low, { error }).max(high, { error });
};

export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `must be one of ${values.join(', ')}` });

export const text = (longest: number): z.ZodString => {
  const error = `must be text of 1 to ${longest} characters`;
  return z.string({ error }).trim().min(1, { error }).max(longest, { error });
};

/** Yes or no; tables write 1 and 0. */
export const flag = z
  .union([z.boolean(), z.literal(0), z.literal(1)], { error: 'must be true or false' })
  .transform(Boolean);
