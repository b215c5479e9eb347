import { type LimitName } from '#core/units/limits';

/** What a user, a crop or an approach can ask otherwise than the stage does. Percent, pH, mS/cm, mg/L. */
export const windowIds = [
  'airPct',
  'blockAirPct',
  'cohesion',
  'ph',
  'ecSaturatedMSPerCm',
  'nMgPerL',
  'easilyAvailableWaterPct',
  'wetDensityKgPerL',
] as const;
export type WindowId = (typeof windowIds)[number];

/** Both ends included. */
export interface AskedWindow {
  low: number;
  high: number;
  /** Who says so. */
  source: string;
}

export type AskedWindows = Partial<Record<WindowId, AskedWindow>>;

/** Between which numbers the ends of each window may be set. */
export const windowLimits: Record<WindowId, LimitName> = {
  airPct: 'windowPct',
  blockAirPct: 'windowPct',
  cohesion: 'windowShare',
  ph: 'windowPh',
  ecSaturatedMSPerCm: 'windowEcMSPerCm',
  nMgPerL: 'windowNMgPerL',
  easilyAvailableWaterPct: 'windowPct',
  wetDensityKgPerL: 'windowKgPerL',
};
