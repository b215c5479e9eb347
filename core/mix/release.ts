import { K_PER_K2O, P_PER_P2O5, type Amendment } from '#core/material/amendment';
import { type Dose } from '#core/mix/ph';
import { checkRange } from '#core/units/check';

/** Rates double with every 10 °C (Q10 = 2). */
export const q10 = (celsius: number, at: number): number => 2 ** ((celsius - at) / 10);

export type Nutrient = 'n' | 'p' | 'k';

/** Nutrient in a gram of product by its label, mg/g. */
function labelMgPerG(a: Amendment, nutrient: Nutrient): number {
  const pct = nutrient === 'n' ? a.nPct : nutrient === 'p' ? a.p2O5Pct * P_PER_P2O5 : a.k2OPct * K_PER_K2O;
  return pct * 10;
}

/**
 * Share of a product's nutrient set free after so many weeks, 0–1.
 * Salts and limes: at once. Coated: a straight line over the stated longevity at 21 °C. Organic: f (1 − e^(−kt)) at
 * 20 °C (form and rates after Hartz & Johnstone, HortTechnology 16:39, 2006 (from memory)). Slow minerals: nothing
 * that counts in a propagation crop.
 * @param weeks 0–200
 * @param celsius mean temperature of the mix, 2–40
 */
export function releasedShare(a: Amendment, weeks: number, celsius: number): number {
  checkRange('weeks', weeks, 0, 200);
  checkRange('celsius', celsius, 2, 40);
  switch (a.kind) {
    case 'salt':
    case 'lime':
      return 1;
    case 'coated':
      return a.longevityWeeks21C > 0 ? Math.min(1, (weeks / a.longevityWeeks21C) * q10(celsius, 21)) : 0;
    case 'organic':
      return a.organicNReleaseFraction * (1 - Math.exp(-a.releaseRatePerWeek20C * q10(celsius, 20) * weeks));
    default:
      return 0;
  }
}

/** mg of a nutrient set free in a litre of mix since mixing. */
export function releasedMgPerL(
  doses: readonly Dose[],
  nutrient: Nutrient,
  weeks: number,
  celsius: number,
): number {
  return doses.reduce(
    (sum, d) =>
      sum + d.gPerL * labelMgPerG(d.amendment, nutrient) * releasedShare(d.amendment, weeks, celsius),
    0,
  );
}

/** Everything on the label of all doses, mg/L. */
export function labelMgPerL(doses: readonly Dose[], nutrient: Nutrient): number {
  return doses.reduce((sum, d) => sum + d.gPerL * labelMgPerG(d.amendment, nutrient), 0);
}
