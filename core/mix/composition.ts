import { allow } from '#core/units/allowed';
import { type Material } from '#core/material/material';
import { screened } from '#core/material/screened';
import { mixingShrinkage } from '#core/mix/packing';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** So many parts, by volume of the loose material. */
export interface Part {
  material: Material;
  parts: number;
  /** Where it is screened first: at which aperture, and the share of it that stays on the screen. */
  screen?: { mm: number; oversizeShare: number };
}

/**
 * How much more suction a pore takes as it is pressed: suction goes with D_c to this power (Assouline, Vadose Zone J.
 * 5:554 (2006), from memory). Found on mineral soils and untried on peat.
 */
export const FIRMING_EXPONENT = 3.97;

/** So many parts of a material, screened first where an aperture is given. */
export function partOf(material: Material, parts: number, screenedMm?: number): Part {
  if (screenedMm === undefined) return { material, parts };
  const { material: through, oversizeShare } = screened(material, screenedMm);
  return { material: through, parts, screen: { mm: screenedMm, oversizeShare } };
}

const MOST_COMPONENTS = limits.materialsInMix[1];
export const MOST_COMPACTION = limits.compactionPct[1] / 100;

/** What the parts become once mixed and firmed. Fractions of the finished volume unless a unit is named. */
export interface Composition {
  parts: readonly Part[];
  /** f_i: share of each part in the loose volume; sums to 1. */
  shares: readonly number[];
  /** S: loose volume lost by mixing. */
  shrinkage: number;
  compaction: number;
  /** D: loose litres in a litre of finished mix; the product of the two below. */
  densification: number;
  /**
   * What the unfirmed mix holds of the pores of its loose materials, and of the water in them: TP₀/Φ, with
   * Φ = Σ f φ. Mixing takes its volume from pores of every size alike.
   */
  heldShare: number;
  /** D_c: litres of that in a litre of finished mix. */
  firmedDensification: number;
  dryBulkDensityGPerL: number;
  totalPorosity: number;
  /** Power with which pores narrow as they are pressed. */
  firmingExponent: number;
  /** Water that the materials bring along as bought. */
  waterAsBought: number;
}

/**
 * @param parts 1–30 materials, parts above 0 and at most 1000
 * @param compaction firming, 0–0.5
 * @param measuredShrinkage the user's own yield for this mix; replaces the estimate
 * @throws RangeError for a bad count or number, or when firming would leave no pores
 */
export function compose(
  parts: readonly Part[],
  compaction: number,
  measuredShrinkage?: number,
  firmingExponent = FIRMING_EXPONENT,
): Composition {
  if (parts.length < 1 || parts.length > MOST_COMPONENTS) {
    throw new OutOfRange(
      'components',
      parts.length,
      allow('allowed.things', { low: 1, high: MOST_COMPONENTS, what: 'materials' }),
    );
  }
  parts.forEach((p, i) => checkRange(`components.${i}.parts`, p.parts, ...limits.scoopedParts));
  checkRange('compaction', compaction, 0, MOST_COMPACTION);
  const shrinkage =
    measuredShrinkage ??
    mixingShrinkage(
      parts.map(({ material, parts: volume }) => ({
        volume,
        packingFraction: material.packingFraction,
        particleMm: material.particleMm,
      })),
    );
  const sum = parts.reduce((total, p) => total + p.parts, 0);
  const shares = parts.map((p) => p.parts / sum);
  const densification = 1 / ((1 - shrinkage) * (1 - compaction));
  const mean = (of: (m: Material) => number): number =>
    densification * parts.reduce((total, p, i) => total + shares[i]! * of(p.material), 0);
  const totalPorosity = 1 - mean((m) => 1 - m.totalPorosity);
  if (totalPorosity <= 0.02) {
    const most = 1 - (1 - compaction) * ((1 - totalPorosity) / 0.98);
    throw new OutOfRange(
      'compactionPct',
      round1(compaction * 100),
      allow('allowed.leaves-pores', { pct: round1(100 * Math.max(0, most)) }),
    );
  }
  return {
    parts,
    shares,
    shrinkage,
    compaction,
    densification,
    heldShare: heldShareOf(
      parts.reduce((sum, p, i) => sum + shares[i]! * p.material.totalPorosity, 0),
      shrinkage,
    ),
    firmedDensification: 1 / (1 - compaction),
    firmingExponent,
    dryBulkDensityGPerL: mean((m) => m.dryBulkDensityGPerL),
    totalPorosity,
    waterAsBought:
      mean((m) => (m.dryBulkDensityGPerL * m.moistureWetBasis) / (1 - m.moistureWetBasis)) / 1000,
  };
}

/** TP₀/Φ. @param loosePores Φ, 0–1 @param shrinkage S, 0–1 @example heldShareOf(0.86, 0.1) // 0.982 */
export const heldShareOf = (loosePores: number, shrinkage: number): number =>
  (1 - (1 - loosePores) / (1 - shrinkage)) / loosePores;

/** Mean over the parts by share, without densification. */
export function meanByShare(composition: Composition, of: (material: Material) => number): number {
  return composition.parts.reduce((total, p, i) => total + composition.shares[i]! * of(p.material), 0);
}

const round1 = (value: number): number => Math.round(value * 10) / 10;
