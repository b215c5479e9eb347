import { type KeptEvent, type Planting, standing } from '#core/plants/planting';
import { type Crop } from '#core/season/crop';
import { dayNumber } from '#core/season/days';
import { emergenceAt } from '#core/season/emergence';
import { clockOf, daysToGone } from '#core/weeks/clock';
import { type DriedBetween, driesByOf } from '#core/weeks/dries-by';
import { airOn, type DayReading, type Keeping, leafCoverOn } from '#core/weeks/keeping';
import { type Living } from '#core/weeks/life';
import { keepingOf, type KeptThings, type UsualKeeping } from '#core/weeks/usual-keeping';

/** True leaves so long after it is up. Common practice, no source. */
const TRUE_LEAVES_DAYS = 7;

/** Days of a crop in a vessel, from the first day in it: up, rooted, with true leaves. What came counted is all of that. */
export function daysOfCrop(
  start: Crop['start'] | Planting['start'],
  crop: Pick<Crop, 'emergence'> | undefined,
  soilC: number,
): Required<Pick<Keeping['plant'], 'upOn' | 'rootedOn' | 'trueLeavesOn'>> | undefined {
  if (start === 'pot' || start === 'split' || start === 'divide')
    return { upOn: 1, rootedOn: 1, trueLeavesOn: 1 };
  if (!crop) return undefined;
  const up = 1 + Math.round(emergenceAt(crop.emergence, soilC).days);
  return { upOn: up, rootedOn: up, trueLeavesOn: up + TRUE_LEAVES_DAYS };
}

/** pH and EC that were read of a planting, by the day that it stands there. */
export function readingsAlong(events: readonly KeptEvent[], since: string): DayReading[] {
  return standing(events).flatMap((event): DayReading[] => {
    if (event.kind !== 'ph' && event.kind !== 'ec') return [];
    const day = dayNumber(event.on) - dayNumber(since) + 1;
    return [{ day, of: event.kind === 'ph' ? 'ph' : 'ecDisplacedMSPerCm', value: event.value }];
  });
}

/** What is weighed at once: a tray, or what there is of one. */
export const weighedTogether = (perTray: number, cells: number): number => Math.min(perTray, cells);

/** Share of its water that has gone at a weight. @param grams of so many vessels together, without their own weight */
export function goneAt(living: Living, grams: number, count: number): number {
  const { availableMl } = living.drier;
  if (availableMl <= 0) return 1;
  return Math.min(1, Math.max(0, (living.e.wetWeightG - grams / count) / availableMl));
}

/** Pairs of weighings with no watering between. */
function driedBetween(
  ...[living, keeping, events, since, count]: [
    Living,
    Keeping,
    readonly KeptEvent[],
    since: string,
    count: number,
  ]
): DriedBetween[] {
  const pairs: DriedBetween[] = [];
  let before: { on: number; gone: number } | null = null;
  for (const event of standing(events)) {
    if (event.kind === 'watered') before = null;
    if (event.kind !== 'weight') continue;
    const present = { on: dayNumber(event.on), gone: goneAt(living, event.grams, count) };
    if (before && present.on > before.on) {
      const day = Math.round((before.on + present.on) / 2) - dayNumber(since) + 1;
      pairs.push({
        ...{ from: before.gone, to: present.gone, days: present.on - before.on },
        potentialMmPerDay: airOn(keeping, day).potentialMmPerDay,
        leafCover: leafCoverOn(keeping, day),
      });
    }
    before = present;
  }
  return pairs;
}

/** How a planting is kept. */
export interface PlantingKept {
  keeping: Keeping;
  /** What its own weighing taught; undefined where it taught nothing. */
  driesBy: number | undefined;
}

/**
 * The keeping of a planting: the nursery's usual one, or its own, with the days of its crop, through its readings, and as
 * fast as its own weighings say. Every place that tells a day of it begins here.
 * @param about.since day from which it stands in its vessel
 * @param about.count vessels weighed together
 */
export function keptPlanting(
  living: Living,
  planting: Pick<Planting, 'start'>,
  events: readonly KeptEvent[],
  usual: UsualKeeping,
  about: { crop: Crop | undefined; soilC: number; since: string; count: number; things: KeptThings },
): PlantingKept {
  const { crop, soilC, since, count, things } = about;
  const plant = daysOfCrop(planting.start, crop, soilC);
  const plain = keepingOf(usual, things, {
    on: since,
    ...(plant && { plant }),
    readings: readingsAlong(events, since),
  });
  const driesBy = driesByOf(living.drier, driedBetween(living, plain, events, since, count));
  return { keeping: driesBy === undefined ? plain : { ...plain, driesBy }, driesBy };
}

/** What a tray of a planting weighs and holds, and when it is watered again. */
export interface TrayWater {
  /** At container capacity, its own weight not counted. */
  wetG: number;
  /** Between that and wilting. */
  availableMl: number;
  /** Share of it that may go before it is watered. */
  waterAt: number;
  /** Days from a day of the planting (1 is the first) until that has gone, so much of it gone already. */
  daysToWater: (day: number, gone: number) => number;
}

/** The one clock of a planting. */
export interface PlantingClock {
  /** Day from which it is hungry without liquid feed, from 1; null where its mix lasts. */
  feedFrom: number | null;
  tray: TrayWater;
}

/** @param count vessels weighed together */
export function plantingClock(living: Living, keeping: Keeping, count: number): PlantingClock {
  const { waterAt } = keeping.rule;
  return {
    feedFrom: clockOf(living, keeping).feedFrom,
    tray: {
      ...{ wetG: count * living.e.wetWeightG, availableMl: count * living.drier.availableMl, waterAt },
      daysToWater: (day, gone) => daysToGone(living, keeping, Math.max(1, day), waterAt, gone),
    },
  };
}
