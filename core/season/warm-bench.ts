import { addWeeks, type BenchWeek, weeksOver } from '#core/season/bench-weeks';
import { dayNumber } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { type Season } from '#core/season/season';

/** Plants that dislike nights below it stand warm until the frosts are over: common practice, no source. */
const WARM_C = 5;

/**
 * Weeks in which what comes up, roots, or dislikes cold wants more heated bench than there is. Until the late frost;
 * what is hardened off does not count. Nothing where no bench is told to be heated or not.
 */
export function coldWeeks(
  { sowings }: Pick<Season, 'sowings'>,
  { benches, frost }: Pick<SeasonSettings, 'benches' | 'frost'>,
): BenchWeek[] {
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
      addWeeks(need, dayNumber(step.from), Math.min(dayNumber(step.to), hardened, late), step.benchM2);
    }
  }
  return weeksOver(need, heatedM2);
}
