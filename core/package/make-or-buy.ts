import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

export interface MakeOrBuy {
  /** Finished mix, L. */
  litres: number;
  ingredients: readonly { litres: number; pricePerL: number }[];
  doses: readonly { grams: number; pricePerKg: number }[];
  labour?: { minutes: number; perHour: number } | undefined;
  /** What has to be bought before the first litre: a mixer, a screen. */
  outlay?: number | undefined;
  /** A bag of what could be bought instead. */
  bought: { litres: number; price: number };
}

export interface MakeOrBuyBill {
  costMade: number;
  costPerL: number;
  /** Whole ones. */
  bags: number;
  costBought: number;
  saved: number;
  /** Litres after which the outlay is back; null without one, or where making is not cheaper. */
  breakEvenLitres: number | null;
}

/** Money of a batch made against the same bought in bags (model § 18). @throws OutOfRange */
export function makeOrBuy({ litres, ingredients, doses, labour, outlay, bought }: MakeOrBuy): MakeOrBuyBill {
  checkRange('litres', litres, ...limits.boughtLitres);
  checkRange('bought.litres', bought.litres, ...limits.boughtLitres);
  checkRange('bought.price', bought.price, ...limits.money);
  const costMade =
    ingredients.reduce((sum, each) => sum + each.litres * each.pricePerL, 0) +
    doses.reduce((sum, each) => sum + (each.grams / 1000) * each.pricePerKg, 0) +
    (labour ? (labour.minutes / 60) * labour.perHour : 0);
  // A bag that is full to rounding is one bag.
  const bags = Math.ceil(litres / bought.litres - 1e-9);
  const costPerL = costMade / litres;
  const gain = bought.price / bought.litres - costPerL;
  return {
    costMade,
    costPerL,
    bags,
    costBought: bags * bought.price,
    saved: bags * bought.price - costMade,
    breakEvenLitres: outlay !== undefined && gain > 0 ? outlay / gain : null,
  };
}
