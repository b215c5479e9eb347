import { type Crop } from '#core/season/crop';
import { limits } from '#core/units/limits';
import { topAreaMm2, type VesselKind } from '#core/vessel/tray';

/** An open flat has at least so much top, and no more depth: common practice, no source. */
const FLAT_FROM_MM2 = 20_000;
const FLAT_TO_DEEP_MM = 120;

/** Seedlings to prick out have room for two leaves: common practice, no source. */
export const usualPerCm2 = 0.5;

/** Whether it is sown as an area, in rows or broadcast, and not seed by seed. */
export const isOpenFlat = ({ vessel, perTray }: Pick<VesselKind, 'vessel' | 'perTray'>): boolean =>
  vessel.shape === 'rect' &&
  perTray === 1 &&
  topAreaMm2(vessel) >= FLAT_FROM_MM2 &&
  vessel.depthMm <= FLAT_TO_DEEP_MM;

/** Seeds to one flat at so many to the square centimetre. */
export const seedsByArea = ({ vessel }: Pick<VesselKind, 'vessel'>, perCm2: number): number =>
  Math.min(limits.seedsPerCell[1], Math.max(1, Math.round((perCm2 * topAreaMm2(vessel)) / 100)));

/**
 * Seeds, or cuttings, to one vessel: as its line says, by its area in an open flat, else as the crop usually has them.
 * @example seedsInOne({ perCell: null }, lettuce, flat540x280) // 756
 */
export function seedsInOne(
  { perCell }: { perCell?: number | null | undefined },
  crop: Pick<Crop, 'start' | 'perCell' | 'seedsPerCm2'>,
  kind: Pick<VesselKind, 'vessel' | 'perTray'>,
): number {
  if (perCell) return perCell;
  return crop.start === 'sow' && isOpenFlat(kind)
    ? seedsByArea(kind, crop.seedsPerCm2 ?? usualPerCm2)
    : crop.perCell;
}
