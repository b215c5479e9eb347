import { type Reading, type ReadingId, readingIds } from '#core/judge/readings';
import { type Stage } from '#core/mix/stage';
import { FINE_OVER_SIZE_PCT, overSizeWindow, windowsOf } from '#core/mix/windows';
import { type AskedWindows } from '#core/mix/windows-asked';
import { type Vessel } from '#core/vessel/vessel';

/** What a recipe is scored on: a window, and whether both of its ends are edges or only one. */
export interface Aim {
  low: number;
  high: number;
  /** between: best inside both · atMost: nothing gained below high · atLeast: nothing gained above low. */
  kind: 'between' | 'atMost' | 'atLeast';
  /**
   * A window is a plateau: nothing is gained inside it but this much room at each end, in which a mix of typical
   * scatter is out four times in ten or less. Without it the middle is the aim.
   */
  room?: number;
  /** Whether that room is a share of the end that it lies at, and not an amount. */
  roomIsShare?: boolean;
  /** Beyond `high`, up to here, it costs but is no miss. */
  soft?: number;
}

/** Readings that are scored, in this order; besides those with a verdict of their own, water and weight. */
export const scoredIds = [...readingIds, 'easilyAvailableWater', 'wetDensity'] as const;
export type ScoredId = (typeof scoredIds)[number];
export type Aims = Partial<Record<ScoredId, Aim>> & {
  ph: Aim;
  /** Windows that are moved by what a recipe is made of, and of which stage; null where none is. */
  slides: { stage: Stage; ids: readonly ScoredId[] } | null;
};

/** Missing a window costs this much at its very edge: more than all others together at theirs. */
const MISSED = 10;
/** And this much for each e-fold of half-widths beyond: ten times too salty is hardly worse than nine. */
const SLOPE = 12;
const missed = (beyond: number, half: number): number => MISSED + SLOPE * Math.log1p(beyond / half);
const TOLERANCE = 1e-9;
/** Sums of costs closer than this are alike: a tenth of the odds is not worth another material. */
export const STEP = 0.25;

/** 0 on the plateau (or in the middle), 1 at the edges, at least 10 outside and growing. */
export function penalty(value: number, aim: Aim): number {
  return penaltyWithin(value, aim.low, aim.high, aim);
}

/** The same with its ends elsewhere. */
export function penaltyWithin(
  value: number,
  low: number,
  high: number,
  { kind, room, roomIsShare, soft }: Aim,
): number {
  const half = (high - low) / 2;
  if (kind === 'between' && !room) {
    const off = Math.abs(value - (low + high) / 2) / half;
    return off <= 1 + TOLERANCE / half ? off * off : missed(off * half - half, half);
  }
  const below = kind === 'atMost' ? -Infinity : low - value;
  const above = kind === 'atLeast' ? -Infinity : value - (soft ?? high);
  const beyond = Math.max(below, above);
  if (beyond > TOLERANCE) return missed(beyond, half);
  if (soft !== undefined && value > high) return (value - high) / (soft - high);
  if (!room) return 0;
  // Nothing falls below nothing, and a narrow window is not all room.
  const atLow = low > 0 ? Math.min(roomIsShare ? room * low : room, 0.8 * half) : 0;
  const atHigh = Math.min(roomIsShare ? room * high : room, 0.8 * half);
  const short = Math.max(
    kind !== 'atMost' && atLow > 0 ? (low + atLow - value) / atLow : 0,
    kind !== 'atLeast' && atHigh > 0 ? (value - high + atHigh) / atHigh : 0,
  );
  return short > 0 ? short * short : 0;
}

/** @param low, high where its window ends */
export const isMetWithin = (value: number, low: number, high: number, { kind, soft }: Aim): boolean =>
  (kind === 'atMost' || value >= low - TOLERANCE) &&
  (kind === 'atLeast' || value <= (soft ?? high) + TOLERANCE);

export const isMet = (value: number, aim: Aim): boolean => isMetWithin(value, aim.low, aim.high, aim);

/** Room that typical scatter takes at the ends of a window: about one standard deviation, common practice, no source. */
const rooms: Partial<Record<ScoredId, number>> = {
  air: 3,
  airAfterDrydown: 3,
  cohesion: 0.03,
  ph: 0.2,
  ecSaturated: 0.2,
  n: 0.2,
  easilyAvailableWater: 2,
  wetDensity: 0.05,
};
const sharesOfEnd: readonly ScoredId[] = ['ecSaturated', 'n'];
const kinds: Partial<Record<ScoredId, Aim['kind']>> = {
  overSize: 'atMost',
  wetDensity: 'atMost',
  cohesion: 'atLeast',
  easilyAvailableWater: 'atLeast',
};

/** A window as an aim. */
export function aimOf(id: ScoredId, { low, high }: { low: number; high: number }): Aim {
  const room = rooms[id];
  return {
    ...{ low, high: id === 'overSize' ? FINE_OVER_SIZE_PCT : high, kind: kinds[id] ?? 'between' },
    ...(room !== undefined && { room, roomIsShare: sharesOfEnd.includes(id) }),
    ...(id === 'overSize' && { soft: high }),
  };
}

const slidingWindow = { ph: 'ph', air: 'airPct', ecSaturated: 'ecSaturatedMSPerCm', n: 'nMgPerL' } as const;
const sliding = Object.keys(slidingWindow) as (keyof typeof slidingWindow)[];

/** The windows of a stage in a vessel, as aims. */
export function stageAims(stage: Stage, vessel: Vessel, windows?: AskedWindows): Aims {
  const asked = windowsOf({ stage, ...(windows && { windows }) });
  const block = vessel.shape === 'block';
  const aim = (id: ScoredId, window: { low: number; high: number }): Aim => aimOf(id, window);
  return {
    ...(block
      ? {
          airAfterDrydown: aim('airAfterDrydown', asked.blockAirPct),
          cohesion: aim('cohesion', asked.cohesion),
        }
      : { air: aim('air', asked.airPct) }),
    ph: aim('ph', asked.ph),
    slides: { stage, ids: sliding.filter((id) => windows?.[slidingWindow[id]] === undefined) },
    ecSaturated: aim('ecSaturated', asked.ecSaturatedMSPerCm),
    n: aim('n', asked.nMgPerL),
    overSize: aim('overSize', overSizeWindow),
    easilyAvailableWater: aim('easilyAvailableWater', asked.easilyAvailableWaterPct),
    wetDensity: aim('wetDensity', asked.wetDensityKgPerL),
  };
}

/** What each reading costs by its own window. */
export function readingPenalties(readings: readonly Reading[]): { id: ReadingId; costs: number }[] {
  return readings.map((r) => ({ id: r.id, costs: penalty(r.value, aimOf(r.id, r)) }));
}

/** Score of readings by their windows alone: below 10 where all are met. */
export function windowScore(readings: readonly Reading[]): number {
  return stepped(readingPenalties(readings).reduce((sum, { costs }) => sum + costs, 0));
}

/** To the step below; what lies on a step to rounding has reached it. */
export const stepped = (score: number): number => STEP * Math.floor(score / STEP + 1e-6);
