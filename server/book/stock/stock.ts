import { type Lot, type StockLine } from '#contract/lots';
import { daysLeft } from '#core/package/stock';
import { daysAfter } from '#core/units/day';
import { type LotStore } from '#server/kept/lots';

/** Weeks whose pace tells how long what is left lasts. */
const PACE_DAYS = 56;

/** All lots of an item together: what is left of those that may be used, how long it lasts, what it costs. */
export function stockLines(lots: LotStore, today: string): StockLine[] {
  const took = new Map(
    lots.takenSince(daysAfter(today, -PACE_DAYS)).map((each) => [`${each.kind}/${each.item}`, each.took]),
  );
  const byItem = new Map<string, Lot[]>();
  for (const lot of lots.all()) {
    const key = `${lot.kind}/${lot.item}`;
    byItem.set(key, [...(byItem.get(key) ?? []), lot]);
  }
  return [...byItem].map(([key, all]) => {
    const result = all.filter((lot) => lot.left !== null);
    // What still rests or rots is there, and no use yet.
    const usable = result.filter((lot) => lot.readyOn === null || lot.readyOn <= today);
    const left = result.length === 0 ? null : usable.reduce((sum, lot) => sum + Math.max(0, lot.left!), 0);
    const priced = all.find((lot) => lot.price !== null && lot.quantity !== null && lot.quantity > 0);
    return {
      ...{ kind: all[0]!.kind, item: all[0]!.item, name: all[0]!.name, left },
      daysLeft: daysLeft(left, took.get(key) ?? 0, PACE_DAYS),
      pricePerUnit: priced ? priced.price! / priced.quantity! : null,
    };
  });
}
