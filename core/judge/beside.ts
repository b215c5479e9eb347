import { OutOfRange } from '#core/units/check';
import { mixWindows } from '#core/mix/windows';
import { feedsIn, WARM_HOUSE_C } from '#core/mix/feeding';
import { type Evaluation, type MixInput, evaluateMix } from '#core/mix/evaluate';
import { ecMSPerCm, MG_PER_MEQ_N } from '#core/mix/salts';
import { releasedMgPerL } from '#core/mix/release';
import { type Stage } from '#core/mix/stage';
import { MOST_COMPACTION } from '#core/mix/composition';

/**
 * Nitrogen that one plant takes up in each week after the start of the stage, mg. Common practice, no source:
 * a young vegetable transplant that doubles each week until it slows.
 */
const demandMgPerPlant: Record<Stage, readonly number[]> = {
  germination: [0, 0.2, 0.6, 1.5, 3, 5, 8, 11],
  rooting: [0, 0, 0.5, 1, 2, 4, 6, 9],
  seedling: [1, 2, 4, 7, 11, 16, 21, 25],
  potting: [4, 8, 14, 22, 32, 42, 50, 56],
};
const WEEKS = 8;
/** The worst week may be over a stage's window by this factor. */
const AT_WORST = 1.5;
/** Firming by hand is not known better than this, fraction of volume. */
const FIRMING = 0.04;

export type BesideId = 'nAtWorst' | 'ecAtWorst' | 'largestParticle' | 'wetDensity' | 'easilyAvailableWater';

/** A figure that stands beside the readings; where it has no window both ends are null. */
export interface Beside {
  id: BesideId;
  value: number;
  unit: string;
  low: number | null;
  high: number | null;
  verdict: 'low' | 'ok' | 'high';
  /** In which it is so; 0 is the day of mixing. */
  week?: number;
}

/**
 * Nitrogen and salts at their worst in the first eight weeks at 20 °C, what the crop takes up taken off; the weight of
 * the wet mix; easily available water. Nitrogen that slow feeds set free counts in the salts with a meq for each
 * 14 mg (nothing else of them is reckoned).
 */
export function besides(input: MixInput, e: Evaluation): Beside[] {
  const { composition, column } = e;
  const feeds = feedsIn(e);
  const window = mixWindows(input, e);
  const own = e.readyNMgPerL;
  const atOnce = releasedMgPerL(feeds, 'n', 0, WARM_HOUSE_C);
  let wanted = 0;
  const weeks = Array.from({ length: WEEKS + 1 }, (_, week) => {
    if (week > 0) wanted += demandMgPerPlant[input.stage][week - 1] ?? 0;
    const slow = releasedMgPerL(feeds, 'n', week, WARM_HOUSE_C) - atOnce;
    const change = slow - wanted / column.volumeL;
    const ec = e.ecSaturatedMSPerCm + ecMSPerCm(change / MG_PER_MEQ_N, composition.totalPorosity);
    return { week, n: Math.max(0, own + change), ec: Math.max(0, ec) };
  });
  const worst = (of: 'n' | 'ec'): { week: number; value: number } =>
    weeks.map((w) => ({ week: w.week, value: w[of] })).reduce((a, b) => (b.value > a.value ? b : a));
  const high = (value: number, most: number) => ({
    ...{ low: null, high: AT_WORST * most },
    verdict: value > AT_WORST * most + 1e-9 ? ('high' as const) : ('ok' as const),
  });
  const free = { low: null, high: null, verdict: 'ok' as const };
  const [n, ec] = [worst('n'), worst('ec')];
  return [
    { id: 'nAtWorst', ...n, unit: 'mg/L', ...high(n.value, window.nMgPerL.high) },
    { id: 'ecAtWorst', ...ec, unit: 'mS/cm', ...high(ec.value, window.ecSaturatedMSPerCm.high) },
    {
      ...{ id: 'wetDensity', unit: 'kg/L', ...free },
      value: e.wetWeightG / 1000 / column.volumeL,
    },
    { id: 'largestParticle', value: e.largestParticleMm, unit: 'mm', ...free },
    { id: 'easilyAvailableWater', value: 100 * e.easilyAvailableWater, unit: '%', ...free },
  ];
}

/** Air in the vessel, fractions, as a hand may firm it: four points less, not below none, and four points more. */
export function airFirmed(input: MixInput): { loose: number; firmer: number } {
  const at = (compaction: number): number => {
    try {
      return evaluateMix({ ...input, compaction }).drained.air;
    } catch (error) {
      // Firmed to the last pore there is no air.
      if (error instanceof OutOfRange) return 0;
      throw error;
    }
  };
  return {
    loose: at(Math.max(0, input.compaction - FIRMING)),
    firmer: at(Math.min(MOST_COMPACTION, input.compaction + FIRMING)),
  };
}
