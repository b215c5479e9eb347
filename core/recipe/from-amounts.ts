import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Material } from '#core/material/material';
import { compose, partOf } from '#core/mix/composition';
import { litresIn, gramsIn } from '#core/units/factors';
import { OutOfRange } from '#core/units/check';

/** In what a part is at hand. */
export const amountWays = [
  'litres',
  'gallons',
  'cubicFeet',
  'buckets',
  'barrows',
  'bags',
  'kg',
  'lb',
  'bricks',
] as const;
export type AmountWay = (typeof amountWays)[number];

export interface AmountSetting {
  bucketLitres: number;
  barrowLitres: number;
  bagLitres: number;
  /** Loose litres that come of one brick. */
  brickLitres: number;
}

/** So much of a material as it is bought. */
export interface SaidAmount {
  material: Material;
  amount: number;
  way: AmountWay;
  screenedMm?: number | undefined;
}

/** Loose litres of an amount; by weight through its density and moisture. */
export function looseLitresOf({ material, amount, way }: SaidAmount, of: AmountSetting): number {
  if (!(amount > 0)) throw new OutOfRange('amount', amount, allow('allowed.above-nothing', none));
  const byWeight = (grams: number): number =>
    (grams * (1 - material.moistureWetBasis)) / material.dryBulkDensityGPerL;
  switch (way) {
    case 'litres':
      return amount;
    case 'gallons':
      return amount * litresIn.gallon;
    case 'cubicFeet':
      return amount * litresIn.cubicFoot;
    case 'buckets':
      return amount * of.bucketLitres;
    case 'barrows':
      return amount * of.barrowLitres;
    case 'bags':
      return amount * of.bagLitres;
    case 'kg':
      return byWeight(amount * 1000);
    case 'lb':
      return byWeight(amount * gramsIn.pound);
    case 'bricks':
      return amount * of.brickLitres;
  }
}

/** A recipe that starts from what goes in. */
export interface RecipeFromAmounts {
  /** To two decimals; the smallest part is 1. */
  parts: { material: string; parts: number }[];
  /** Finished mix that it makes. */
  litres: number;
}

/** Parts and finished litres of amounts, each in its own unit. @param compaction firming, 0–0.5 */
export function fromAmounts(
  amounts: readonly SaidAmount[],
  of: AmountSetting,
  compaction: number,
): RecipeFromAmounts {
  const loose = amounts.map((amount) => looseLitresOf(amount, of));
  const least = Math.min(...loose);
  const parts = amounts.map(({ material }, i) => ({
    material: material.id,
    parts: Math.round((loose[i]! / least) * 100) / 100,
  }));
  const composition = compose(
    amounts.map(({ material, screenedMm }, i) => partOf(material, loose[i]!, screenedMm)),
    compaction,
  );
  return { parts, litres: loose.reduce((a, b) => a + b, 0) / composition.densification };
}

/**
 * Parts of one material said as a fraction: of all the rest, or of one other part. Both are read out, because "a third
 * as much" is heard both ways.
 * @param fraction above 0, at most 20
 */
export function asFraction(
  fraction: number,
  others: readonly { material: string; parts: number }[],
  of: string | null,
): number {
  if (!(fraction > 0 && fraction <= 20))
    throw new OutOfRange('fraction', fraction, allow('allowed.above-nothing-to', { most: 20 }));
  const base =
    of === null
      ? others.reduce((sum, each) => sum + each.parts, 0)
      : (others.find((other) => other.material === of)?.parts ?? 0);
  if (!(base > 0)) throw new OutOfRange('of', of ?? 'the rest', allow('allowed.another-part', none));
  return Math.round(fraction * base * 100) / 100;
}
