import { type StockKind } from '#core/package/stock';

/** What a delivery is packed in. */
export const packKinds = ['bag', 'bale', 'brick', 'load', 'sack', 'box', 'packet'] as const;
export interface Pack {
  kind: (typeof packKinds)[number];
  /** What one holds: usable litres of a material, kilograms, single vessels or seeds. */
  amount: number;
}
/** As it usually comes, where nobody said. */
const usual: Record<StockKind, Pack['kind']> = {
  material: 'load',
  product: 'sack',
  vessel: 'box',
  seed: 'packet',
};

interface Delivered {
  kind: StockKind;
  receivedOn: string;
  quantity: number | null;
  price: number | null;
  pack: Pack | null;
  from: unknown;
}

/** How something was last bought: its package, and what one cost. */
export interface LastBought {
  pack: Pack;
  /** Of one package; null where no price is known. */
  price: number | null;
}

/**
 * The package in which an item last came, with the last price that is known; a delivery that says none counts as one.
 * What the nursery made itself is not bought.
 * @returns null where it never came
 */
export function lastBought(lots: readonly Delivered[]): LastBought | null {
  const bought = lots
    .filter(({ from, quantity }) => !from && quantity !== null && quantity > 0)
    .sort((a, b) => (a.receivedOn < b.receivedOn ? 1 : -1));
  const last = bought.find(({ pack }) => pack !== null) ?? bought[0];
  if (!last) return null;
  const pack = last.pack ?? { kind: usual[last.kind], amount: last.quantity! };
  const priced = bought.find(({ price }) => price !== null);
  return { pack, price: priced ? (priced.price! / priced.quantity!) * pack.amount : null };
}

/** Whole packages that hold an amount. @example packsFor(380, 120) // 4 */
export const packsFor = (amount: number, packAmount: number): number => Math.ceil(amount / packAmount - 1e-9);
