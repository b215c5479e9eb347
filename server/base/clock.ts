import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';

/**
 * What the clock says: the machine's own, or one that was set at the start and goes on from there. Tests set it, so that
 * they pass on every day; a nursery never does.
 * @param set moment at which it starts, ISO 8601; nothing for the machine's own
 * @throws OutOfRange for what is no moment
 */
export function clockFrom(set: string | undefined, machine: () => number = Date.now): () => Date {
  if (!set) return () => new Date(machine());
  const at = Date.parse(set);
  if (Number.isNaN(at)) throw new OutOfRange('WELCOME_NOW', set, allow('allowed.moment', none));
  const shift = at - machine();
  return () => new Date(machine() + shift);
}
