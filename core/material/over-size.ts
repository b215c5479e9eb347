import { type Material } from '#core/material/material';
import { normalCdf, normalQuantile } from '#core/stats/normal';

/** The largest piece is the 99th percentile of the grains by volume. */
const LARGEST_AT = normalQuantile(0.99);

/** σ of ln(size): the usual size is the median, the largest piece the 99th percentile. Common practice, no source. */
export const grainSpread = ({
  particleMm,
  maxParticleMm,
}: Pick<Material, 'particleMm' | 'maxParticleMm'>): number =>
  Math.log(maxParticleMm / particleMm) / LARGEST_AT;

/**
 * Share of the volume of a material in pieces larger than so much, 0–1: a log-normal of its grains by volume.
 * @example overSizeShare({ particleMm: 2, maxParticleMm: 10 }, 7.5) // 0.028: medium peat in a 72-cell tray
 */
export function overSizeShare(material: Pick<Material, 'particleMm' | 'maxParticleMm'>, mm: number): number {
  if (mm >= material.maxParticleMm) return 0;
  const spread = grainSpread(material);
  if (spread < 1e-9) return 1;
  return 1 - normalCdf(Math.log(mm / material.particleMm) / spread);
}
