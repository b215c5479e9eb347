import { addWeeks, type BenchWeek, weeksOver } from '#core/season/bench-weeks';
import { dayNumber } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { type Season } from '#core/season/season';

/** Seedlings stretch without lights so long before and after the shortest day: common practice, no source. */
const DARK_DAYS = 56;

/** Number of the shortest day nearest to a day: 21 December, or 21 June where the last frost falls in the second half of the year. */
function shortestNear(day: number, lastFrost: string): number {
  const south = Number(lastFrost.slice(5, 7)) > 6;
  const year = new Date(day * 86_400_000).getUTCFullYear();
  const near = [year - 1, year, year + 1].map((y) => dayNumber(`${y}-${south ? '06' : '12'}-21`));
  return near.reduce((a, b) => (Math.abs(b - day) < Math.abs(a - day) ? b : a));
}

/**
 * Weeks around the shortest day in which what was sown wants more bench under lights than there is, while it stands in
 * its first vessel. Nothing where no bench has lights: that nursery does without.
 */
export function darkWeeks(
  { sowings }: Pick<Season, 'sowings'>,
  { benches, frost }: Pick<SeasonSettings, 'benches' | 'frost'>,
): BenchWeek[] {
  const litM2 = benches.reduce((sum, bench) => sum + (bench.lights ? bench.m2 : 0), 0);
  if (litM2 === 0) return [];
  const need = new Map<number, number>();
  for (const { crop, steps } of sowings) {
    if (crop.start !== 'sow') continue;
    const [from, to] = [dayNumber(steps[0]!.from), dayNumber(steps[0]!.to)];
    const shortest = shortestNear(from, frost.usual);
    addWeeks(
      need,
      Math.max(from, shortest - DARK_DAYS),
      Math.min(to, shortest + DARK_DAYS),
      steps[0]!.benchM2,
    );
  }
  return weeksOver(need, litM2);
}
