import { type Stage } from '#core/mix/stage';
import { coirShareOf, earthyShareOf } from '#core/material/families';
import { meanByShare } from '#core/mix/composition';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { type WindowId } from '#core/mix/windows-asked';
import { narrowestSideMm, type Vessel } from '#core/vessel/vessel';

/** Where a reading should lie, both ends included, and who says so. */
export interface Window {
  low: number;
  high: number;
  source: string;
}

const PH_SOURCE = 'Warncke & Krauskopf, MSU Ext. Bull. E-1736; Argo & Fisher 2002 (from memory)';
const AIR_SOURCE = 'Bunt 1988; Fonteno 1989 (from memory)';
const RULE = 'common practice, no source';

const window =
  (source: string) =>
  (low: number, high: number): Window => ({ low, high, source });
const air = window(AIR_SOURCE);
const ph = window(PH_SOURCE);
const nitrogen = window('Warncke & Krauskopf, MSU Ext. Bull. E-1736 (from memory)');
const rule = window(RULE);
const water = window('De Boodt & Verdonck, Acta Hort. 26:37 (1972) (from memory), eased by common practice');

export type StageWindows = Record<WindowId, Window>;

/** What does not depend on the stage. */
const always = {
  blockAirPct: rule(8, 25),
  cohesion: rule(0.55, 1),
  // More than this under glass is carried by somebody; weight outdoors is a wish.
  wetDensityKgPerL: rule(0, 1.1),
};

/** Soilless defaults; every one can be overridden by the user. */
export const stageWindows: Record<Stage, StageWindows> = {
  germination: {
    ...always,
    airPct: air(3, 20),
    ph: ph(5.5, 6.0),
    ecSaturatedMSPerCm: ph(0.1, 0.75),
    nMgPerL: nitrogen(0, 60),
    easilyAvailableWaterPct: water(15, 100),
  },
  rooting: {
    ...always,
    airPct: air(15, 35),
    ph: ph(5.5, 6.5),
    ecSaturatedMSPerCm: ph(0.1, 1.0),
    nMgPerL: nitrogen(0, 60),
    easilyAvailableWaterPct: water(5, 100),
  },
  seedling: {
    ...always,
    airPct: air(6, 20),
    ph: ph(5.5, 6.2),
    ecSaturatedMSPerCm: ph(0.75, 2.0),
    nMgPerL: nitrogen(40, 120),
    easilyAvailableWaterPct: water(15, 100),
  },
  potting: {
    ...always,
    airPct: air(10, 30),
    ph: ph(5.5, 6.5),
    ecSaturatedMSPerCm: ph(1.0, 2.6),
    nMgPerL: nitrogen(80, 200),
    easilyAvailableWaterPct: water(10, 100),
  },
};

/** Mixes that are mostly loam or compost. */
export const EARTHY_PH_WINDOW = ph(6.0, 6.8);
/** Coir is right up to here where growers call it right. */
export const COIR_PH_HIGH = 6.3;
/** From this share by volume of parts a window begins to move, and at this one it has moved. */
const SLOPE = [0.1, 0.4] as const;

const slope = (share: number): number => Math.min(1, Math.max(0, (share - SLOPE[0]) / (SLOPE[1] - SLOPE[0])));

/** Lower end of the pH window of a mix of which so much is loam or compost. Shares 0–1 of the parts. */
export const phLowAt = (low: number, earthy: number): number =>
  low + slope(earthy) * (EARTHY_PH_WINDOW.low - low);

/** And the upper one, which coir moves too. */
export const phHighAt = (high: number, earthy: number, coir: number): number =>
  high +
  Math.max(slope(earthy) * (EARTHY_PH_WINDOW.high - high), slope(coir) * Math.max(0, COIR_PH_HIGH - high));

type Asked = Pick<MixInput, 'stage' | 'windows'>;

/** The windows of a stage, what was asked otherwise in the place of its own; pH for a soilless mix. */
export const windowsOf = ({ stage, windows }: Asked): StageWindows => ({
  ...stageWindows[stage],
  ...windows,
});

/** No jump from soilless to earthy: the window slides. One that was asked for stays as it is. */
export function phWindow({ stage, windows }: Asked, evaluation: Pick<Evaluation, 'composition'>): Window {
  if (windows?.ph) return windows.ph;
  const own = stageWindows[stage].ph;
  const { composition } = evaluation;
  const earthy = meanByShare(composition, earthyShareOf);
  const coir = meanByShare(composition, coirShareOf);
  return { low: phLowAt(own.low, earthy), high: phHighAt(own.high, earthy, coir), source: own.source };
}

/** Pieces up to a quarter of the narrowest side; for germination never over 6 mm. */
export function particleWindow(stage: Stage, vessel: Vessel): Window {
  const quarter = narrowestSideMm(vessel) / 4;
  return { low: 0, high: stage === 'germination' ? Math.min(6, quarter) : quarter, source: RULE };
}
