import { stockLines } from '#server/book/stock/stock';
import { type Stores } from '#server/kept/stores';

/** What things cost today, a litre or a kilogram: as typed on the shelf, else by the newest lot that tells; null else. */
export function pricesNow({ shelf, lots, calendar }: Stores): (item: string) => number | null {
  const typed = new Map(shelf.all().map((line) => [line.material, line.costPerL]));
  const bought = new Map(stockLines(lots, calendar.today()).map((line) => [line.item, line.pricePerUnit]));
  return (item) => typed.get(item) ?? bought.get(item) ?? null;
}
