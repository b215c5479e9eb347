import { checkRange } from '#core/units/check';

/** One granular class: loose volume (any unit, all alike), envelope share of its loose heap, size in mm. */
export interface Grains {
  volume: number;
  packingFraction: number;
  particleMm: number;
}

/** Compaction index of a poured heap (de Larrard 1999). */
const K_POURED = 4.1;

/**
 * Mixing shrinkage S = 1 − V_mixed / Σ v_i, from the compressible packing model: F. de Larrard, *Concrete
 * Mixture Proportioning* (1999), with K = 4.1. Fines slip between coarse pieces, so parts do not add up.
 * Made for grains; for fibrous media an estimate that a measured yield replaces.
 * @param grains at least one; volumes above 0, packing fractions 0.2–0.8, sizes above 0
 * @returns fraction; 0 for one material or equal sizes, never negative
 */
export function mixingShrinkage(grains: readonly Grains[]): number {
  if (grains.length === 0) throw new RangeError('a mix needs at least 1 material, got 0');
  const envelope = grains.map((g) => checkRange('packingFraction', g.packingFraction, 0.2, 0.8) * g.volume);
  const envelopeSum = envelope.reduce((a, b) => a + b, 0);
  const volumeSum = grains.reduce((a, g) => a + g.volume, 0);
  const phi = packingDensity(
    envelope.map((e) => e / envelopeSum),
    grains.map((g) => (g.packingFraction * (1 + K_POURED)) / K_POURED),
    grains.map((g) => g.particleMm),
    K_POURED,
  );
  return Math.max(0, 1 - envelopeSum / phi / volumeSum);
}

/**
 * Packing density φ of a blend of grain classes.
 * @param y solid-volume shares, summing to 1
 * @param beta virtual (closest possible) packing density of each class alone
 * @param d sizes, any order
 * @param k compaction index, above 0
 */
export function packingDensity(
  y: readonly number[],
  beta: readonly number[],
  d: readonly number[],
  k: number,
): number {
  const gamma = virtualDensities(y, beta, d);
  const ceiling = Math.min(...gamma);
  const compaction = (phi: number): number => {
    let sum = 0;
    for (let i = 0; i < y.length; i++) sum += y[i]! / beta[i]! / (1 / phi - 1 / gamma[i]!);
    return sum;
  };
  // The sum grows without bound towards the ceiling, so it crosses k exactly once.
  let low = 0;
  let high = ceiling;
  for (let step = 0; step < 60 && high - low > 1e-13; step++) {
    const middle = (low + high) / 2;
    if (compaction(middle) < k) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** γ_i: density if class i were the one that carries the heap, with loosening and wall effects. */
function virtualDensities(y: readonly number[], beta: readonly number[], d: readonly number[]): number[] {
  return y.map((_, i) => {
    const bi = beta[i]!;
    let hindered = 1;
    for (let j = 0; j < y.length; j++) {
      if (j === i) continue;
      const bj = beta[j]!;
      if (d[j]! >= d[i]!) {
        const wall = 1 - (1 - d[i]! / d[j]!) ** 1.5;
        hindered -= (1 - bi + wall * bi * (1 - 1 / bj)) * y[j]!;
      } else {
        const loosening = Math.sqrt(1 - (1 - d[j]! / d[i]!) ** 1.02);
        hindered -= (1 - (loosening * bi) / bj) * y[j]!;
      }
    }
    return bi / hindered;
  });
}
