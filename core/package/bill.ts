import { type Composition } from '#core/mix/composition';
import { type Dose } from '#core/mix/ph';
import { type Wanted } from '#core/package/stock';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';

interface Mixed {
  composition: Composition;
  doses: readonly Dose[];
}

/** What a litre of finished mix takes: loose litres of materials as bought, kilograms of products. */
export function takesOf({ composition, doses }: Mixed): Wanted[] {
  const { parts, shares, densification } = composition;
  return [
    ...parts.map(({ material, screen }, i) => ({
      item: material.id,
      // What goes over a screen is more than what comes through.
      perLitre: (densification * shares[i]!) / (1 - (screen?.oversizeShare ?? 0)),
    })),
    ...doses.map(({ amendment, gPerL }) => ({ item: amendment.id, perLitre: gPerL / 1000 })),
  ];
}

export interface Bill {
  /** Of what has a price, for a litre of finished mix. */
  perLitre: number;
  /** What has none. */
  unpriced: string[];
  lines: { item: string; perLitre: number }[];
}

/** Money of a litre of mix. @param priceOf a litre or a kilogram; null where it is not known */
export function billOf(wanted: readonly Wanted[], priceOf: (item: string) => number | null): Bill {
  const bill: Bill = { perLitre: 0, unpriced: [], lines: [] };
  for (const { item, perLitre } of wanted) {
    if (perLitre === 0) continue;
    const price = priceOf(item);
    if (price === null) bill.unpriced.push(item);
    else {
      bill.perLitre += perLitre * price;
      bill.lines.push({ item, perLitre: perLitre * price });
    }
  }
  return bill;
}

/** What a hundred plants take in a vessel: mix, money, time and bench. */
export interface VesselCost {
  mixL: number;
  /** Of the mix, of the vessel's wear, of the time; null where it is not known. */
  mixMoney: number | null;
  vesselMoney: number | null;
  minutes: number | null;
  labourMoney: number | null;
  benchM2: number | null;
}

/**
 * Cells against blocks, a hundred plants of each (a plant to a vessel).
 * @param pricePerL of mix; null where it is not known
 * @param labourPerHour money of an hour; undefined leaves the time unpriced
 */
export function vesselCost(kind: VesselKind, pricePerL: number | null, labourPerHour?: number): VesselCost {
  if (labourPerHour !== undefined) checkRange('labourPerHour', labourPerHour, ...limits.money);
  const mixL = kind.ownMix ? 0 : 100 * volumeL(kind.vessel);
  const { price, uses = 1, minutesPerHundred = null, footprintM2, perTray } = kind;
  const trays = 100 / perTray;
  return {
    mixL,
    mixMoney: pricePerL === null ? null : mixL * pricePerL,
    vesselMoney: price === undefined ? null : (trays * price) / uses,
    minutes: minutesPerHundred,
    labourMoney:
      minutesPerHundred === null || labourPerHour === undefined
        ? null
        : (minutesPerHundred / 60) * labourPerHour,
    benchM2: footprintM2 === undefined ? null : trays * footprintM2,
  };
}
