import { formatISO } from 'date-fns';
import { OutOfRange } from '#core/units/check';

/** The calendar day where the server stands, YYYY-MM-DD. */
export const dayOf = (moment: Date): string => formatISO(moment, { representation: 'date' });

/** @throws OutOfRange naming the argument, when a day is still to come */
export function notLaterThanToday(argument: string, day: string, now: Date): void {
  if (day > dayOf(now)) throw new OutOfRange(argument, day, 'not later than today');
}
