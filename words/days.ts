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
  const say = (parts: Intl.DateTimeFormatOptions): string =>
    new Intl.DateTimeFormat(localeOf(language), parts).format(parseISO(day));
  if (days > 0 && days < WEEK) return say({ weekday: 'long' });
  const year = Math.abs(days) > YEAR_FROM_DAYS ? ({ year: 'numeric' } as const) : {};
  return say({ ...(weekday && { weekday }), day: 'numeric', month: 'short', ...year });
}

/** A day by its weekday: "Monday 3 March". */
export const weekdayOf = (day: string, language: Language): string =>
  new Intl.DateTimeFormat(localeOf(language), { weekday: 'long', day: 'numeric', month: 'long' })
    .format(parseISO(day))
    .replace(',', '');
