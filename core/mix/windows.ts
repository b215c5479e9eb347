import { type Stage } from '#core/mix/stage';
import { coirShareOf, earthyShareOf, grittyShareOf } from '#core/material/families';
import { meanByShare } from '#core/mix/composition';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { type Acidity } from '#core/mix/ph';
import { type WindowId } from '#core/mix/windows-asked';

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
  // Black peat pressed by a quarter has 7.7 % and is what the block trade uses.
  blockAirPct: rule(7.5, 25),
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
    // From 12: pure vermiculite and perlite root cuttings well. Common practice, no source.
    airPct: air(12, 35),
    ph: ph(5.5, 6.5),
    // Perlite has next to no salts, and cuttings root in it.
    ecSaturatedMSPerCm: ph(0, 1.0),
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
export const EARTHY_PH_WINDOW = ph(5.9, 6.8);
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
  const moved = grittySlope(meanByShare(composition, grittyShareOf)) * grittyMoves(stage).phLow;
  return {
    low: phLowAt(own.low + moved, earthy),
    high: phHighAt(own.high, earthy, coir),
    source: own.source,
  };
}

/** Where lime should bring it: the middle of the pH window, to a tenth. */
export function aimPhOf(asked: Asked, evaluation: Pick<Evaluation, 'composition'>): number {
  const { low, high } = phWindow(asked, evaluation);
  return Math.round((low + high) * 5) / 10;
}

/** With less buffer than this the water decides the pH within a watering or two, meq/L per pH. Common practice, no source. */
const LEAST_BUFFER = 8;
/** pH anywhere: nothing in the mix holds it. */
export const PH_BY_WATER: Window = { low: 0, high: 14, source: RULE };

/** Whether nothing in a mix holds its pH: perlite, vermiculite, sand, grit or hulls alone. */
export const isPhByWater = ({
  bufferMeqPerLPerPh,
  carbonateMeqPerL,
}: Pick<Acidity, 'bufferMeqPerLPerPh' | 'carbonateMeqPerL'>): boolean =>
  bufferMeqPerLPerPh < LEAST_BUFFER && carbonateMeqPerL < LEAST_BUFFER;

/**
 * Loam and sand mixes were grown in well for decades with less air, under careful watering: the window begins here
 * once a quarter of the parts is loam, sand or grit (Bunt 1988, from memory).
 */
const GRITTY_AIR_LOW: Partial<Record<Stage, number>> = { germination: 1.5, seedling: 4, potting: 5 };
const GRITTY_SOURCE = 'Bunt 1988 (from memory): loam and sand mixes, watered with care';
/** And the lime and starter charge that their authors gave under seed: GCRI seed compost, Bunt 1988 (from memory). */
const GRITTY_SEED = { phLow: 5.4, ecHigh: 0.9, nHigh: 65 };
/** From this share of loam, sand and grit a window begins to move, and at this one it has moved. */
const GRITTY_SLOPE = [0.15, 0.25] as const;
/** How far the ends have moved, 0–1. @param gritty share of loam, sand and grit, 0–1 of the parts */
export const grittySlope = (gritty: number): number =>
  Math.min(1, Math.max(0, (gritty - GRITTY_SLOPE[0]) / (GRITTY_SLOPE[1] - GRITTY_SLOPE[0])));

/** By how much loam, sand and grit move ends of windows where they have moved. */
export function grittyMoves(stage: Stage): { airLow: number; phLow: number; ecHigh: number; nHigh: number } {
  const { airPct, ph, ecSaturatedMSPerCm, nMgPerL } = stageWindows[stage];
  const seed = stage === 'germination';
  return {
    airLow: (GRITTY_AIR_LOW[stage] ?? airPct.low) - airPct.low,
    phLow: seed ? GRITTY_SEED.phLow - ph.low : 0,
    ecHigh: seed ? GRITTY_SEED.ecHigh - ecSaturatedMSPerCm.high : 0,
    nHigh: seed ? GRITTY_SEED.nHigh - nMgPerL.high : 0,
  };
}

/** The windows of a mix: those of its stage, moved by what it is made of. What was asked for stays as it is. */
export function mixWindows(
  asked: Asked,
  evaluation: Pick<Evaluation, 'composition' | 'acidity'>,
): StageWindows {
  const own = stageWindows[asked.stage];
  const { composition, acidity } = evaluation;
  const moved = grittySlope(meanByShare(composition, grittyShareOf));
  const { airLow, ecHigh, nHigh } = grittyMoves(asked.stage);
  const { airPct: air, ecSaturatedMSPerCm: ec, nMgPerL: n } = own;
  return {
    ...own,
    ...(moved > 0 && {
      airPct: { ...air, low: air.low + moved * airLow, source: airLow < 0 ? GRITTY_SOURCE : air.source },
      ecSaturatedMSPerCm: { ...ec, high: ec.high + moved * ecHigh },
      nMgPerL: { ...n, high: n.high + moved * nHigh },
    }),
    ...asked.windows,
    ph: asked.windows?.ph ?? (isPhByWater(acidity) ? PH_BY_WATER : phWindow(asked, evaluation)),
  };
}

/** Under this share of pieces over size nobody minds, %; from here to the end of the window it is a note. */
export const FINE_OVER_SIZE_PCT = 5;
/** Share of the volume in pieces that are too large for the vessel, %. */
export const overSizeWindow: Window = { low: 0, high: 15, source: RULE };
