import { dayNumber, isoWeekOf, weekNumber } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { type Season } from '#core/season/season';

/** Plants that dislike nights below it stand warm until the frosts are over: common practice, no source. */
const WARM_C = 5;

export interface WarmWeek {
  week: string;
  /** Bench that must be warm, and what is heated. */
  needM2: number;
  heatedM2: number;
}

/**
 * Weeks in which what comes up, roots, or dislikes cold wants more heated bench than there is. Until the late frost;
 * what is hardened off does not count. Nothing where no bench is told to be heated or not.
 */
export function coldWeeks(
  { sowings }: Pick<Season, 'sowings'>,
  { benches, frost }: Pick<SeasonSettings, 'benches' | 'frost'>,
): WarmWeek[] {
  if (benches.length === 0) return [];
  const heatedM2 = benches.reduce((sum, bench) => sum + (bench.heated ? bench.m2 : 0), 0);
  const late = dayNumber(frost.late);
  const need = new Map<number, number>();
  for (const { crop, plantOn, steps } of sowings) {
    const hardened = dayNumber(plantOn) - crop.hardenDays;
    for (const step of steps) {
      const tender =
        crop.coldestC >= WARM_C || step.step.stage === 'germination' || step.step.stage === 'rooting';
      if (!tender) continue;
      const from = dayNumber(step.from);
      const to = Math.min(dayNumber(step.to), hardened, late);
      if (to <= from) continue;
      for (let week = weekNumber(from); week <= weekNumber(to - 1); week++)
        need.set(week, (need.get(week) ?? 0) + step.benchM2);
    }
  }
  return [...need]
    .filter(([, m2]) => m2 > heatedM2 + 1e-9)
    .sort(([a], [b]) => a - b)
    .map(([week, needM2]) => ({ week: isoWeekOf(week), needM2, heatedM2 }));
}
