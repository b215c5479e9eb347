import { differenceInCalendarDays, parseISO } from 'date-fns';
import { type Language, localeOf } from '#words/reader';

const YEAR_FROM_DAYS = 300;
const WEEK = 7;

const daysTo = (day: string, today: string): number =>
  differenceInCalendarDays(parseISO(day), parseISO(today));

/** Whether it is today, tomorrow or yesterday. */
export const isNear = (day: string, today: string): boolean => Math.abs(daysTo(day, today)) <= 1;

/**
 * A calendar day as a person says it from another one: "today", "tomorrow", "yesterday", "Friday" within the week to
 * come, "9 May", and "9 May 2032" where that is more than 300 days away.
 * @param weekday also said of days further off
 * @example dayFrom('2031-03-04', '2031-03-03', 'en') // 'tomorrow'
 */
export function dayFrom(day: string, today: string, language: Language, weekday?: 'short'): string {
  const days = daysTo(day, today);
  if (isNear(day, today))
    return new Intl.RelativeTimeFormat(localeOf(language), { numeric: 'auto' }).format(days, 'day');
  if (days > 0 && days < WEEK) return dateIn(day, 'weekday', language);
  const isFar = Math.abs(days) > YEAR_FROM_DAYS;
  if (weekday) return dateIn(day, isFar ? 'weekdayDated' : 'weekdayShort', language);
  return dateIn(day, isFar ? 'dated' : 'short', language);
}

const twoDigits = { hour: '2-digit', minute: '2-digit', hour12: false } as const;
const dayAndMonth = { day: 'numeric', month: 'short' } as const;
/** Ways to write a day or a moment by the calendar, where no other day stands beside it. */
const written = {
  /** 14:05 */
  time: twoDigits,
  /** 9 May */
  short: dayAndMonth,
  /** 9 May, 14:05 */
  moment: { ...dayAndMonth, ...twoDigits },
  /** 9 May 2031 */
  dated: { ...dayAndMonth, year: 'numeric' },
  /** 9 May 2031, 14:05 */
  datedMoment: { ...dayAndMonth, year: 'numeric', ...twoDigits },
  /** 9 May 2031, the month in full */
  full: { day: 'numeric', month: 'long', year: 'numeric' },
  /** 9 May, the month in full */
  longMonth: { day: 'numeric', month: 'long' },
  /** Friday */
  weekday: { weekday: 'long' },
  /** Fri 9 May */
  weekdayShort: { weekday: 'short', ...dayAndMonth },
  /** Fri 9 */
  weekdayDay: { weekday: 'short', day: 'numeric' },
  /** Fri 9 May 2031 */
  weekdayDated: { weekday: 'short', ...dayAndMonth, year: 'numeric' },
  /** Friday 9 May */
  weekdayLong: { weekday: 'long', day: 'numeric', month: 'long' },
  /** May */
  month: { month: 'short' },
  /** May, in full */
  monthName: { month: 'long' },
  /** May 2031 */
  monthYear: { month: 'long', year: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;
export type Written = keyof typeof written;

const made = new Map<string, Intl.DateTimeFormat>();
/**
 * A calendar day, or a moment on this machine's clock, as it is written.
 * @param at YYYY-MM-DD, an ISO moment, or milliseconds
 * @example dateIn('2031-05-09', 'weekdayDated', 'en') // 'Fri 9 May 2031'
 */
export function dateIn(at: string | number | Date, how: Written, language: Language): string {
  const key = `${language} ${how}`;
  const format = made.get(key) ?? new Intl.DateTimeFormat(localeOf(language), written[how]);
  made.set(key, format);
  const text = format.format(typeof at === 'string' ? parseISO(at) : at);
  // A comma stands between a day and its time only.
  return how.startsWith('weekday') ? text.replace(',', '') : text;
}
