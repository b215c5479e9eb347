import { type Amendment } from '#core/material/amendment';
import { type Stage } from '#core/mix/stage';
import { type Evaluation } from '#core/mix/evaluate';
import { type Dose } from '#core/mix/ph';
import { releasedMgPerL } from '#core/mix/release';
import { volumeL, type Vessel } from '#core/vessel/vessel';

/**
 * Nitrogen that one plant takes up in each week after the start of the stage, mg. Common practice, no source:
 * a young vegetable transplant that doubles each week until it slows. Editable by the caller.
 */
export const demandMgPerPlant: Record<Stage, readonly number[]> = {
  germination: [0, 0.2, 0.6, 1.5, 3, 5, 8, 11],
  rooting: [0, 0, 0.5, 1, 2, 4, 6, 9],
  seedling: [1, 2, 4, 7, 11, 16, 21, 25],
  potting: [4, 8, 14, 22, 32, 42, 50, 56],
};

/** Share of nitrogen set free that the roots get before watering takes it. Common practice, no source. */
const TAKEN_UP = 0.7;

/** Every feed that is in it, dosed or come with a part. */
export const feedsIn = ({ doses, carried }: Evaluation): Dose[] => [...doses, ...carried];

/** A warm house, °C: what feeds are reckoned at where nobody says. Common practice, no source. */
export const WARM_HOUSE_C = 20;

export interface FeedWeek {
  week: number;
  /** Set free since mixing and within reach of the roots, mg per plant. */
  supplyMg: number;
  /** Taken up since the start, mg per plant. */
  demandMg: number;
}

export interface Feeding {
  weeks: FeedWeek[];
  /** First week in which the plant wants more than there is; null when it never does in the weeks drawn. */
  shortFromWeek: number | null;
}

/**
 * Supply against demand, week by week.
 * @param celsius mean temperature of the mix, 2–40
 * @param demand mg of N per plant in each week
 */
export function feedingOf(
  evaluation: Evaluation,
  vessel: Vessel,
  celsius: number,
  demand: readonly number[],
): Feeding {
  const litres = volumeL(vessel);
  const { densification, parts, shares } = evaluation.composition;
  const fromMaterials =
    densification * parts.reduce((sum, p, i) => sum + shares[i]! * p.material.availableNMgPerL, 0);
  let taken = 0;
  const weeks = demand.map((mg, i) => {
    taken += mg;
    const free = fromMaterials + releasedMgPerL(feedsIn(evaluation), 'n', i + 1, celsius);
    return { week: i + 1, supplyMg: litres * free * TAKEN_UP, demandMg: taken };
  });
  return { weeks, shortFromWeek: weeks.find((w) => w.demandMg > w.supplyMg)?.week ?? null };
}

export interface TopDressing {
  /** First week in which the mix alone gives too little. */
  fromWeek: number;
  /** Of the product, on one vessel. */
  grams: number;
  /** Its own ceiling is less than what the plants would want. */
  capped: boolean;
}

/**
 * Slow feed that is laid on top when the mix has given what it had: so much of it that with its help the weeks drawn are
 * fed, and no more than its ceiling in pots.
 * @param celsius mean temperature of the mix, 2–40
 * @returns null where the mix lasts, or where the product sets no nitrogen free
 */
export function topDressing(
  evaluation: Evaluation,
  vessel: Vessel,
  product: Amendment,
  celsius: number,
  demand: readonly number[],
): TopDressing | null {
  const { weeks, shortFromWeek } = feedingOf(evaluation, vessel, celsius, demand);
  if (shortFromWeek === null) return null;
  const left = weeks.length - shortFromWeek + 1;
  const mgPerG = releasedMgPerL([{ amendment: product, gPerL: 1 }], 'n', left, celsius);
  if (mgPerG <= 0) return null;
  const { demandMg, supplyMg } = weeks.at(-1)!;
  const wanted = Math.max(0, demandMg - supplyMg) / (TAKEN_UP * mgPerG);
  const most = product.mostPottingGPerL > 0 ? product.mostPottingGPerL * volumeL(vessel) : Infinity;
  return { fromWeek: shortFromWeek, grams: Math.min(wanted, most), capped: wanted > most };
}
