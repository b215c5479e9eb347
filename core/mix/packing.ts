import { allow } from '#core/units/allowed';
import { checkRange, OutOfRange } from '#core/units/check';

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
  if (grains.length === 0)
    throw new OutOfRange(
      'components',
      0,
      allow('allowed.things', { low: 1, high: Infinity, what: 'materials' }),
    );
  const table = packingTable(grains);
  const all = grains.map((_, i) => i);
  return shrinkageOf(
    table,
    all,
    grains.map((g) => g.volume),
    new Float64Array(grains.length),
  );
}

/** How each class of a set packs alone and hinders each other one, worked out once for any mixture of them. */
export interface PackingTable {
  n: number;
  packingFraction: Float64Array;
  /** Virtual (closest possible) packing density of each class alone. */
  beta: Float64Array;
  /** Row i, column j: by how much class j in the solids takes from what hinders class i. */
  relief: Float64Array;
}

/** @param grains volumes are not looked at @throws OutOfRange for a packing fraction outside 0.2–0.8 */
export function packingTable(grains: readonly Omit<Grains, 'volume'>[]): PackingTable {
  const packingFraction = Float64Array.from(grains, (g) =>
    checkRange('packingFraction', g.packingFraction, 0.2, 0.8),
  );
  return tableOf(
    packingFraction,
    packingFraction.map((alpha) => (alpha * (1 + K_POURED)) / K_POURED),
    grains.map((g) => g.particleMm),
  );
}

function tableOf(packingFraction: Float64Array, beta: Float64Array, d: readonly number[]): PackingTable {
  const n = d.length;
  const relief = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) {
      if (j === i) continue;
      const [bi, bj] = [beta[i]!, beta[j]!];
      if (d[j]! >= d[i]!) {
        const wall = 1 - (1 - d[i]! / d[j]!) ** 1.5;
        relief[i * n + j] = 1 - bi + wall * bi * (1 - 1 / bj);
      } else {
        const loosening = Math.sqrt(1 - (1 - d[j]! / d[i]!) ** 1.02);
        relief[i * n + j] = 1 - (loosening * bi) / bj;
      }
    }
  }
  return { n, packingFraction, beta, relief };
}

/**
 * Shrinkage of a mixture of some classes of a table. No allocation: this is the inner loop of the finder.
 * @param members which classes, by index
 * @param volumes loose volume of each member, above 0, any unit
 * @param solids scratch, at least as long as members
 */
export function shrinkageOf(
  table: PackingTable,
  members: ArrayLike<number>,
  volumes: ArrayLike<number>,
  solids: Float64Array,
): number {
  const m = members.length;
  let envelope = 0;
  let volume = 0;
  for (let i = 0; i < m; i++) {
    solids[i] = volumes[i]! * table.packingFraction[members[i]!]!;
    envelope += solids[i]!;
    volume += volumes[i]!;
  }
  for (let i = 0; i < m; i++) solids[i]! /= envelope;
  return Math.max(0, 1 - (envelope * specificVolume(table, members, solids, K_POURED)) / volume);
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
  const table = tableOf(Float64Array.from(beta), Float64Array.from(beta), d);
  const all = y.map((_, i) => i);
  return 1 / specificVolume(table, all, y, k);
}

/**
 * t = 1/φ, the root of Σ (y_i/β_i)/(t − 1/γ_i) = K above the largest 1/γ_i, where γ_i is the density if class i
 * carried the heap. The sum falls and is convex there, so Newton from the left climbs to the root without overshoot.
 */
function specificVolume(
  { n, beta, relief }: PackingTable,
  members: ArrayLike<number>,
  y: ArrayLike<number>,
  k: number,
): number {
  const m = members.length;
  let t = -Infinity;
  for (let i = 0; i < m; i++) {
    const at = members[i]!;
    let hindered = 1;
    for (let j = 0; j < m; j++) hindered -= relief[at * n + members[j]!]! * y[j]!;
    const g = hindered / beta[at]!;
    scratchG[i] = g;
    scratchA[i] = y[i]! / beta[at]!;
    // One class alone would reach K here: the root lies at or above each of these.
    t = Math.max(t, g + scratchA[i]! / k);
  }
  for (let step = 0; step < 60; step++) {
    let value = -k;
    let slope = 0;
    for (let i = 0; i < m; i++) {
      const near = 1 / (t - scratchG[i]!);
      const term = scratchA[i]! * near;
      value += term;
      slope += term * near;
    }
    const climb = value / slope;
    t += climb;
    // Each step squares what is missing: after one this small nothing is.
    if (!(climb > 1e-9 * t)) break;
  }
  return t;
}

const scratchG = new Float64Array(64);
const scratchA = new Float64Array(64);
