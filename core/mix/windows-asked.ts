/** What a user, a crop or a way of working can ask otherwise than the stage does. Percent, pH, mS/cm, mg/L. */
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
