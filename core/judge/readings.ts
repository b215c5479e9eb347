import { type Stage } from '#core/mix/stage';
import { mixWindows, overSizeWindow, PH_BY_WATER, type Window } from '#core/mix/windows';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';

export const readingIds = [
  'air',
  'airAfterDrydown',
  'cohesion',
  'ph',
  'ecSaturated',
  'n',
  'overSize',
] as const;
export type ReadingId = (typeof readingIds)[number];
/** What recipes and batches of before may have been read by, besides. */
export const keptReadingIds = [...readingIds, 'largestParticle'] as const;
export type KeptReadingId = (typeof keptReadingIds)[number];
export type Verdict = 'low' | 'ok' | 'high';

/** A computed property against its window, in the units of the edge (percent, not fractions). */
export interface Reading {
  id: ReadingId;
  value: number;
  unit: '%' | '' | 'mS/cm' | 'mg/L' | 'mm';
  low: number;
  high: number;
  verdict: Verdict;
  source: string;
  /** Read at the bench, not computed. */
  measured: boolean;
  /** Set where nothing in the mix holds its pH: it has no window, the water decides. */
  byWater?: true | undefined;
}

/** As it is kept with a batch: its id may be one of before. */
export type KeptReading = Omit<Reading, 'id'> & { id: KeptReadingId };

const TOLERANCE = 1e-9;

export function verdict(value: number, { low, high }: Pick<Window, 'low' | 'high'>): Verdict {
  if (value < low - TOLERANCE) return 'low';
  return value > high + TOLERANCE ? 'high' : 'ok';
}

/** Every reading that counts for this stage and vessel. A pressed block is judged after its first dry-down. */
export function readingsOf(
  input: Pick<MixInput, 'stage' | 'vessel' | 'measured' | 'windows'>,
  evaluation: Evaluation,
): Reading[] {
  const windows = mixWindows(input, evaluation);
  const reading = (
    id: ReadingId,
    computed: number,
    unit: Reading['unit'],
    window: Window,
    test?: number,
  ): Reading => {
    const value = test ?? computed;
    return { id, value, unit, ...window, verdict: verdict(value, window), measured: test !== undefined };
  };
  const { air, ph, ecSaturatedMSPerCm } = input.measured ?? {};
  const structure =
    input.vessel.shape === 'block'
      ? [
          reading('airAfterDrydown', evaluation.airAfterDrydown * 100, '%', windows.blockAirPct),
          reading('cohesion', evaluation.cohesion, '', windows.cohesion),
        ]
      : [
          reading(
            'air',
            evaluation.drained.air * 100,
            '%',
            windows.airPct,
            air === undefined ? undefined : air * 100,
          ),
        ];
  return [
    ...structure,
    {
      ...reading('ph', evaluation.ph, '', windows.ph, ph),
      ...(windows.ph === PH_BY_WATER && { byWater: true }),
    },
    reading(
      'ecSaturated',
      evaluation.ecSaturatedMSPerCm,
      'mS/cm',
      withHarmless(windows.ecSaturatedMSPerCm, evaluation.harmlessEcMSPerCm),
      ecSaturatedMSPerCm,
    ),
    reading('n', evaluation.readyNMgPerL, 'mg/L', windows.nMgPerL),
    reading('overSize', evaluation.overSize * 100, '%', overSizeWindow),
  ];
}

/** Gypsum's own salt is allowed above the window, and named. */
const withHarmless = (window: Window, ecMSPerCm: number): Window =>
  ecMSPerCm > 0
    ? {
        ...window,
        high: window.high + ecMSPerCm,
        source: `${window.source}; ${ecMSPerCm.toFixed(1)} mS/cm of gypsum allowed on top`,
      }
    : window;

export const stageWord: Record<Stage, string> = {
  germination: 'sowing',
  rooting: 'striking',
  seedling: 'growing on',
  potting: 'potting up',
};
