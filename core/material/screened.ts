import { type Material } from '#core/material/material';
import { adoptCurve, retentionOf, waterAt } from '#core/material/retention';
import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** What goes through a screen, and how much does not. */
export interface Screened {
  material: Material;
  /** Share of the loose material that stays on the screen, 0–1. */
  oversizeShare: number;
}

const made = new WeakMap<Material, Map<number, Screened>>();

/**
 * A material screened at an aperture. Bits are taken as spread evenly over the logarithm of their size, from the
 * largest down, with the characteristic size in the middle; what is left is finer by so much, and its pores narrower by
 * the same step. An estimate: common practice, no source; your own drain test of the screened material replaces it.
 * @param apertureMm 0.5–50; at or over the largest piece nothing changes
 */
export function screened(material: Material, apertureMm: number): Screened {
  checkRange('screenedMm', apertureMm, ...limits.screenedMm);
  if (apertureMm >= material.maxParticleMm) return { material, oversizeShare: 0 };
  let known = made.get(material);
  if (!known) made.set(material, (known = new Map<number, Screened>()));
  let one = known.get(apertureMm);
  if (!one) known.set(apertureMm, (one = screen(material, apertureMm)));
  return one;
}

function screen(material: Material, apertureMm: number): Screened {
  const { maxParticleMm: largest, particleMm: middle } = material;
  const spread = Math.log(largest / Math.min(middle, 0.99 * largest));
  // As far below the middle as the largest is above it.
  const oversizeShare = Math.min(0.95, Math.log(largest / apertureMm) / (2 * spread));
  const finer = Math.exp(-spread * oversizeShare);
  const curve = retentionOf(material);
  const other: Material = {
    ...material,
    name: material.name.replace(/\s*\([^)]* mm[^)]*\)$/, '') + ` (screened at ${apertureMm} mm)`,
    maxParticleMm: apertureMm,
    particleMm: Math.min(apertureMm, middle * finer),
    waterAt10Cm: waterAt(curve, 10 * finer),
    waterAt50Cm: waterAt(curve, 50 * finer),
    waterAt100Cm: waterAt(curve, 100 * finer),
    airEntryCm: curve.airEntryCm / finer,
  };
  adoptCurve(other, {
    ...curve,
    alphaPerCm: curve.alphaPerCm * finer,
    airEntryCm: curve.airEntryCm / finer,
  });
  return { material: other, oversizeShare };
}
