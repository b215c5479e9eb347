import { smallestTrials } from '#core/stats/binomial';
import { checkRange, checkWhole } from '#core/units/check';
import { dayNumber, dayOf, isoWeekOf, weekNumber } from '#core/season/days';
import { limits } from '#core/units/limits';
import { volumeL, type Vessel } from '#core/vessel/vessel';

/** Seed of a step that begins with it. */
export interface Seeds {
  perCell: number;
  germination: number;
  confidence: number;
  /** Thinned to one, or every seedling kept. */
  keep: 'one' | 'all';
}

/** Some weeks in one kind of vessel. */
export interface PlanStep {
  vessel: Vessel;
  perTray: number;
  trayM2: number;
  weeks: number;
  lossPct: number;
  /** Longest that it should stand there, weeks; left out, a month to the cubic inch. */
  mostWeeks?: number | undefined;
  seeds?: Seeds | undefined;
}

export interface PlannedCrop {
  id: string;
  /** Wanted of each sowing. */
  plants: number;
  /** Days from the last frost to planting; below 0 before it. */
  plantOutDays: number;
  sparePct: number;
  sowings: { count: number; everyDays: number };
  /** Days by which a sowing, from the first on, is moved. */
  shifts?: readonly number[] | undefined;
  /** From the first vessel to the last. */
  steps: readonly PlanStep[];
}

export interface StepPlan {
  /** From this day up to, not including, `to`; YYYY-MM-DD. */
  from: string;
  to: string;
  /** Needed at its end. */
  plants: number;
  /** To sow, or to fill: plants before its loss. */
  cells: number;
  trays: number;
  litres: number;
  benchM2: number;
  /** Weeks over what a vessel of its size bears; null where it is not too long. */
  tooLongWeeks: number | null;
}

export interface SowingPlan {
  id: string;
  /** From 1. */
  sowing: number;
  plantOn: string;
  steps: StepPlan[];
}

export interface WeekPlan {
  /** ISO week, "2027-W09". */
  week: string;
  benchM2: number;
  litres: number;
  over: boolean | null;
}

/** A month to the cubic inch: common practice, no source. */
const WEEKS_PER_ML = 4.345 / 16.387;

/** Weeks that a plant may stay in a vessel. @param own limit of the crop there, where it has one */
export const mostWeeksIn = (litresEach: number, own?: number): number =>
  own ?? WEEKS_PER_ML * litresEach * 1000;

/** Up to the next whole one; what is whole to rounding stays. */
const whole = (value: number): number => Math.ceil(value - 1e-9);

/** Cells to sow so that enough stand with the confidence asked. */
function sown({ perCell, germination, confidence, keep }: Seeds, needed: number): number {
  checkWhole('seeds.perCell', perCell, ...limits.seedsPerCell);
  checkRange('seeds.germination', germination, ...limits.germination);
  checkRange('seeds.confidence', confidence, ...limits.confidence);
  const key = `${keep} ${perCell} ${germination} ${confidence} ${needed}`;
  let cells = stands.get(key);
  if (cells === undefined) {
    cells = cellsFor(perCell, germination, confidence, keep, needed);
    if (stands.size > 5000) stands.clear();
    stands.set(key, cells);
  }
  return cells;
}

/** Stands asked before: a season is planned anew at every touch, and its stands are mostly the same. */
const stands = new Map<string, number>();

function cellsFor(
  perCell: number,
  germination: number,
  confidence: number,
  keep: Seeds['keep'],
  needed: number,
): number {
  return keep === 'one'
    ? smallestTrials(1 - (1 - germination) ** perCell, needed, confidence)
    : // Each seed is a try, and more tries never lower the chance.
      whole(smallestTrials(germination, needed, confidence) / perCell);
}

type Amounts = Omit<StepPlan, 'from' | 'to'> & { days: number };

