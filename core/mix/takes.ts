import { type Composition } from '#core/mix/composition';
import { type Dose } from '#core/mix/ph';

/** What is planned or wanted of one item. */
export interface Wanted {
  item: string;
  /** In the unit of its kind, for a litre of finished mix. */
  perLitre: number;
}

interface Mixed {
  composition: Composition;
  doses: readonly Dose[];
}

/** What a litre of finished mix takes: loose litres of materials as bought, kilograms of products. */
export function takesOf({ composition, doses }: Mixed): Wanted[] {
  const { parts, shares, densification } = composition;
  return [
    ...parts.map(({ material, screen }, i) => ({
      item: material.id,
      // What goes over a screen is more than what comes through.
      perLitre: (densification * shares[i]!) / (1 - (screen?.oversizeShare ?? 0)),
    })),
    ...doses.map(({ amendment, gPerL }) => ({ item: amendment.id, perLitre: gPerL / 1000 })),
  ];
}

export interface Bill {
  /** Of what has a price, for a litre of finished mix. */
  perLitre: number;
  /** What has none. */
  unpriced: string[];
  lines: { item: string; perLitre: number }[];
}

/** Money of a litre of mix. @param priceOf a litre or a kilogram; null where it is not known */
export function billOf(wanted: readonly Wanted[], priceOf: (item: string) => number | null): Bill {
  const bill: Bill = { perLitre: 0, unpriced: [], lines: [] };
  for (const { item, perLitre } of wanted) {
    if (perLitre === 0) continue;
    const price = priceOf(item);
    if (price === null) bill.unpriced.push(item);
    else {
      bill.perLitre += perLitre * price;
      bill.lines.push({ item, perLitre: perLitre * price });
    }
  }
  return bill;
}
