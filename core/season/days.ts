import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';

/** Days as whole numbers, so that counting back through a season of thousands of steps costs nothing. */
const DAY_MS = 86_400_000;
/** 5 January 1970 was a Monday. */
const FIRST_MONDAY = 4;

/** Ten years of a season; what is beyond is not worth keeping. */
const MOST_KNOWN = 4000;
const numbers = new Map<string, number>();
const existing = new Map<number, string>();

/** Days since 1 January 1970. @throws OutOfRange for a day that does not exist */
export function dayNumber(day: string, name = 'day'): number {
  const present = numbers.get(day);
  if (present !== undefined) return present;
  const at = Date.parse(`${day}T00:00:00Z`) / DAY_MS;
  if (!Number.isInteger(at) || dayOf(at) !== day) throw new OutOfRange(name, day, allow('allowed.day', none));
  if (numbers.size > MOST_KNOWN) numbers.clear();
  numbers.set(day, at);
  return at;
}

/** @example dayOf(0) // '1970-01-01' */
export function dayOf(number: number): string {
  let day = existing.get(number);
  if (day === undefined) {
    day = new Date(number * DAY_MS).toISOString().slice(0, 10);
    if (existing.size > MOST_KNOWN) existing.clear();
    existing.set(number, day);
  }
  return day;
}

/** Weeks since the first Monday of 1970. */
export const weekNumber = (day: number): number => Math.floor((day - FIRST_MONDAY) / 7);
/** The Monday of a week. */
export const mondayOf = (week: number): number => week * 7 + FIRST_MONDAY;

/** ISO 8601: the week belongs to the year of its Thursday. @example isoWeekOf(weekNumber(dayNumber('2027-01-01'))) // '2026-W53' */
export function isoWeekOf(week: number): string {
  const thursday = mondayOf(week) + 3;
  const year = dayOf(thursday).slice(0, 4);
  const first = Date.UTC(Number(year), 0, 1) / DAY_MS;
  return `${year}-W${String(Math.floor((thursday - first) / 7) + 1).padStart(2, '0')}`;
}

/** The week that is called so. @throws OutOfRange where there is no such week */
export function weekOfName(name: string): number {
  const [, year, number] = /^(\d{4})-W(\d{2})$/.exec(name) ?? [];
  const jan4 = Date.UTC(Number(year), 0, 4) / DAY_MS;
  const week = weekNumber(jan4) + Number(number) - 1;
  if (!(Number(number) >= 1) || isoWeekOf(week) !== name)
    throw new OutOfRange('week', name, allow('allowed.week', none));
  return week;
}
