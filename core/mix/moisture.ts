import { type Vessel } from '#core/vessel/vessel';

/** The squeeze scale: degree of saturation (water / pores) and what the hand feels. Common practice, no source. */
export const squeezes = [
  { upTo: 0.15, says: 'dusty' },
  { upTo: 0.3, says: 'crumbles' },
  { upTo: 0.5, says: 'holds a clump and crumbs open' },
  { upTo: 0.7, says: 'holds and beads' },
  { upTo: 0.9, says: 'oozes between the fingers' },
  { upTo: Infinity, says: 'slurry' },
] as const;

/** What a handful does at a degree of saturation, 0–1. */
export function squeezeAt(saturation: number): string {
  return squeezes.find((s) => saturation < s.upTo)!.says;
}

export const moistures = ['sowing', 'block'] as const;
export type Moisture = (typeof moistures)[number];

/** Degree of saturation (water / pores) to mix to: common practice, no source. */
export const targetSaturation: Record<Moisture, number> = { sowing: 0.45, block: 0.8 };

/** What a mix is wetted for where nobody says: blocks are pressed wet. */
export const usualMoisture = (vessel: Vessel): Moisture => (vessel.shape === 'block' ? 'block' : 'sowing');
