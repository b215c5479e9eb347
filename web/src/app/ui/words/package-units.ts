import { type PackageUnit } from '#core/package/package';
import { type UnitSystem } from '#core/units/show';

const names: { id: PackageUnit; name: string }[] = [
  { id: 'L', name: 'litres' },
  { id: 'dryQuart', name: 'dry quarts (most bags)' },
  { id: 'liquidQuart', name: 'liquid quarts' },
  { id: 'ft3', name: 'cubic feet' },
  { id: 'yd3', name: 'cubic yards' },
  { id: 'gal', name: 'US gallons' },
];

/** What the volume on a package may be told in, the usual first. */
export const packageUnitsOf = (system: UnitSystem): typeof names =>
  system === 'us' ? names.filter(({ id }) => id !== 'L') : names;

/** What was chosen, where it is offered; else the usual. */
export const packageUnitOf = (system: UnitSystem, chosen: string | null): PackageUnit => {
  const offered = packageUnitsOf(system);
  return (offered.find(({ id }) => id === chosen) ?? offered[0]!).id;
};
