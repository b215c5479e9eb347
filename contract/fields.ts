import { z } from 'zod';
import { type Allowed, allow, type Things } from '#core/units/allowed';
import { type Range } from '#core/units/limits';
import { none } from '#core/units/message';

/**
 * What a schema takes, for its errors: as a code, which Zod carries as text.
 * @see allowedBy
 */
export const taking = (allowed: Allowed): { error: string } => ({ error: JSON.stringify(allowed) });

/** What would have been taken where a schema refused. */
export function allowedBy(issue: z.core.$ZodIssue): Allowed {
  if (issue.message.startsWith('{')) return JSON.parse(issue.message) as Allowed;
  if (issue.code === 'unrecognized_keys') return allow('allowed.known-key', none);
  if (issue.code === 'invalid_type') return allow('allowed.of-kind', { kind: issue.expected });
  if (issue.code === 'invalid_value') return allow('allowed.one-of', { ids: issue.values.map(String) });
  return allow('allowed.of-schema', none);
}

/** A number with its allowed range in every error. */
export const num = ([low, high]: Range): z.ZodNumber => {
  const only = taking(allow('allowed.number', { low, high }));
  return z.number(only).min(low, only).max(high, only);
};

export const int = ([low, high]: Range): z.ZodNumber => {
  const only = taking(allow('allowed.whole', { low, high }));
  return z.number(only).int(only).min(low, only).max(high, only);
};

export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, taking(allow('allowed.one-of', { ids: values })));

export const text = (longest: number): z.ZodString => {
  const only = taking(allow('allowed.text', { low: 1, high: longest }));
  return z.string(only).trim().min(1, only).max(longest, only);
};

/** Text that may be left empty. */
export const longText = z
  .string()
  .trim()
  .max(2000, taking(allow('allowed.text', { low: 0, high: 2000 })));
export const note = longText.default('');

export const yesNo = z.boolean(taking(allow('allowed.yes-no', none)));

/** Yes or no in a table, where it is written 1 and 0. */
export const yesNoOrBit = z
  .union([z.boolean(), z.literal(0), z.literal(1)], taking(allow('allowed.yes-no', none)))
  .transform(Boolean);

export const day = z.iso.date(taking(allow('allowed.day', none)));
export const moment = z.iso.datetime(taking(allow('allowed.moment', none)));

/** A number of a row. */
export const rowId = int([1, Infinity]);

/** Made by the client for every create: the same key twice is one thing. */
export const clientKey = z.uuid(taking(allow('allowed.client-key', none)));

/** Id of a material, product or vessel. */
export const slug = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, taking(allow('allowed.id', none)));

export const list = <T extends z.ZodType>(of: T, [low, high]: Range, what: Things): z.ZodArray<T> => {
  const only = taking(allow('allowed.things', { low, high, what }));
  return z.array(of, only).min(low, only).max(high, only);
};

/** An object of nothing but numbers. */
export const numbers = <const K extends string>(...keys: K[]) =>
  z.object(Object.fromEntries(keys.map((k) => [k, z.number()])) as Record<K, z.ZodNumber>);
