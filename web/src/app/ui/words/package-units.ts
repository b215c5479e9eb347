import { type PackageUnit } from '#core/package/package';
import { type UnitSystem } from '#core/units/show';
import { packageUnits as texts } from '#words/en/places/ui/words/package-units';

const names: { id: PackageUnit; name: string }[] = [
  { id: 'L', name: 'litres' },
  { id: 'dryQuart', name: texts.dryQuartsMostBags },
  { id: 'liquidQuart', name: texts.liquidQuarts },
  { id: 'ft3', name: texts.cubicFeet },
  { id: 'yd3', name: texts.cubicYards },
  { id: 'gal', name: texts.usGallons },
];

/** What the volume on a package may be told in, the usual first. */
export const packageUnitsOf = (system: UnitSystem): typeof names =>
  system === 'us' ? names.filter(({ id }) => id !== 'L') : names;

/** What was chosen, where it is offered; else the usual. */
export const packageUnitOf = (system: UnitSystem, chosen: string | null): PackageUnit => {
  const offered = packageUnitsOf(system);
  return (offered.find(({ id }) => id === chosen) ?? offered[0]!).id;
};