/** What each step takes, from the first to the last; the same for every sowing of a crop. */
function amountsOf(crop: PlannedCrop): Amounts[] {
  let needed = whole(crop.plants * (1 + crop.sparePct / 100));
  return [...crop.steps]
    .reverse()
    .map((step) => {
      checkRange('steps.lossPct', step.lossPct, ...limits.lossPct);
      checkRange('steps.weeks', step.weeks, ...limits.stepWeeks);
      const plants = needed;
      needed = whole(plants / (1 - step.lossPct / 100));
      const cells = step.seeds ? sown(step.seeds, needed) : needed;
      const trays = Math.ceil(cells / step.perTray);
      const litresEach = volumeL(step.vessel);
      const over = step.weeks - mostWeeksIn(litresEach, step.mostWeeks);
      return {
        ...{ plants, cells, trays, days: Math.round(7 * step.weeks) },
        litres: trays * step.perTray * litresEach,
        benchM2: trays * step.trayM2,
        tooLongWeeks: over > 0 ? over : null,
      };
    })
    .reverse();
}

export interface WeekSums {
  benchM2: number;
  litres: number;
}

/** What one crop takes: its sowings, and bench and mix by number of the week. */
export interface CropPlan {
  sowings: SowingPlan[];
  byWeek: Map<number, WeekSums>;
}

/**
 * Counts a crop back from its planting days through every vessel to the sowing days (model § 19).
 * @param frost number of the day of the usual last frost
 * @throws OutOfRange naming the figure and its range
 */
export function planCrop(frost: number, crop: PlannedCrop): CropPlan {
  const sowings: SowingPlan[] = [];
  const byWeek = new Map<number, WeekSums>();
  const at = (week: number): WeekSums => {
    let sums = byWeek.get(week);
    if (!sums) byWeek.set(week, (sums = { benchM2: 0, litres: 0 }));
    return sums;
  };
  const amounts = amountsOf(crop);
  for (let k = 0; k < crop.sowings.count; k++) {
    const plantOn = frost + crop.plantOutDays + k * crop.sowings.everyDays + (crop.shifts?.[k] ?? 0);
    const steps: StepPlan[] = [];
    let to = plantOn;
    for (let i = amounts.length - 1; i >= 0; i--) {
      const { days, plants, cells, trays, litres, benchM2, tooLongWeeks } = amounts[i]!;
      const from = to - days;
      // Written out: spreading so many objects would cost more than all the counting.
      steps.push({ from: dayOf(from), to: dayOf(to), plants, cells, trays, litres, benchM2, tooLongWeeks });
      at(weekNumber(from)).litres += litres;
      if (days > 0)
        for (let week = weekNumber(from); week <= weekNumber(to - 1); week++) at(week).benchM2 += benchM2;
      to = from;
    }
    sowings.push({ id: crop.id, sowing: k + 1, plantOn: dayOf(plantOn), steps: steps.reverse() });
  }
  return { sowings, byWeek };
}

/**
 * Bench and mix of several crops by week, without a gap from the first to the last.
 * @param benchM2 what there is; weeks over it are marked
 */
export function weeksOf(plans: Iterable<Pick<CropPlan, 'byWeek'>>, benchM2?: number): WeekPlan[] {
  const whole = new Map<number, WeekSums>();
  for (const { byWeek } of plans)
    for (const [week, { benchM2: m2, litres }] of byWeek) {
      const sums = whole.get(week);
      if (!sums) whole.set(week, { benchM2: m2, litres });
      else {
        sums.benchM2 += m2;
        sums.litres += litres;
      }
    }
  if (whole.size === 0) return [];
  const numbers = [...whole.keys()];
  const first = numbers.reduce((a, b) => Math.min(a, b));
  const last = numbers.reduce((a, b) => Math.max(a, b));
  return Array.from({ length: last - first + 1 }, (_, i): WeekPlan => {
    const sums = whole.get(first + i) ?? { benchM2: 0, litres: 0 };
    const over = benchM2 === undefined ? null : sums.benchM2 > benchM2 + 1e-9;
    return { week: isoWeekOf(first + i), ...sums, over };
  });
}

/**
 * All crops counted back, and bench and mix added up by week.
 * @param lastFrost YYYY-MM-DD
 * @throws OutOfRange naming the figure and its range
 */
export function planSeason(
  lastFrost: string,
  crops: readonly PlannedCrop[],
  benchM2?: number,
): { crops: SowingPlan[]; weeks: WeekPlan[] } {
  const frost = dayNumber(lastFrost, 'lastFrost');
  const plans = crops.map((crop) => planCrop(frost, crop));
  return { crops: plans.flatMap(({ sowings }) => sowings), weeks: weeksOf(plans, benchM2) };
}
