import { K_PER_K2O, P_PER_P2O5, type Amendment } from '#core/material/amendment';
import { meanByShare, type Composition } from '#core/mix/composition';
import { type Dose } from '#core/mix/ph';

/** Nitrogen in a meq, mg. */
export const MG_PER_MEQ_N = 14.007;
/** meq of cations in a litre of water that read about 1 mS/cm (Sonneveld & Voogt 2009). */
export const MEQ_PER_MS = 10;

const dissolvesWhole = (d: Dose): boolean => d.amendment.solubilityGPerL === 0;

/** Soluble cations of doses that dissolve whole, meq per litre of finished mix. */
export const dosedSaltsMeqPerL = (doses: readonly Dose[]): number =>
  doses.filter(dissolvesWhole).reduce((sum, d) => sum + d.gPerL * d.amendment.solubleSaltsMeqPerG, 0);

/** Soluble cations in a litre of finished mix, meq/L, but for what dissolves only in part. */
export function saltLoadMeqPerL(composition: Composition, doses: readonly Dose[]): number {
  return (
    composition.densification * meanByShare(composition, (m) => m.saltsMeqPerL) + dosedSaltsMeqPerL(doses)
  );
}

/** Ions of gypsum water hold each other: this share of the EC is missing at saturation. Model section 15. */
const PAIRED = 0.21;
const SATURATED_MEQ_PER_L = 27.8;

/**
 * What gypsum and its like give to so much water, from a litre of mix: it dissolves to its solubility and no further.
 * EC = c/10 (1 − 0.21 c/27.8), c in meq/L; saturated gypsum water is about 2.2 mS/cm (CRC Handbook, from memory).
 */
export function sparing(doses: readonly Dose[], waterLPerL: number): { meqPerL: number; ecMSPerCm: number } {
  let meq = 0;
  for (const { amendment: a, gPerL } of doses)
    if (a.solubilityGPerL > 0) meq += Math.min(gPerL, a.solubilityGPerL * waterLPerL) * a.solubleSaltsMeqPerG;
  const c = meq / waterLPerL;
  return {
    meqPerL: meq,
    ecMSPerCm: (c / 10) * (1 - (PAIRED * Math.min(c, SATURATED_MEQ_PER_L)) / SATURATED_MEQ_PER_L),
  };
}

/** EC of a mix whose salts are dissolved in so much water for each litre of it, mS/cm. */
export const mixEcMSPerCm = (composition: Composition, doses: readonly Dose[], waterLPerL: number): number =>
  ecMSPerCm(saltLoadMeqPerL(composition, doses), waterLPerL) + sparing(doses, waterLPerL).ecMSPerCm;

/** Gypsum's own salt does no harm: so much of it may stand above a window, mS/cm (Ayers & Westcot, FAO 29, from memory). */
export const MOST_HARMLESS_EC = 2;

/** Litres of water per litre of mix in which each method dissolves the same salts (EN 13037, EN 13038). */
export const dilutionWater = {
  saturated: (totalPorosity: number) => totalPorosity,
  displaced: (_: number, water: number) => water,
  oneToTwo: (_: number, water: number) => 2 + water,
  oneToFive: (_: number, water: number) => 5 + water,
} as const satisfies Record<string, (totalPorosity: number, water: number) => number>;

export type EcMethod = keyof typeof dilutionWater;
export const ecMethods = [
  'saturated',
  'displaced',
  'oneToTwo',
  'oneToFive',
] as const satisfies readonly EcMethod[];

/** EC of a solution of soluble salts, mS/cm: meq of cations per litre of water / 10 (Sonneveld & Voogt 2009). */
export function ecMSPerCm(saltsMeqPerL: number, waterLPerL: number): number {
  return saltsMeqPerL / waterLPerL / MEQ_PER_MS;
}

/** The same salts read by another method, mS/cm. */
export function convertEc(
  ecMS: number,
  from: EcMethod,
  to: EcMethod,
  at: { totalPorosity: number; water: number },
): number {
  const litres = (method: EcMethod): number => dilutionWater[method](at.totalPorosity, at.water);
  return (ecMS * litres(from)) / litres(to);
}

export interface Elements {
  n: number;
  p: number;
  k: number;
  ca: number;
  mg: number;
  s: number;
}

/** Whether a product's label nutrients count from the first day: salts, and limes (calcium and magnesium whole). */
const countsAtMixing = (a: Amendment): boolean => a.kind === 'salt' || a.kind === 'lime';

/** Nutrients of doses that are soluble at mixing, mg per litre of finished mix: g/L × % × 10, oxides as elements. */
export function elementsOfDoses(doses: readonly Dose[]): Elements {
  const sum: Elements = { n: 0, p: 0, k: 0, ca: 0, mg: 0, s: 0 };
  for (const { amendment: a, gPerL } of doses) {
    if (!countsAtMixing(a)) continue;
    const per = gPerL * 10;
    sum.n += per * a.nPct;
    sum.p += per * a.p2O5Pct * P_PER_P2O5;
    sum.k += per * a.k2OPct * K_PER_K2O;
    sum.ca += per * a.caPct;
    sum.mg += per * a.mgPct;
    sum.s += per * a.sPct;
  }
  return sum;
}

/** Nutrients soluble at mixing, of materials and doses together. */
export function elementsMgPerL(composition: Composition, doses: readonly Dose[]): Elements {
  const d = composition.densification;
  const from = (of: Parameters<typeof meanByShare>[1]): number => d * meanByShare(composition, of);
  const dosed = elementsOfDoses(doses);
  return {
    n: dosed.n + from((m) => m.availableNMgPerL),
    p: dosed.p + from((m) => m.availablePMgPerL),
    k: dosed.k + from((m) => m.availableKMgPerL),
    ca: dosed.ca + from((m) => m.availableCaMgPerL),
    mg: dosed.mg + from((m) => m.availableMgMgPerL),
    s: dosed.s,
  };
}
