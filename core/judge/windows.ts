import { type Stage } from '#core/mix/stage';
import { isEarthy } from '#core/material/families';
import { meanByShare } from '#core/mix/composition';
import { type Evaluation } from '#core/mix/evaluate';
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

interface StageWindows {
  airPct: Window;
  ph: Window;
  ecSaturatedMSPerCm: Window;
  nMgPerL: Window;
}

/** Soilless defaults; every one can be overridden by the user. */
export const stageWindows: Record<Stage, StageWindows> = {
  germination: {
    airPct: air(3, 20),
    ph: ph(5.5, 6.0),
    ecSaturatedMSPerCm: ph(0.1, 0.75),
    nMgPerL: nitrogen(0, 60),
  },
  rooting: {
    airPct: air(15, 35),
    ph: ph(5.5, 6.5),
    ecSaturatedMSPerCm: ph(0.1, 1.0),
    nMgPerL: nitrogen(0, 60),
  },
  seedling: {
    airPct: air(6, 20),
    ph: ph(5.5, 6.2),
    ecSaturatedMSPerCm: ph(0.75, 2.0),
    nMgPerL: nitrogen(40, 120),
  },
  potting: {
    airPct: air(10, 30),
    ph: ph(5.5, 6.5),
    ecSaturatedMSPerCm: ph(1.0, 2.6),
    nMgPerL: nitrogen(80, 200),
  },
};

/** Mixes with more than a quarter loam or compost. */
export const EARTHY_PH_WINDOW = ph(6.0, 6.8);
export const BLOCK_AIR_AFTER_DRYDOWN_PCT = window(RULE)(8, 25);
export const BLOCK_COHESION = window(RULE)(0.55, 1);

/** More than this share of what is earthy by volume of parts moves the pH window. */
export const MOST_EARTHY_SHARE = 0.25;

export function phWindow(stage: Stage, evaluation: Evaluation): Window {
  const share = meanByShare(evaluation.composition, (m) => (isEarthy(m) ? 1 : 0));
  return share > MOST_EARTHY_SHARE ? EARTHY_PH_WINDOW : stageWindows[stage].ph;
}

/** Pieces up to a quarter of the narrowest side; for germination never over 6 mm. */
export function particleWindow(stage: Stage, vessel: Vessel): Window {
  const quarter = narrowestSideMm(vessel) / 4;
  return { low: 0, high: stage === 'germination' ? Math.min(6, quarter) : quarter, source: RULE };
}
