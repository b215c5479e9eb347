import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { OutOfRange } from '#core/units/check';

/**
 * The calendar day in a time zone at a moment, YYYY-MM-DD.
 * @param zone IANA name, as "Australia/Adelaide"
 * @throws RangeError for a zone that there is not
 * @example dayIn(new Date('2031-03-03T20:00:00Z'), 'Australia/Adelaide') // '2031-03-04'
 */
export function dayIn(moment: Date, zone: string): string {
  const parts = formatOf(zone).formatToParts(moment);
  const of = (type: string): string => parts.find((part) => part.type === type)!.value;
  return `${of('year').padStart(4, '0')}-${of('month')}-${of('day')}`;
}

/** Made once a zone: making one takes milliseconds, and a page asks for the day at every turn. */
const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(zone: string): Intl.DateTimeFormat {
  const existing = formats.get(zone);
  if (existing) return existing;
  if (!isTimeZone(zone)) throw new OutOfRange('timeZone', zone, allow('allowed.time-zone', none));
  const format = new Intl.DateTimeFormat('en', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  });
  formats.set(zone, format);
  return format;
}

/** So many days later, or earlier: calendar days, which no summer time touches. */
export function daysAfter(day: string, days: number): string {
  const at = new Date(`${day}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}

export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

let machineZone: string | undefined;

/** The zone of the machine, as it was when it was first asked for. */
export const ownTimeZone = (): string => (machineZone ??= Intl.DateTimeFormat().resolvedOptions().timeZone);
