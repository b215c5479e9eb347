import { type Reading, readingIds } from '#core/judge/readings';
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
}

/** Readings that are scored, in this order; the water one only where a recipe is to behave like another. */
export const scoredIds = [...readingIds, 'easilyAvailableWater'] as const;
export type ScoredId = (typeof scoredIds)[number];
export type Aims = Partial<Record<ScoredId, Aim>> & { ph: Aim; phEarthy: Aim };

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
export function stageAims(stage: Stage, vessel: Vessel): Aims {
  const windows = stageWindows[stage];
  const aim = ({ low, high }: { low: number; high: number }, kind: Aim['kind'] = 'between'): Aim => ({
    low,
    high,
    kind,
  });
  const structure =
    vessel.shape === 'block'
      ? {
          airAfterDrydown: aim(BLOCK_AIR_AFTER_DRYDOWN_PCT),
          cohesion: aim(BLOCK_COHESION, 'atLeast'),
        }
      : { air: aim(windows.airPct) };
  return {
    ...structure,
    ph: aim(windows.ph),
    phEarthy: aim(EARTHY_PH_WINDOW),
    ecSaturated: aim(windows.ecSaturatedMSPerCm),
    n: aim(windows.nMgPerL),
    largestParticle: aim(particleWindow(stage, vessel), 'atMost'),
  };
}

/** What each reading adds to a score, by its own window. */
export function readingPenalty(r: Pick<Reading, 'id' | 'value' | 'low' | 'high'>): number {
  const kind = r.id === 'largestParticle' ? 'atMost' : r.id === 'cohesion' ? 'atLeast' : 'between';
  return penalty(r.value, { low: r.low, high: r.high, kind });
}

/** Score of readings by their windows alone: below 10 where all are met. */
export function windowScore(readings: readonly Reading[]): number {
  return readings.reduce((sum, r) => sum + readingPenalty(r), 0);
}
