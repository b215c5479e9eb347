import { mixOfOneL, type VesselKind } from '#core/vessel/tray';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';

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
  const mixL = 100 * mixOfOneL(kind);
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
