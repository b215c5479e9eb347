import { allow } from '#core/units/allowed';
import { type Material } from '#core/material/material';
import { grainSpread, overSizeShare } from '#core/material/over-size';
import { withPores } from '#core/material/pores';
import { normalQuantile } from '#core/stats/normal';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** What goes through a screen, and how much does not. */
export interface Screened {
  material: Material;
  /** Share of the loose material that stays on the screen, 0–1. */
  oversizeShare: number;
}

const made = new WeakMap<Material, Map<number, Screened>>();

/**
 * A material screened at an aperture. What is over it stays on the screen (`overSizeShare`); the usual size of what
 * goes through is the median of the rest, and its pores are narrower by the same step. An estimate: common practice,
 * no source; your own drain test of the screened material replaces it.
 * @param apertureMm 0.5–50; at or over the largest piece nothing changes
 */
export function screened(material: Material, apertureMm: number): Screened {
  checkRange('screenedMm', apertureMm, ...limits.screenedMm);
  if (apertureMm >= material.maxParticleMm) return { material, oversizeShare: 0 };
  let existing = made.get(material);
  if (!existing) made.set(material, (existing = new Map<number, Screened>()));
  let each = existing.get(apertureMm);
  if (!each) existing.set(apertureMm, (each = screen(material, apertureMm)));
  return each;
}

function screen(material: Material, apertureMm: number): Screened {
  const oversizeShare = Math.min(0.95, overSizeShare(material, apertureMm));
  const finer = Math.exp(grainSpread(material) * normalQuantile((1 - oversizeShare) / 2));
  const through = withPores(material, finer, {
    name: gradeName(material, `screened at ${apertureMm} mm`),
    maxParticleMm: apertureMm,
    particleMm: Math.min(apertureMm, material.particleMm * finer),
  });
  return { material: through, oversizeShare };
}

/**
 * What stays on the screen: bits from the aperture to the largest, so much coarser and airier by the same step.
 * @param apertureMm under the largest piece
 * @throws OutOfRange where nothing stays on
 */
export function oversizeOf(material: Material, apertureMm: number): Material {
  const { maxParticleMm: largest, particleMm: middle } = material;
  if (!(apertureMm >= limits.screenedMm[0] && apertureMm < largest))
    throw new OutOfRange(
      'apertureMm',
      apertureMm,
      allow('allowed.under-largest', { fromMm: limits.screenedMm[0], underMm: largest }),
    );
  const size = Math.sqrt(apertureMm * largest);
  return withPores(material, size / middle, {
    name: gradeName(material, `over ${apertureMm} mm`),
    particleMm: size,
  });
}

/** Its name with another grade than the one in brackets. */
const gradeName = ({ name }: Material, grade: string): string =>
  `${name.replace(/\s*\([^)]* mm[^)]*\)$/, '')} (${grade})`;
