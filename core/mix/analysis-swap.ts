import { allow } from '#core/units/allowed';
import { K_PER_K2O, neutralisingMeqPerG, P_PER_P2O5, type Amendment } from '#core/material/amendment';
import { releasedShare } from '#core/mix/release';
import { checkRange, OutOfRange } from '#core/units/check';

export const swapBases = ['n', 'p', 'k', 'lime'] as const;
export type SwapBasis = (typeof swapBases)[number];

/** What a gram holds of what the swap keeps equal: mg of nutrient, or meq of acid neutralised. */
const contentPerG: Record<SwapBasis, (a: Amendment) => number> = {
  n: (a) => a.nPct * 10,
  p: (a) => a.p2O5Pct * P_PER_P2O5 * 10,
  k: (a) => a.k2OPct * K_PER_K2O * 10,
  lime: neutralisingMeqPerG,
};

export interface SwapChange {
  what: 'n' | 'p' | 'k' | 'ca' | 'mg' | 'saltsMeq' | 'limeMeq' | 'readyNInTwoWeeks';
  from: number;
  to: number;
}

export interface AnalysisSwap {
  gPerL: number;
  /** Everything else per litre of mix that is not the same afterwards: mg/L, or meq/L for salts and lime. */
  changes: SwapChange[];
}

/**
 * "I have this product instead": the dose that brings as much nitrogen (or P, K, lime value), and what else changes.
 * @param gPerL present dose, 0–1000
 * @throws OutOfRange when the other product has none of it
 */
export function swapAnalysis(from: Amendment, gPerL: number, to: Amendment, basis: SwapBasis): AnalysisSwap {
  checkRange('gPerL', gPerL, 0, 1000);
  const content = contentPerG[basis];
  if (!(content(from) > 0)) throw new OutOfRange('from', from.id, allow('allowed.product-with', { basis }));
  if (!(content(to) > 0)) throw new OutOfRange('to', to.id, allow('allowed.product-with', { basis }));
  const other = (gPerL * content(from)) / content(to);
  const properties: Record<SwapChange['what'], (a: Amendment) => number> = {
    n: contentPerG.n,
    p: contentPerG.p,
    k: contentPerG.k,
    ca: (a) => a.caPct * 10,
    mg: (a) => a.mgPct * 10,
    saltsMeq: (a) => a.solubleSaltsMeqPerG,
    limeMeq: neutralisingMeqPerG,
    readyNInTwoWeeks: (a) => contentPerG.n(a) * releasedShare(a, 2, 20),
  };
  const changes = (Object.entries(properties) as [SwapChange['what'], (a: Amendment) => number][])
    .map(([what, of]) => ({ what, from: gPerL * of(from), to: other * of(to) }))
    .filter((c) => Math.abs(c.to - c.from) > 0.02 * Math.max(1, Math.abs(c.from)));
  return { gPerL: other, changes };
}

/** What a product is mostly bought for: the basis to start a swap with. */
export function usualBasis(a: Amendment): SwapBasis | null {
  if (a.kind === 'lime') return 'lime';
  return (['n', 'p', 'k'] as const).find((basis) => contentPerG[basis](a) > 0) ?? null;
}
