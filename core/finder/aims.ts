import { type Reading, type ReadingId } from '#core/judge/readings';
import { type Stage } from '#core/mix/stage';
import {
  BLOCK_AIR_AFTER_DRYDOWN_PCT,
  BLOCK_COHESION,
  EARTHY_PH_WINDOW,
  particleWindow,
  stageWindows,
} from '#core/judge/windows';
import { type Vessel } from '#core/vessel/vessel';

/** What a recipe is scored on: a window, and whether both of its ends are edges or only one. */
export interface Aim {
  low: number;
  high: number;
  /** between: best in the middle · atMost: nothing gained below high · atLeast: nothing gained above low. */
  kind: 'between' | 'atMost' | 'atLeast';
  /** How much it counts, 0–100; 1 is usual. */
  weight: number;
}

/** Readings that are scored, in this order; the water one only where a recipe is to behave like another. */
export const scoredIds = [
  'air',
  'airAfterDrydown',
  'cohesion',
  'ph',
  'ecSaturated',
  'n',
  'largestParticle',
  'easilyAvailableWater',
] as const;
export type ScoredId = (typeof scoredIds)[number];
export type Aims = Partial<Record<ScoredId, Aim>> & { ph: Aim; phEarthy: Aim };
export type AimWeights = Partial<Record<ReadingId, number>>;

/** Missing a window costs this much at its very edge: more than all others together at theirs. */
const MISSED = 10;
/** And this much for each half-width beyond. */
const SLOPE = 12;
const TOLERANCE = 1e-9;

/** 0 in the middle of a window, 1 at its edges, at least 10 outside and growing. */
export function penalty(value: number, { low, high, kind }: Aim): number {
  const half = (high - low) / 2;
  if (kind === 'between') {
    const off = Math.abs(value - (low + high) / 2) / half;
    return off <= 1 + TOLERANCE / half ? off * off : MISSED + SLOPE * (off - 1);
  }
  const beyond = kind === 'atMost' ? value - high : low - value;
  return beyond <= TOLERANCE ? 0 : MISSED + (SLOPE * beyond) / half;
}

export const isMet = (value: number, { low, high, kind }: Aim): boolean =>
  (kind === 'atMost' || value >= low - TOLERANCE) && (kind === 'atLeast' || value <= high + TOLERANCE);

/** The windows of a stage in a vessel, as aims. */
export function stageAims(stage: Stage, vessel: Vessel, weights: AimWeights = {}): Aims {
  const windows = stageWindows[stage];
  const aim = (
    id: ReadingId,
    { low, high }: { low: number; high: number },
    kind: Aim['kind'] = 'between',
  ): Aim => ({
    low,
    high,
    kind,
    weight: weights[id] ?? 1,
  });
  const structure =
    vessel.shape === 'block'
      ? {
          airAfterDrydown: aim('airAfterDrydown', BLOCK_AIR_AFTER_DRYDOWN_PCT),
          cohesion: aim('cohesion', BLOCK_COHESION, 'atLeast'),
        }
      : { air: aim('air', windows.airPct) };
  return {
    ...structure,
    ph: aim('ph', windows.ph),
    phEarthy: aim('ph', EARTHY_PH_WINDOW),
    ecSaturated: aim('ecSaturated', windows.ecSaturatedMSPerCm),
    n: aim('n', windows.nMgPerL),
    largestParticle: aim('largestParticle', particleWindow(stage, vessel), 'atMost'),
  };
}

/** What each reading adds to a score, by its own window. */
export function readingPenalty(
  r: Pick<Reading, 'id' | 'value' | 'low' | 'high'>,
  weights: AimWeights = {},
): number {
  const kind = r.id === 'largestParticle' ? 'atMost' : r.id === 'cohesion' ? 'atLeast' : 'between';
  return (weights[r.id] ?? 1) * penalty(r.value, { low: r.low, high: r.high, kind, weight: 1 });
}

/** Score of readings by their windows alone: below 10 where all are met. */
export function windowScore(readings: readonly Reading[], weights: AimWeights = {}): number {
  return readings.reduce((sum, r) => sum + readingPenalty(r, weights), 0);
}
