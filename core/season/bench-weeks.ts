import { isoWeekOf, weekNumber } from '#core/season/days';

/** A week in which a kind of bench is too small. */
export interface BenchWeek {
  week: string;
  needM2: number;
  haveM2: number;
}

/** Adds so many square metres in every week from a day to the day before another. */
export function addWeeks(need: Map<number, number>, from: number, to: number, m2: number): void {
  if (to <= from) return;
  for (let week = weekNumber(from); week <= weekNumber(to - 1); week++)
    need.set(week, (need.get(week) ?? 0) + m2);
}

/** Weeks that need more than there is, in their order. */
export const weeksOver = (need: ReadonlyMap<number, number>, haveM2: number): BenchWeek[] =>
  [...need]
    .filter(([, m2]) => m2 > haveM2 + 1e-9)
    .sort(([a], [b]) => a - b)
    .map(([week, needM2]) => ({ week: isoWeekOf(week), needM2, haveM2 }));
