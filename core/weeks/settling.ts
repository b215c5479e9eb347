import { type Family } from '#core/material/family';
import { compose, type Composition, MOST_COMPACTION } from '#core/mix/composition';
import { evaluateMix, type MixInput } from '#core/mix/evaluate';
import { columnOf, drain } from '#core/mix/water-air';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { fillDepthMm, volumeL, type Vessel } from '#core/vessel/vessel';

/** Share of the height, 0–1. */
export interface SettledShare {
  low: number;
  high: number;
}

/** What a loosely tapped mix goes down when it is first soaked through. Common practice, no source. */
const FIRST_SOAK: SettledShare = { low: 0.02, high: 0.06 };
/** Firming that takes the first settling away already. */
const FIRM = 0.1;
/** Of what rots and packs in a year in the pot, the share that has gone after t days: 1 − e^(−t / so many days). */
const TAU_DAYS = 150;

/**
 * Share of its own height that a material has lost in the end, as it rots and packs. Common practice, no source: what was
 * recorded differs by far more than a reckoning could promise.
 */
const inTheEnd: Record<Family, SettledShare> = {
  ...{
    peat: { low: 0.05, high: 0.2 },
    'black-peat': { low: 0.05, high: 0.2 },
    coir: { low: 0.03, high: 0.15 },
  },
  ...{ bark: { low: 0.05, high: 0.25 }, wood: { low: 0.15, high: 0.45 }, hulls: { low: 0.1, high: 0.35 } },
  ...{ compost: { low: 0.1, high: 0.4 }, castings: { low: 0.1, high: 0.35 } },
  ...{ 'kitchen-compost': { low: 0.15, high: 0.45 }, coffee: { low: 0.2, high: 0.5 } },
  ...{ mulch: { low: 0.15, high: 0.45 }, 'leaf-mould': { low: 0.1, high: 0.35 } },
  ...{ loam: { low: 0, high: 0.08 }, 'spent-mix': { low: 0.05, high: 0.2 } },
  ...{ perlite: { low: 0, high: 0.03 }, vermiculite: { low: 0.03, high: 0.15 } },
  ...{ pumice: { low: 0, high: 0.01 }, sand: { low: 0, high: 0.01 }, grit: { low: 0, high: 0.01 } },
  other: { low: 0.05, high: 0.3 },
};

/**
 * How far a mix has gone down in its vessel after so many days, as a share of its height: the first soak and what rots.
 * A wide band, not a promise: records decide.
 * @param days 0–1100
 */
export function settledAfter(composition: Composition, days: number): SettledShare {
  checkRange('days', days, ...limits.settleDays);
  const pressed = Math.min(1, Math.max(0, composition.compaction / FIRM));
  const gone = 1 - Math.exp(-days / TAU_DAYS);
  const of = (end: 'low' | 'high'): number => {
    const soak = days > 0 ? FIRST_SOAK[end] * (1 - pressed) : 0;
    const rot = composition.parts.reduce(
      (sum, { material }, i) => sum + composition.shares[i]! * inTheEnd[material.family][end],
      0,
    );
    return Math.min(0.9, soak + rot * gone);
  };
  return { low: of('low'), high: of('high') };
}

/** Mix that fills a vessel up again after it has settled, L. */
export function topUpL(vessel: Vessel, settled: SettledShare): SettledShare {
  return { low: volumeL(vessel) * settled.low, high: volumeL(vessel) * settled.high };
}

/** The same in height, mm. */
export function sunkMm(vessel: Vessel, settled: SettledShare): SettledShare {
  return { low: fillDepthMm(vessel) * settled.low, high: fillDepthMm(vessel) * settled.high };
}

/**
 * Air of the mix once it has settled by so much: firmer, and lower in its vessel; that of a block after its first
 * dry-down, as Mix judges it. % of its volume then.
 * @param settled share of the height, 0–0.5
 */
export function airOnceSettled(input: MixInput, settled: number): number {
  checkRange('settled', settled, 0, 0.5);
  const compaction = Math.min(MOST_COMPACTION, 1 - (1 - input.compaction) * (1 - settled));
  const sunk = fillDepthMm(input.vessel) * settled;
  const vessel: Vessel =
    input.vessel.shape === 'block'
      ? { ...input.vessel, depthMm: input.vessel.depthMm - sunk }
      : { ...input.vessel, headspaceMm: input.vessel.headspaceMm + sunk };
  if (vessel.shape === 'block') return 100 * evaluateMix({ ...input, vessel, compaction }).airAfterDrydown;
  const composition = compose(input.components, compaction, input.measured?.shrinkage, input.firmingExponent);
  return 100 * drain(composition, columnOf(vessel)).air;
}

/** A pot that has gone down by so much, or holds less air than this, is potted again. Common practice, no source. */
const SUNK_SHARE = 1 / 5;
const LEAST_AIR_PCT = 8;
const HALF_YEAR_DAYS = 182.5;

/**
 * When a potted plant wants repotting: the half years after which the mix has gone down by a fifth or holds too little
 * air, at the quicker and at the slower end of the band; null where it does not within three years.
 */
export function repotAfterYears(
  input: MixInput,
  composition: Composition,
): { early: number | null; late: number | null } {
  const due = (end: 'low' | 'high'): number | null => {
    for (let halves = 1; halves <= 6; halves++) {
      const settled = Math.min(0.5, settledAfter(composition, halves * HALF_YEAR_DAYS)[end]);
      if (settled >= SUNK_SHARE || airOnceSettled(input, settled) < LEAST_AIR_PCT) return halves / 2;
    }
    return null;
  };
  return { early: due('high'), late: due('low') };
}
