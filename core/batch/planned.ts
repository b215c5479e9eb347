import { type BatchSnapshot } from '#core/batch/snapshot';

/** What a batch plans to take: loose litres of materials before they are screened, kilograms of products. */
export function plannedItems({
  sheet,
  oversize,
}: Pick<BatchSnapshot, 'sheet' | 'oversize'>): { item: string; amount: number }[] {
  return [
    ...sheet.components.map(({ material, looseLitres }) => ({
      item: material,
      amount: looseLitres + (oversize?.find((each) => each.material === material)?.litres ?? 0),
    })),
    ...sheet.amendments.map(({ amendment, grams }) => ({ item: amendment, amount: grams / 1000 })),
  ];
}

/** So much of one item; 0 where it is not in it. */
export const plannedOf = (snapshot: BatchSnapshot, item: string): number =>
  plannedItems(snapshot).find((plannedItem) => plannedItem.item === item)?.amount ?? 0;

/**
 * Money of all that a batch takes.
 * @param priceOf a litre or a kilogram; null where it is not known
 * @returns null where nothing has a price
 */
export function costOf(
  planned: readonly { item: string; amount: number }[],
  priceOf: (item: string) => number | null,
): { money: number; unpriced: number } | null {
  let [money, priced, unpriced] = [0, 0, 0];
  for (const { item, amount } of planned) {
    const price = amount > 0 ? priceOf(item) : 0;
    if (price === null) unpriced++;
    else {
      money += amount * price;
      priced += Number(amount > 0);
    }
  }
  return priced > 0 ? { money, unpriced } : null;
}
