import { type Calendar } from '#server/kept/nursery/calendar';
import { stockLines } from '#server/book/stock/stock';
import { type LotStore } from '#server/kept/lots';
import { type ShelfStore } from '#server/kept/shelf';

/** What things cost today, a litre or a kilogram: as typed on the shelf, else by the newest lot that tells; null else. */
export function pricesNow(
  shelf: ShelfStore,
  lots: LotStore,
  calendar: Calendar,
): (item: string) => number | null {
  const typed = new Map(shelf.all().map((line) => [line.material, line.costPerL]));
  const bought = new Map(stockLines(lots, calendar.today()).map((line) => [line.item, line.pricePerUnit]));
  return (item) => typed.get(item) ?? bought.get(item) ?? null;
}
