import { OutOfRange } from '#core/units/check';

/** A row id from a path. @throws OutOfRange when it is not a whole number from 1 */
export function idOf(given: string | undefined): number {
  const id = Number(given);
  if (!Number.isSafeInteger(id) || id < 1) throw new OutOfRange('id', given, 'a whole number from 1');
  return id;
}
