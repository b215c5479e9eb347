import { MG_CACO3_PER_MEQ } from '#core/weeks/alkalinity';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';

/** Where a water comes from. */
export const waterKinds = ['mains', 'well', 'rain', 'blend'] as const;
export type WaterKind = (typeof waterKinds)[number];

export const ions = ['caMgPerL', 'mgMgPerL', 'naMgPerL', 'clMgPerL'] as const;
export type Ion = (typeof ions)[number];

/** What a report or a kit says of a water; null where it says nothing. */
export interface Water extends Readonly<Record<Ion, number | null>> {
  /** As calcium carbonate. */
  alkalinityMgPerL: number;
  ecMSPerCm: number;
  ph: number | null;
}

/** mg of a meq. */
const MG_PER_MEQ: Record<Ion, number> = {
  caMgPerL: 20.04,
  mgMgPerL: 12.15,
  naMgPerL: 22.99,
  clMgPerL: 35.45,
};
/** Sum of cations, meq/L, over EC, mS/cm: USDA Agriculture Handbook 60 (1954), from memory. */
const MEQ_PER_MS = 10;
/** Either way, until a report is doubted. Common practice, no source. */
const MISFIT = 1.5;
/** Of anions over cations: some are not told of. Common practice, no source. */
const ANIONS_OVER = 1.15;

/** Above these, mg/L and mS/cm, water for trays wants care: common figures of extension sheets, from memory. */
export const waterHigh = { alkalinityMgPerL: 120, naMgPerL: 50, clMgPerL: 70, ecMSPerCm: 0.75 } as const;
/** Below it water holds so little that acid fertilisers have nothing to work against. From memory. */
const ALKALINITY_LOW = 20;

export const waterRemarks = [
  'hard',
  'soft',
  'sodium',
  'chloride',
  'salty',
  'saltier',
  'brackish',
  'balance',
  'ec',
] as const;
export type WaterRemark = (typeof waterRemarks)[number];
/** EC of water from which it is a warning, and over which it is a stop, mS/cm. Common practice, no source. */
export const saltyWater = { warn: 1, stop: 2 } as const;
/** How loudly each is said. */
export const loudnessOfWater = (remark: WaterRemark): 'stop' | 'warn' | 'note' =>
  remark === 'brackish' ? 'stop' : remark === 'saltier' ? 'warn' : 'note';

/**
 * Two waters in one tank: all that is told of both mixes by volume; pH does not, and is not told.
 * @param share of the first, 0–1
 * @example blendOf(well, rain, 0.4).alkalinityMgPerL // 0.4 × well + 0.6 × rain
 */
export function blendOf(a: Water, b: Water, share: number): Water {
  checkRange('share', share, 0, 1);
  const mixed = (x: number, y: number): number => share * x + (1 - share) * y;
  const both = (x: number | null, y: number | null): number | null =>
    x === null || y === null ? null : mixed(x, y);
  return {
    alkalinityMgPerL: mixed(a.alkalinityMgPerL, b.alkalinityMgPerL),
    ecMSPerCm: mixed(a.ecMSPerCm, b.ecMSPerCm),
    ph: null,
    caMgPerL: both(a.caMgPerL, b.caMgPerL),
    mgMgPerL: both(a.mgMgPerL, b.mgMgPerL),
    naMgPerL: both(a.naMgPerL, b.naMgPerL),
    clMgPerL: both(a.clMgPerL, b.clMgPerL),
  };
}

/**
 * Share of the first water that brings a blend to an alkalinity; null where no blend of the two does.
 * @param alkalinityMgPerL as calcium carbonate
 */
export function blendTo(a: Water, b: Water, alkalinityMgPerL: number): number | null {
  checkRange('alkalinityMgPerL', alkalinityMgPerL, ...limits.alkalinityMgPerL);
  const [from, to] = [b.alkalinityMgPerL, a.alkalinityMgPerL];
  if (from === to) return null;
  const share = (alkalinityMgPerL - from) / (to - from);
  return share >= 0 && share <= 1 ? share : null;
}

/** Alkalinity by a drop kit, mg/L as calcium carbonate: drops until the colour turns × what one counts. */
export function alkalinityOfKit(drops: number, mgPerLEach: number): number {
  checkRange('drops', drops, ...limits.kitDrops);
  checkRange('mgPerLEach', mgPerLEach, ...limits.kitDropMgPerL);
  return drops * mgPerLEach;
}

/** What there is to say of a water, and of a report that does not add up. */
export function remarksOn(water: Water): WaterRemark[] {
  const { alkalinityMgPerL, ecMSPerCm, naMgPerL, clMgPerL } = water;
  const remarks: WaterRemark[] = [];
  if (alkalinityMgPerL > waterHigh.alkalinityMgPerL) remarks.push('hard');
  if (alkalinityMgPerL < ALKALINITY_LOW) remarks.push('soft');
  if ((naMgPerL ?? 0) > waterHigh.naMgPerL) remarks.push('sodium');
  if ((clMgPerL ?? 0) > waterHigh.clMgPerL) remarks.push('chloride');
  if (ecMSPerCm > saltyWater.stop) remarks.push('brackish');
  else if (ecMSPerCm >= saltyWater.warn) remarks.push('saltier');
  else if (ecMSPerCm > waterHigh.ecMSPerCm) remarks.push('salty');
  const cations = (['caMgPerL', 'mgMgPerL', 'naMgPerL'] as const).map((ion) =>
    water[ion] === null ? null : water[ion] / MG_PER_MEQ[ion],
  );
  if (cations.every((cation) => cation !== null)) {
    const sum = cations.reduce((all, each) => all + each, 0);
    const anions = alkalinityMgPerL / MG_CACO3_PER_MEQ + (clMgPerL ?? 0) / MG_PER_MEQ.clMgPerL;
    if (anions > ANIONS_OVER * sum + 0.2) remarks.push('balance');
    const byEc = MEQ_PER_MS * ecMSPerCm;
    if (
      Math.max(sum, 0.5) > MISFIT * Math.max(byEc, 0.5) ||
      Math.max(byEc, 0.5) > MISFIT * Math.max(sum, 0.5)
    )
      remarks.push('ec');
  }
  return remarks;
}
