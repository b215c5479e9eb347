import { narrowestSideMm, type Vessel } from '#core/vessel/vessel';

/** The largest piece that fits a vessel, mm: a quarter of its narrowest side, which is its base; a third of a block's. */
export const pieceLimitMm = (vessel: Vessel): number =>
  narrowestSideMm(vessel) / (vessel.shape === 'block' ? 3 : 4);

/** The screen through which all that fits goes: apertures come in whole and half millimetres. */
export const apertureFor = (vessel: Vessel): number =>
  Math.max(0.5, Math.floor(pieceLimitMm(vessel) * 2) / 2);
