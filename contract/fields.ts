import { z } from 'zod';
import { type Range } from '#core/units/limits';

/** A number with its allowed range in every error. */
export const num = ([low, high]: Range): z.ZodNumber => {
  const error = `must be a number from ${low} to ${high}`;
  return z.number({ error }).min(low, { error }).max(high, { error });
};

export const int = ([low, high]: Range): z.ZodNumber => {
  const error = `must be a whole number from ${low} to ${high}`;
  return z.number({ error }).int({ error }).min(low, { error }).max(high, { error });
};

export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `must be one of ${values.join(', ')}` });

export const text = (longest: number): z.ZodString => {
  const error = `must be text of 1 to ${longest} characters`;
  return z.string({ error }).trim().min(1, { error }).max(longest, { error });
};

/** Text that may be left empty. */
export const longText = z.string().trim().max(2000, { error: 'must be text of at most 2000 characters' });
export const note = longText.default('');

export const yesNo = z.boolean({ error: 'must be true or false' });

/** Yes or no in a table, where it is written 1 and 0. */
export const yesNoOrBit = z
  .union([z.boolean(), z.literal(0), z.literal(1)], { error: 'must be true or false' })
  .transform(Boolean);

export const day = z.iso.date({ error: 'must be a day, YYYY-MM-DD' });
export const moment = z.iso.datetime({ error: 'must be a moment, ISO 8601 in UTC' });

/** A number of a row. */
export const rowId = z.number({ error: 'must be a whole number from 1' }).int().min(1);

/** Made by the client for every create: the same key twice is one thing. */
export const clientKey = z.uuid({ error: 'must be a UUID made by the client: the same key twice is one' });

/** Id of a material, product or vessel. */
export const slug = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,59}$/, { error: 'must be a short id of a–z, 0–9 and -' });

export const list = <T extends z.ZodType>(of: T, [low, high]: Range, what: string): z.ZodArray<T> => {
  const error = `must be a list of ${low > 0 ? `${low} to` : 'at most'} ${high} ${what}`;
  return z.array(of, { error }).min(low, { error }).max(high, { error });
};

/** An object of nothing but numbers. */
export const numbers = <const K extends string>(...keys: K[]) =>
  z.object(Object.fromEntries(keys.map((k) => [k, z.number()])) as Record<K, z.ZodNumber>);
