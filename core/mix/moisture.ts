import { type Vessel } from '#core/vessel/vessel';

/** The squeeze scale: degree of saturation (water / pores) and what the hand feels. Common practice, no source. */
export const squeezes = [
  { name: 'dusty', upTo: 0.15 },
  { name: 'crumbles', upTo: 0.3 },
  { name: 'clump', upTo: 0.5 },
  { name: 'beads', upTo: 0.7 },
  { name: 'oozes', upTo: 0.9 },
  { name: 'slurry', upTo: Infinity },
] as const;
export type Squeeze = (typeof squeezes)[number]['name'];
export const squeezeNames = squeezes.map((s) => s.name) as unknown as readonly [Squeeze, ...Squeeze[]];

/** Degree of saturation that a squeeze tells of, 0–1. */
export function squeezeRange(name: Squeeze): readonly [low: number, high: number] {
  const at = squeezes.findIndex((s) => s.name === name);
  return [at === 0 ? 0 : squeezes[at - 1]!.upTo, Math.min(1, squeezes[at]!.upTo)];
}

/** What a handful does at a degree of saturation, 0–1. */
export function squeezeAt(saturation: number): Squeeze {
  return squeezes.find((s) => saturation < s.upTo)!.name;
}

export const moistures = ['sowing', 'block'] as const;
export type Moisture = (typeof moistures)[number];

/** Degree of saturation (water / pores) to mix to: common practice, no source. */
export const targetSaturation: Record<Moisture, number> = { sowing: 0.45, block: 0.8 };

/** What a mix is wetted for where nobody says: blocks are pressed wet. */
export const usualMoisture = (vessel: Vessel): Moisture => (vessel.shape === 'block' ? 'block' : 'sowing');
