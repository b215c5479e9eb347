import { type Amendment } from '#core/material/amendment';
import { releasedMgPerL } from '#core/mix/release';
import { unfedOf } from '#core/weeks/clock';
import { airOn, type Keeping } from '#core/weeks/keeping';
import { type Living, wantedNMg } from '#core/weeks/life';

/** Share of nitrogen set free that the roots get before watering takes it. Common practice, no source. */
const REACHES_ROOTS = 0.7;

export interface TopDressing {
  /** Day from which the mix alone feeds too little: the day on which every screen calls for feed. */
  fromDay: number;
  /** Of the product, on one vessel. */
  grams: number;
  /** Its own ceiling is less than what the plants would want. */
  capped: boolean;
}

/**
 * Slow feed that is laid on top when the mix has given what it had: as much as sets free, in the days that are left, what
 * the plants would drink of nitrogen and do not find; no more than its ceiling in pots. Model section 24.
 * @returns null where the mix lasts, or where the product sets no nitrogen free
 */
export function topDressing(living: Living, keeping: Keeping, product: Amendment): TopDressing | null {
  const { first, days } = living.under(unfedOf(keeping));
  const fromDay = first.starved;
  if (fromDay === null) return null;
  const left = days.slice(fromDay - 1);
  const { tempC } = airOn(keeping, fromDay);
  const mgPerG = releasedMgPerL([{ amendment: product, gPerL: 1 }], 'n', left.length / 7, tempC);
  if (mgPerG <= 0) return null;
  const missing = left.reduce((sum, day) => sum + wantedNMg(day.transpiredMl) - day.uptakeNMg, 0);
  const wanted = missing / (REACHES_ROOTS * mgPerG);
  const most = product.mostPottingGPerL > 0 ? product.mostPottingGPerL * living.litres : Infinity;
  return { fromDay, grams: Math.min(wanted, most), capped: wanted > most };
}
