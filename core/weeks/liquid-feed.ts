import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { limits } from '#core/units/limits';
import { K_PER_K2O, P_PER_P2O5, type Amendment } from '#core/material/amendment';
import { type Elements } from '#core/mix/salts';
import { checkRange, OutOfRange } from '#core/units/check';

/** The label of what is dissolved, %. */
export type Analysis = Pick<Amendment, 'nPct' | 'p2O5Pct' | 'k2OPct' | 'caPct' | 'mgPct' | 'sPct'>;

export interface LiquidFeed {
  /** At the plant. */
  productGPerL: number;
  stockGPerL: number;
  tankGrams: number;
  elementsMgPerL: Elements;
}

/**
 * A product dissolved to a strength of nitrogen: stock g/L = mg/L × ratio / (% × 10).
 * @param injector so many to one
 * @throws OutOfRange for a product without nitrogen
 */
export function liquidFeed(
  label: Analysis,
  nMgPerL: number,
  injector: number,
  tankLitres: number,
): LiquidFeed {
  checkRange('nMgPerL', nMgPerL, ...limits.feedNMgPerL);
  checkRange('injector', injector, ...limits.injector);
  checkRange('tankLitres', tankLitres, ...limits.tankLitres);
  if (!(label.nPct > 0))
    throw new OutOfRange('product.nPct', label.nPct, allow('allowed.counted-in-nitrogen', none));
  const productGPerL = nMgPerL / (label.nPct * 10);
  const mg = (pct: number): number => productGPerL * pct * 10;
  return {
    productGPerL,
    stockGPerL: productGPerL * injector,
    tankGrams: productGPerL * injector * tankLitres,
    elementsMgPerL: {
      n: mg(label.nPct),
      p: mg(label.p2O5Pct) * P_PER_P2O5,
      k: mg(label.k2OPct) * K_PER_K2O,
      ca: mg(label.caPct),
      mg: mg(label.mgPct),
      s: mg(label.sPct),
    },
  };
}

/**
 * Acidity that a product leaves in the mix once plants have fed on it, meq/g; below 0 where it limes. By its ions, with
 * half of the nitrogen and one of three charges of phosphorus, as Pierre, Ind. Eng. Chem. Anal. Ed. 5:229 (1933), counts
 * them (from memory). One meq is 50 mg of calcium carbonate.
 * @example acidityMeqPerG(ammoniumNitrate) * 50 // 598 mg of calcium carbonate to a gram
 */
export function acidityMeqPerG({ nPct, p2O5Pct, k2OPct, caPct, mgPct, sPct }: Analysis): number {
  const meq = (pct: number, mgPerMeq: number): number => (10 * pct) / mgPerMeq;
  return (
    meq(nPct, 14.007) / 2 +
    meq(p2O5Pct * P_PER_P2O5, 30.97) +
    meq(sPct, 16.03) -
    meq(k2OPct * K_PER_K2O, 39.1) -
    meq(caPct, 20.04) -
    meq(mgPct, 12.15)
  );
}

/** The same for each mg of nitrogen that it brings. @throws OutOfRange for a product without nitrogen */
export function acidityMeqPerMgN(label: Analysis): number {
  if (!(label.nPct > 0))
    throw new OutOfRange('product.nPct', label.nPct, allow('allowed.counted-in-nitrogen', none));
  return acidityMeqPerG(label) / (10 * label.nPct);
}

/** Below this ammonium and urea are hardly turned to nitrate, °C; and the share of them from which that matters, %. */
export const coldFeed = { belowC: 15, nh4SharePct: 50 } as const;

/** Whether a feed is more than half ammonium or urea where it is too cold for them. Common practice, no source. */
export const isFeedTooCold = (
  { nh4ShareOfNPct }: Pick<Amendment, 'nh4ShareOfNPct'>,
  celsius: number,
): boolean => celsius < coldFeed.belowC && nh4ShareOfNPct > coldFeed.nh4SharePct;
