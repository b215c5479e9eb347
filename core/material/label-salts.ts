import { type Amendment, K_PER_K2O } from '#core/material/amendment';

type Label = Pick<Amendment, 'nPct' | 'k2OPct' | 'caPct' | 'mgPct' | 'nh4ShareOfNPct'>;

/**
 * Cations that a gram of a salt gives to water, by its label, meq/g: K, Ca, Mg and ammonium (equivalent weights 39.1,
 * 20.04, 12.15 and 14.007); at least as much as its nitrate needs beside it.
 * @example saltsByLabel({ nPct: 15.5, k2OPct: 0, caPct: 19, mgPct: 0, nh4ShareOfNPct: 7 }) // 10.3
 */
export function saltsByLabel({ nPct, k2OPct, caPct, mgPct, nh4ShareOfNPct }: Label): number {
  const nh4 = (nPct * nh4ShareOfNPct) / 100;
  const metals = (10 * k2OPct * K_PER_K2O) / 39.1 + (10 * caPct) / 20.04 + (10 * mgPct) / 12.15;
  return Math.max(metals + (10 * nh4) / 14.007, (10 * (nPct - nh4)) / 14.007);
}
