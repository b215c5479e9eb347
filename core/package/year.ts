import { makeOrBuy, type MakeOrBuy } from '#core/package/make-or-buy';

/** What was made of one recipe in a year. */
export interface MadeOfMix {
  batches: number;
  /** Finished mix, L, above 0. */
  litres: number;
  /** Of what went in, as its batches counted it; null where no batch knew a price. */
  money: number | null;
  /** Litres of the batches that knew one; the others count as dear by the litre. */
  pricedLitres: number;
}

export interface YearRow {
  /** Of what went in and of the time it took. */
  costMade: number;
  /** Whole bags. */
  bags: number;
  costBought: number;
  saved: number;
  savedPerBatch: number;
}

/** A year's mix made against the same bought in bags; the outlay counts once, over all of it. */
export interface YearBill {
  /** In the order given; null where a recipe has no price. */
  rows: (YearRow | null)[];
  /** Of the rows that have a price. */
  costMade: number;
  costBought: number;
  saved: number;
  /** What is left of that once the outlay is paid. */
  savedAfterOutlay: number;
}

/**
 * Money of a year of mixes (model § 18): each recipe's bags are whole, the time is told by the batch.
 * @param minutes to make a batch, whatever its size
 * @throws OutOfRange
 */
export function yearBill(
  made: readonly MadeOfMix[],
  {
    labour,
    outlay = 0,
    bought,
  }: Pick<MakeOrBuy, 'outlay' | 'bought'> & { labour: { minutes: number; perHour: number } },
): YearBill {
  const rows = made.map(({ batches, litres, money, pricedLitres }): YearRow | null => {
    if (money === null) return null;
    const { costMade, bags, costBought, saved } = makeOrBuy({
      litres,
      ingredients: [{ litres, pricePerL: money / pricedLitres }],
      doses: [],
      labour: { minutes: labour.minutes * batches, perHour: labour.perHour },
      bought,
    });
    return { costMade, bags, costBought, saved, savedPerBatch: saved / batches };
  });
  const sum = (of: (row: YearRow) => number): number =>
    rows.reduce((total, row) => total + (row ? of(row) : 0), 0);
  const saved = sum((row) => row.saved);
  return {
    rows,
    costMade: sum((row) => row.costMade),
    costBought: sum((row) => row.costBought),
    saved,
    savedAfterOutlay: saved - outlay,
  };
}
