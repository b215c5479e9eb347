import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Aim } from '#core/finder/aims';
import { type Stage } from '#core/mix/stage';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { elementsOfDoses, type Elements } from '#core/mix/salts';
import { OutOfRange } from '#core/units/check';

/** A starter charge: products in fixed shares by weight, so that one number doses them all. */
export interface Blend {
  products: readonly { amendment: Amendment; share: number }[];
  /** In a gram of blend. */
  nMgPerG: number;
  saltsMeqPerG: number;
}

/** Shares by weight of the usual starter for a stage. Common practice, no source. */
export const usualStarter: Record<Stage, Readonly<Record<string, number>>> = {
  germination: { 'calcium-nitrate': 1 },
  rooting: { 'calcium-nitrate': 1 },
  seedling: { 'calcium-nitrate': 3, 'potassium-nitrate': 2, 'superphosphate-triple': 3 },
  potting: { 'calcium-nitrate': 5, 'potassium-nitrate': 4, 'superphosphate-triple': 5 },
};

/** @throws OutOfRange for a product that also limes: it would move the pH that lime was solved for */
export function blendOf(parts: readonly { amendment: Amendment; parts: number }[]): Blend {
  const whole = parts.reduce((sum, p) => sum + p.parts, 0);
  const products = parts.map(({ amendment, parts: n }) => ({ amendment, share: n / whole }));
  for (const { amendment } of products) {
    if (neutralisingMeqPerG(amendment) > 0)
      throw new OutOfRange('starter', amendment.id, allow('allowed.does-not-lime', none));
  }
  const gram: Elements = elementsOfDoses(products.map((p) => ({ amendment: p.amendment, gPerL: p.share })));
  return {
    products,
    nMgPerG: gram.n,
    saltsMeqPerG: products.reduce((sum, p) => sum + p.share * p.amendment.solubleSaltsMeqPerG, 0),
  };
}

/**
 * Dose of a blend, g/L, in closed form. Nitrogen and EC are straight lines in the dose; the dose that comes nearest
 * to the middle of both windows (least squares in half-widths) is moved into the range that meets both, where there
 * is one.
 * @param n0 mg/L of nitrogen without it
 * @param ec0 saturated EC without it, mS/cm
 * @param ecPerG rise of EC with each g/L
 * @returns at least 0
 */
export function starterDoseGPerL(
  n0: number,
  nPerG: number,
  ec0: number,
  ecPerG: number,
  n: Aim,
  ec: Aim,
): number {
  const [halfN, halfEc] = [(n.high - n.low) / 2, (ec.high - ec.low) / 2];
  const [aN, aEc] = [nPerG / halfN, ecPerG / halfEc];
  const steep = aN * aN + aEc * aEc;
  if (!(steep > 0)) return 0;
  const [bN, bEc] = [(n0 - (n.low + n.high) / 2) / halfN, (ec0 - (ec.low + ec.high) / 2) / halfEc];
  const best = Math.max(0, -(aN * bN + aEc * bEc) / steep);
  const least = Math.max(0, nPerG > 0 ? (n.low - n0) / nPerG : 0, ecPerG > 0 ? (ec.low - ec0) / ecPerG : 0);
  const most = Math.min(
    nPerG > 0 ? (n.high - n0) / nPerG : Infinity,
    ecPerG > 0 ? (ec.high - ec0) / ecPerG : Infinity,
  );
  // Where just one dose will do, rounding may put the ends the wrong way round.
  return least <= most + 1e-9 * (1 + least) ? Math.min(most, Math.max(least, best)) : best;
}
