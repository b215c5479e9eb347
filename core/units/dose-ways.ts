import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { gPerLInPoundPerCubicYard, gramsIn, litresIn } from '#core/units/factors';
import { OutOfRange } from '#core/units/check';

/** Ways in which people say a dose: what is in the hand for this batch first. */
export const doseWays = [
  ...(['gramsPerBatch', 'kilogramsPerBatch', 'poundsPerBatch', 'ouncesPerBatch', 'sacksPerBatch'] as const),
  ...(['cupsPerBatch', 'tablespoonsPerBatch', 'teaspoonsPerBatch'] as const),
  ...(['gramsPerPot', 'ouncesPerPot', 'cupsPerPot', 'tablespoonsPerPot'] as const),
  ...(['gramsPerBarrow', 'cupsPerBarrow', 'measuresPerBatch', 'measuresPerPot'] as const),
  ...(['gPerL', 'kgPerM3', 'lbPerYd3', 'ozPerGal', 'tablespoonsPerGal', 'teaspoonsPerGal'] as const),
] as const;
export type DoseWay = (typeof doseWays)[number];

/** What a way needs to know beside the amount. */
export interface DoseSetting {
  /** Of the product, level. */
  bulkDensityGPerMl: number;
  batchLitres: number;
  potLitres: number;
  /** Finished mix in a barrow, L. */
  barrowLitres: number;
  /** A whole sack of the product, kg; null where it is not known. */
  sackKg: number | null;
  /** A measure of one's own, level: a handful that was measured once; null where none is chosen. */
  measureLitres: number | null;
}

/** Grams to a litre in one of a way; null where it cannot be said so. */
export function gPerLInOne(way: DoseWay, of: DoseSetting): number | null {
  const grams = (litres: number): number => litres * 1000 * of.bulkDensityGPerMl;
  switch (way) {
    case 'gPerL':
    case 'kgPerM3':
      return 1;
    case 'lbPerYd3':
      return gPerLInPoundPerCubicYard;
    case 'ozPerGal':
      return gramsIn.ounce / litresIn.gallon;
    case 'tablespoonsPerGal':
      return grams(litresIn.tablespoon) / litresIn.gallon;
    case 'teaspoonsPerGal':
      return grams(litresIn.teaspoon) / litresIn.gallon;
    case 'kilogramsPerBatch':
      return gramsIn.kilogram / of.batchLitres;
    case 'poundsPerBatch':
      return gramsIn.pound / of.batchLitres;
    case 'ouncesPerBatch':
      return gramsIn.ounce / of.batchLitres;
    case 'gramsPerBatch':
      return 1 / of.batchLitres;
    case 'cupsPerBatch':
      return grams(litresIn.cup) / of.batchLitres;
    case 'tablespoonsPerBatch':
      return grams(litresIn.tablespoon) / of.batchLitres;
    case 'teaspoonsPerBatch':
      return grams(litresIn.teaspoon) / of.batchLitres;
    case 'gramsPerPot':
      return 1 / of.potLitres;
    case 'ouncesPerPot':
      return gramsIn.ounce / of.potLitres;
    case 'cupsPerPot':
      return grams(litresIn.cup) / of.potLitres;
    case 'tablespoonsPerPot':
      return grams(litresIn.tablespoon) / of.potLitres;
    case 'measuresPerBatch':
      return of.measureLitres === null ? null : grams(of.measureLitres) / of.batchLitres;
    case 'measuresPerPot':
      return of.measureLitres === null ? null : grams(of.measureLitres) / of.potLitres;
    case 'gramsPerBarrow':
      return 1 / of.barrowLitres;
    case 'cupsPerBarrow':
      return grams(litresIn.cup) / of.barrowLitres;
    case 'sacksPerBatch':
      return of.sackKg === null ? null : (1000 * of.sackKg) / of.batchLitres;
  }
}

/** A dose said in one way, in grams per litre of finished mix. @throws OutOfRange where it cannot be said so */
export function doseFrom(amount: number, way: DoseWay, of: DoseSetting): number {
  const each = gPerLInOne(way, of);
  if (each === null || !(each > 0)) throw new OutOfRange('way', way, allow('allowed.sack-weighed', none));
  return amount * each;
}

/** The same dose in every way in which it can be said. */
export function doseInWays(gPerL: number, of: DoseSetting): { way: DoseWay; amount: number }[] {
  return doseWays.flatMap((way) => {
    const each = gPerLInOne(way, of);
    return each === null ? [] : [{ way, amount: gPerL / each }];
  });
}
