import { type Wanted } from '#core/mix/takes';
import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { OutOfRange } from '#core/units/check';

/** What is counted: the loose litres of a material, the kilograms of a product, single vessels or seeds. */
export const stockUnits = { material: 'L', product: 'kg', vessel: 'each', seed: 'each' } as const;
export type StockKind = keyof typeof stockUnits;
export const stockKinds = Object.keys(stockUnits) as [StockKind, ...StockKind[]];

/** What happened to a lot since it came, in its own unit. Amounts are never taken back; another one is added. */
export interface LotSums {
  /** What came at first; null where nobody said. */
  quantity: number | null;
  /** What came later of the same. */
  came: number;
  lost: number;
  /** By how much counting it put it right, up or down. */
  counted: number;
  /** Vessels that were out with plants and stand empty again. */
  back: number;
  /** What batches and plantings took. */
  took: number;
}

/** What is left: bought − lost − used + come back, put right by counting. Null where it was never said how much came. */
export function leftOf({ quantity, came, lost, counted, back, took }: LotSums): number | null {
  return quantity === null ? null : quantity + came - lost + counted + back - took;
}

export interface Makeable {
  /** Finished mix that what is left makes; null where one item's stock is not known. */
  litres: number | null;
  /** What ends first. */
  endsFirst: string | null;
  /** Of what there is too little for so many litres, and by how much. */
  short: { item: string; by: number }[];
  /** Items whose stock nobody told. */
  unknown: string[];
}

/** Amounts under this are a rounding: a scoop is less exact by far. */
const NOTHING = 1e-9;

/**
 * What can still be made of a recipe, what ends first, and what is missing for so much of it.
 * @param left by item, in the unit of its kind; null or absent where it is not known
 * @param litres finished mix that is wanted, above 0
 */
export function makeable(
  wanted: readonly Wanted[],
  left: ReadonlyMap<string, number | null>,
  litres: number,
): Makeable {
  if (!(litres > 0)) throw new OutOfRange('litres', litres, allow('allowed.above-nothing', none));
  const used = wanted.filter((each) => each.perLitre > NOTHING);
  const unknown = used.filter(({ item }) => (left.get(item) ?? null) === null).map(({ item }) => item);
  let [most, endsFirst] = [Infinity, null as string | null];
  const short: Makeable['short'] = [];
  for (const { item, perLitre } of used) {
    const present = left.get(item) ?? null;
    if (present === null) continue;
    const makes = Math.max(0, present) / perLitre;
    if (makes < most) [most, endsFirst] = [makes, item];
    const by = perLitre * litres - Math.max(0, present);
    if (by > NOTHING) short.push({ item, by });
  }
  return { litres: unknown.length > 0 || most === Infinity ? null : most, endsFirst, short, unknown };
}

/**
 * Days that what is left lasts at the pace of the last weeks; null where nothing was taken or it is not known.
 * @param tookInWindow taken within the last `windowDays`
 */
export function daysLeft(left: number | null, tookInWindow: number, windowDays: number): number | null {
  if (left === null || tookInWindow <= NOTHING) return null;
  return Math.max(0, left) / (tookInWindow / windowDays);
}

/** How many vessels what is left in the tub fills. @param eachL litres that one takes, above 0 */
export function fills(leftL: number, eachL: number): number {
  if (!(eachL > 0)) throw new OutOfRange('eachL', eachL, allow('allowed.above-nothing', none));
  // A tub that is full to rounding fills the last one.
  return Math.max(0, Math.floor(leftL / eachL + NOTHING));
}

/** Litres a year: batches a week of so many litres, so many weeks. @example yearLitres(80 * 3, 2, 52) // 24960 */
export function yearLitres(batchLitres: number, batchesPerWeek: number, weeks: number): number {
  return batchLitres * batchesPerWeek * weeks;
}
