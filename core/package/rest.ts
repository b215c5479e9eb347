import { isFreshBark, isSpentMix } from '#core/material/families';
import { type None } from '#core/units/message';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { daysAfter } from '#core/units/day';
import { type Material } from '#core/material/material';

/** Usual rests, days. Common practice, no source: smell and hand decide. */
export const restDays = { bark: 28, 'spent-mix': 60, heap: 120 } as const;
/** Why each rests. */
export type RestFacts = Record<`rest.${keyof typeof restDays}`, None>;

/** How long something rests before it is used, and why. */
export interface Rest {
  days: number;
  why: `rest.${keyof typeof restDays}`;
}

/** @param own a heap of the nursery's own making, rotting */
export function usualRest(material: Material, own: boolean): Rest | null {
  const rest = (kind: keyof typeof restDays): Rest => ({ days: restDays[kind], why: `rest.${kind}` });
  if (isFreshBark(material)) return rest('bark');
  if (isSpentMix(material)) return rest('spent-mix');
  return own && material.living ? rest('heap') : null;
}

/**
 * When to send for the next load so that it has rested by the day on which the heap ends: it rests as the last one did,
 * or as such usually do.
 * @param by YYYY-MM-DD, the first day on which it is missing
 * @param lots of the same, with the days on which they came and may be used
 * @returns null for what need not rest
 * @example sendFor('2031-05-01', freshBark, []) // { on: '2031-04-03', days: 28 }
 */
export function sendFor(
  by: string,
  material: Material | undefined,
  lots: readonly { receivedOn: string; readyOn: string | null }[],
): { on: string; days: number } | null {
  const last = [...lots]
    .sort((a, b) => (a.receivedOn < b.receivedOn ? 1 : -1))
    .find((lot) => lot.readyOn !== null);
  const days = last?.readyOn
    ? differenceInCalendarDays(parseISO(last.readyOn), parseISO(last.receivedOn))
    : ((material && usualRest(material, false)?.days) ?? 0);
  return days > 0 ? { on: daysAfter(by, -days), days } : null;
}
