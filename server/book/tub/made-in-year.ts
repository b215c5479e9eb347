import { type MadeInYear } from '#contract/batches';
import { costOf } from '#core/batch/planned';
import { type Tubs } from '#server/book/tub/tubs';
import { type BatchStore } from '#server/kept/batches';

type OfMix = MadeInYear['mixes'][number];

/**
 * What was made in a year, by recipe, the most first; a batch whose steps are still to do is not made yet.
 * @param year YYYY
 * @param from.priceOf a litre or a kilogram today; null where it is not known
 */
export function madeInYear(
  year: string,
  { batches, tubs, priceOf }: { batches: BatchStore; tubs: Tubs; priceOf: (item: string) => number | null },
): MadeInYear {
  const mixes = new Map<number | null, OfMix>();
  for (const { id, mixId, mixName, litres } of batches.ofYear(year)) {
    if (!tubs.of(id).state.made) continue;
    const sum: OfMix = mixes.get(mixId) ?? {
      mixId,
      mixName,
      batches: 0,
      litres: 0,
      money: null,
      pricedLitres: 0,
      unpriced: 0,
      priceOfToday: 0,
    };
    const { planned, cost: then } = batches.billOf(id);
    const cost = then ?? costOf(planned, priceOf);
    mixes.set(mixId, {
      ...sum,
      batches: sum.batches + 1,
      litres: sum.litres + litres,
      ...(cost && {
        money: (sum.money ?? 0) + cost.money,
        pricedLitres: sum.pricedLitres + litres,
        priceOfToday: sum.priceOfToday + Number(then === null),
      }),
      unpriced: sum.unpriced + Number(!cost || cost.unpriced > 0),
    });
  }
  return { year, years: batches.years(), mixes: [...mixes.values()].sort((a, b) => b.litres - a.litres) };
}
