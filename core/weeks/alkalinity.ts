import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/** mg of calcium carbonate in a meq, as water reports count it. */
export const MG_CACO3_PER_MEQ = 50;
/** First pK of carbonic acid at 25 °C. */
const PK_CARBONIC = 6.35;
/** Citric acid, anhydrous: its three pK and its weight, g/mol. */
const CITRIC = { pk: [3.13, 4.76, 6.4], gPerMol: 192.12 } as const;

interface LiquidAcid {
  meqPerMl: number;
  /** mg of an element that comes with each meq. */
  n: number;
  p: number;
}
/** 61 % nitric (density 1.367) and 75 % phosphoric, of which the first proton counts. */
const liquids = {
  nitric61: { meqPerMl: 13.2, n: 14.007, p: 0 },
  phosphoric75: { meqPerMl: 12.1, n: 0, p: 30.97 },
} as const satisfies Record<string, LiquidAcid>;

export const acids = ['nitric61', 'phosphoric75', 'citric'] as const;
export type Acid = (typeof acids)[number];

export interface Acidified {
  /** Alkalinity of the water. */
  meqPerL: number;
  /** Share of it that acid takes away on the way to the target. */
  neutralisedShare: number;
  acidMlPerL?: number;
  acidGPerL?: number;
  /** mg/L that come with the acid. */
  adds: { n: number; p: number };
}

/** Protons that a mole of citric acid gives at a pH, 0–3. */
function citricProtons(ph: number): number {
  const h = 10 ** -ph;
  const [k1, k2, k3] = CITRIC.pk.map((pk) => 10 ** -pk) as [number, number, number];
  const [one, two, three] = [k1 * h * h, k1 * k2 * h, k1 * k2 * k3];
  return (one + 2 * two + 3 * three) / (h ** 3 + one + two + three);
}

/**
 * Acid that brings a water to a pH (Whipker, Bailey, Nelson, Fonteno & Hammer, Commun. Soil Sci. Plant Anal. 27:959
 * (1996), from memory).
 * @param alkalinityMgPerL as calcium carbonate, 0–1000
 * @param targetPh 4.5–7
 */
export function acidify(alkalinityMgPerL: number, targetPh: number, acid: Acid): Acidified {
  checkRange('alkalinityMgPerL', alkalinityMgPerL, ...limits.alkalinityMgPerL);
  checkRange('targetPh', targetPh, ...limits.acidTargetPh);
  const meqPerL = alkalinityMgPerL / MG_CACO3_PER_MEQ;
  const neutralisedShare = 1 / (1 + 10 ** (targetPh - PK_CARBONIC));
  const meq = meqPerL * neutralisedShare;
  if (acid === 'citric')
    return {
      meqPerL,
      neutralisedShare,
      acidGPerL: ((meq / citricProtons(targetPh)) * CITRIC.gPerMol) / 1000,
      adds: { n: 0, p: 0 },
    };
  const { meqPerMl, n, p } = liquids[acid];
  return { meqPerL, neutralisedShare, acidMlPerL: meq / meqPerMl, adds: { n: meq * n, p: meq * p } };
}

/** A water as it is poured: acid takes its share of the alkalinity, and its nitrogen is fed. @param acid none where left out */
export function pouredWith(
  { alkalinityMgPerL, ecMSPerCm }: { alkalinityMgPerL: number; ecMSPerCm: number },
  acid?: { is: Acid; toPh: number },
): { alkalinityMgPerL: number; ecMSPerCm: number; nMgPerL: number } {
  const { neutralisedShare, adds } = acid
    ? acidify(alkalinityMgPerL, acid.toPh, acid.is)
    : { neutralisedShare: 0, adds: { n: 0 } };
  return { ecMSPerCm, alkalinityMgPerL: alkalinityMgPerL * (1 - neutralisedShare), nMgPerL: adds.n };
}

/** What an acid may bring at most, and what it must leave, mg/L. Common practice, no source. */
export const acidLimits = { nMgPerL: 50, pMgPerL: 30, leastAlkalinityMgPerL: 30 } as const;
export type AcidRemark = 'nitrogen' | 'phosphorus' | 'no-buffer';

/** What there is to say of acid in a water. @example remarksOnAcid(acidify(250, 5.8, 'nitric61')) // ['nitrogen'] */
export function remarksOnAcid({ meqPerL, neutralisedShare, adds }: Acidified): AcidRemark[] {
  const left = meqPerL * (1 - neutralisedShare) * MG_CACO3_PER_MEQ;
  return [
    ...(adds.n > acidLimits.nMgPerL ? (['nitrogen'] as const) : []),
    ...(adds.p > acidLimits.pMgPerL ? (['phosphorus'] as const) : []),
    ...(left < acidLimits.leastAlkalinityMgPerL ? (['no-buffer'] as const) : []),
  ];
}
