import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';
import { litresIn } from '#core/units/factors';

/** Litres in one of what stands on bags. A dry quart is 67.200625 in³; media are sold by it in the US. */
export const packageUnits = {
  dryQuart: 67.200625 * litresIn.cubicInch,
  liquidQuart: litresIn.quart,
  L: litresIn.litre,
  ft3: litresIn.cubicFoot,
  yd3: litresIn.cubicYard,
  gal: litresIn.gallon,
} as const;
export type PackageUnit = keyof typeof packageUnits;

export type Package =
  | { kind: 'bag'; volume: number; unit: PackageUnit }
  /** Pressed: `loosening` litres loose of each litre of bale (1.8–2.2, common practice). */
  | { kind: 'bale'; volume: number; unit: PackageUnit; loosening: number }
  | { kind: 'brick'; massKg: number; litresPerKg: number; waterLitresPerKg: number }
  | { kind: 'bulk'; massKg: number; dryBulkDensityGPerL: number; moisturePctWb: number };

export interface Opened {
  /** Loose. */
  litres: number;
  /** What is left once it went over the screen. */
  usableLitres: number;
  /** Per usable litre; null without a price. */
  pricePerL: number | null;
  /** For a brick; null for anything else. */
  waterToHydrateLitres: number | null;
}

function looseLitres(each: Package): number {
  switch (each.kind) {
    case 'bag':
      return checkRange('volume', each.volume, ...limits.packageVolume) * packageUnits[each.unit];
    case 'bale':
      return (
        checkRange('volume', each.volume, ...limits.packageVolume) *
        packageUnits[each.unit] *
        checkRange('loosening', each.loosening, ...limits.loosening)
      );
    case 'brick':
      return (
        checkRange('massKg', each.massKg, ...limits.packageKg) *
        checkRange('litresPerKg', each.litresPerKg, ...limits.litresPerKg)
      );
    case 'bulk':
      return (
        (checkRange('massKg', each.massKg, ...limits.packageKg) *
          1000 *
          (1 - checkRange('moisturePctWb', each.moisturePctWb, ...limits.moisturePctWb) / 100)) /
        checkRange('dryBulkDensityGPerL', each.dryBulkDensityGPerL, ...limits.bulkDensityGPerL)
      );
  }
}

/**
 * Litres and price of a package (model § 18).
 * @param screenLossPct of the loose volume, 0–99
 * @example openPackage({ kind: 'bag', volume: 5, unit: 'ft3' }).litres // 141.58
 * @throws OutOfRange naming the figure and its range
 */
export function openPackage(each: Package, screenLossPct = 0, price?: number): Opened {
  checkRange('screenLossPct', screenLossPct, ...limits.screenLossPct);
  if (price !== undefined) checkRange('price', price, ...limits.price);
  const litres = looseLitres(each);
  const usableLitres = litres * (1 - screenLossPct / 100);
  if (!(usableLitres > 0)) throw new OutOfRange('litres', usableLitres, allow('allowed.above-nothing', none));
  return {
    litres,
    usableLitres,
    pricePerL: price === undefined ? null : price / usableLitres,
    waterToHydrateLitres:
      each.kind === 'brick'
        ? each.massKg * checkRange('waterLitresPerKg', each.waterLitresPerKg, ...limits.waterLitresPerKg)
        : null,
  };
}
