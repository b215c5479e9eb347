import { type StockKind } from '#core/package/stock';
import { showQuantity } from '#core/units/said';
import { type UnitSystem } from '#core/units/show';

/** So much of a lot, in the reader's units: litres of a material, weight of a product, pieces. */
export function stockAmount(kind: StockKind, amount: number, system: UnitSystem): string {
  if (kind === 'seed' || kind === 'vessel') return String(Math.round(amount));
  const shown = showQuantity(kind === 'product' ? { massG: 1000 * amount } : { volumeL: amount }, system);
  return `${shown.text}\u00a0${shown.unit}`;
}
