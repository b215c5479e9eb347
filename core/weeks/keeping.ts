import { type Stage } from '#core/mix/stage';
import { checkRange, checkWhole } from '#core/units/check';
import { limits } from '#core/units/limits';

/** A reading along the way: the line goes through it. */
export interface DayReading {
  /** At the end of it; from 1. */
  day: number;
  /** EC of what drains. */
  of: 'ph' | 'ecDisplacedMSPerCm';
  value: number;
}

/** What lies on the mix: half of the evaporation comes through grit or vermiculite, a tenth through a lid or plastic. */
export const covers = ['bare', 'grit', 'vermiculite', 'lid'] as const;
export type Cover = (typeof covers)[number];

/** The air of a house. */
export interface HouseAir {
  /** Potential evaporation inside, mm a day: 0.1–20. */
  potentialMmPerDay: number;
  /** Mean of day and night. */
  tempC: number;
}

/** Watered when this share of the available water is gone; so much runs through; fed with so much from a day on. */
export interface WateringRule {
  waterAt: number;
  leachPct: number;
  feedNMgPerL: number;
  feedFromDay: number;
}

/** How a mix is kept: house, water, hand and plant. */
export interface Keeping {
  /** 1–365 */
  days: number;
  /** Of the weather: the same seed is the same weather. */
  seed: number;
  weather: HouseAir;
  /** Where the months differ: from this day on the air is this. In order. */
  later?: readonly (HouseAir & { fromDay: number })[] | undefined;
  /** As it is poured: acid has taken its share of the alkalinity, and its nitrogen is fed with every watering. */
  water: { alkalinityMgPerL: number; ecMSPerCm: number; nMgPerL?: number | undefined };
  rule: WateringRule;
  /** Somebody comes by once or twice a day and waters only then; left out, at any hour. */
  looks?: 1 | 2 | undefined;
  plant: {
    /** Leaves over the top of the vessel, m² to m², on the first day and on the last: 0–4. */
    leafCoverFrom: number;
    leafCoverTo: number;
    /** Days from the start. */
    upOn?: number | undefined;
    rootedOn?: number | undefined;
    trueLeavesOn?: number | undefined;
  };
  cover?: Cover | undefined;
  /** By how much faster than reckoned the trays of this nursery dry: what weighing taught. */
  driesBy?: number | undefined;
  /** Acidity that the feed leaves behind with each mg of its nitrogen, meq; below 0 where it limes. None where left out. */
  feedAcidMeqPerMgN?: number | undefined;
  readings?: readonly DayReading[] | undefined;
}

/** Days from the start, where nobody says. Common practice, no source. */
export const usualDays = { upOn: 7, rootedOn: 21, trueLeavesOn: 14 } as const;

/** Day from which a plant wants feed: a seed feeds its seedling until true leaves, a cutting has no roots before. */
export function wantsFeedFrom(stage: Stage, { rootedOn, trueLeavesOn }: Keeping['plant']): number {
  if (stage === 'potting') return 1;
  return stage === 'rooting' ? (rootedOn ?? usualDays.rootedOn) : (trueLeavesOn ?? usualDays.trueLeavesOn);
}

/** Leaves over the mix on a day: slow at first, fast in the middle, slow at last, 3t² − 2t³. */
export function leafCoverOn({ days, plant }: Pick<Keeping, 'days' | 'plant'>, day: number): number {
  const t = days > 1 ? Math.min(1, Math.max(0, (day - 1) / (days - 1))) : 0;
  return plant.leafCoverFrom + (plant.leafCoverTo - plant.leafCoverFrom) * t * t * (3 - 2 * t);
}

/** The air on a day. */
export function airOn({ weather, later = [] }: Pick<Keeping, 'weather' | 'later'>, day: number): HouseAir {
  return later.findLast(({ fromDay }) => day >= fromDay) ?? weather;
}

/** @throws RangeError naming the number that is out of range */
export function checkKeeping({
  days,
  seed,
  weather,
  later = [],
  water,
  rule,
  plant,
  ...more
}: Keeping): void {
  checkRange('feedAcidMeqPerMgN', more.feedAcidMeqPerMgN ?? 0, ...limits.feedAcidMeqPerMgN);
  (more.readings ?? []).forEach(({ day, of, value }, i) => {
    checkWhole(`readings.${i}.day`, day, ...limits.lifeDays);
    const [low, high] = of === 'ph' ? limits.measuredPh : limits.plantEcMSPerCm;
    checkRange(`readings.${i}.value`, value, low, high);
  });
  checkWhole('days', days, ...limits.lifeDays);
  checkWhole('seed', seed, ...limits.seed);
  for (const air of [weather, ...later]) {
    checkRange('weather.potentialMmPerDay', air.potentialMmPerDay, ...limits.potentialMmPerDay);
    checkRange('weather.tempC', air.tempC, ...limits.houseC);
  }
  checkRange('water.alkalinityMgPerL', water.alkalinityMgPerL, ...limits.alkalinityMgPerL);
  checkRange('water.ecMSPerCm', water.ecMSPerCm, ...limits.waterEcMSPerCm);
  checkRange('water.nMgPerL', water.nMgPerL ?? 0, ...limits.lifeFeedNMgPerL);
  checkRange('rule.waterAt', rule.waterAt, ...limits.waterAt);
  checkRange('rule.leachPct', rule.leachPct, ...limits.leachPct);
  checkRange('rule.feedNMgPerL', rule.feedNMgPerL, ...limits.lifeFeedNMgPerL);
  checkWhole('rule.feedFromDay', rule.feedFromDay, ...limits.feedFromDay);
  checkRange('plant.leafCoverFrom', plant.leafCoverFrom, ...limits.leafCover);
  checkRange('plant.leafCoverTo', plant.leafCoverTo, ...limits.leafCover);
  for (const name of ['upOn', 'rootedOn', 'trueLeavesOn'] as const)
    if (plant[name] !== undefined) checkWhole(`plant.${name}`, plant[name], ...limits.plantDay);
  checkRange('driesBy', more.driesBy ?? 1, ...limits.driesBy);
}
