import { type Evaluation } from '#core/mix/evaluate';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { fillDepthMm } from '#core/vessel/vessel';
import { phasesAt } from '#core/mix/water-air';

/** When a hand that lifts it waters, and how much from below brings it back. */
export interface Lift {
  /** One vessel when it is to be watered, g; its own weight not counted. */
  cellG: number;
  /** All of a tray. */
  trayG: number;
  /** Water that has gone by then, mL of a tray. */
  missingMl: number;
  /** That stands so deep in a tray without holes, mm; null where its footprint is not told. */
  depthMm: number | null;
}

/**
 * Watering by weight and from below: wet weight less what has gone; what is missing is what is poured. Model section 21.
 * @param share of the available water that has gone by then, 0.05–1
 * @param perTray vessels to a tray, a whole number from 1
 * @param footprintM2 of the tray
 */
export function liftAt(e: Evaluation, share: number, perTray: number, footprintM2?: number): Lift {
  checkRange('waterAt', share, ...limits.waterAt);
  const gone = share * e.availableWaterMl;
  const cellG = e.wetWeightG - gone;
  return {
    cellG,
    trayG: cellG * perTray,
    missingMl: gone * perTray,
    depthMm: footprintM2 === undefined ? null : (gone * perTray) / 1000 / footprintM2,
  };
}

/** Pores at the top full of water by so much, after draining, keep a film of algae and moss. Common practice. */
const WET_TOP = 0.8;

/** Whether the top stays so wet after watering that it greens in light. */
export function topStaysWet(e: Evaluation): boolean {
  const top = phasesAt(e.composition, e.column, e.drained, fillDepthMm(e.column.vessel));
  return top.water / e.composition.totalPorosity > WET_TOP;
}
