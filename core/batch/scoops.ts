import { allow } from '#core/units/allowed';
import { inScoops, scoopText } from '#core/units/scooped';
import { litresIn } from '#core/units/factors';
import { OutOfRange } from '#core/units/check';
import { type UnitSystem } from '#core/units/show';

/** A measure that the user owns. */
export interface Scoop {
  id: string;
  name: string;
  litres: number;
  system: UnitSystem;
}

/** Usual measures, struck level. */
export const scoops: readonly Scoop[] = [
  { id: 'bucket-10l', name: '10 L bucket', litres: 10, system: 'metric' },
  { id: 'bucket-5l', name: '5 L bucket', litres: 5, system: 'metric' },
  { id: 'jug-1l', name: '1 L jug', litres: 1, system: 'metric' },
  { id: 'jug-500ml', name: '½ L jug', litres: 0.5, system: 'metric' },
  { id: 'bucket-5gal', name: '5 gal bucket', litres: 5 * litresIn.gallon, system: 'us' },
  { id: 'pail-1gal', name: '1 gal pail', litres: litresIn.gallon, system: 'us' },
  { id: 'quart', name: 'quart', litres: litresIn.quart, system: 'us' },
  { id: 'cup', name: 'cup', litres: litresIn.cup, system: 'us' },
];

/** A measure of the user's own, struck level and, where it was measured too, heaped. */
export interface OwnMeasure {
  id: number;
  name: string;
  litres: number;
  heapedLitres: number | null;
}

/** Own measures as they are counted in; they go with both systems of units. */
export function ownScoops(measures: readonly OwnMeasure[], system: UnitSystem): Scoop[] {
  return measures.flatMap(({ id, name, litres, heapedLitres }): Scoop[] => [
    // Said only where it is heaped as well: a card says "struck level" of every other.
    { id: `own-${id}-struck`, name: heapedLitres === null ? name : `${name}, struck`, litres, system },
    ...(heapedLitres === null
      ? []
      : [{ id: `own-${id}-heaped`, name: `${name}, heaped`, litres: heapedLitres, system }]),
  ]);
}

/** All that can be counted in, own measures first. @throws OutOfRange for an unknown id */
export function scoopOf(id: string, measures: readonly OwnMeasure[], system: UnitSystem): Scoop {
  const all = [...ownScoops(measures, system), ...scoops];
  const found = all.find((s) => s.id === id);
  if (!found) throw new OutOfRange('scoop', id, allow('allowed.one-of', { ids: all.map((s) => s.id) }));
  return found;
}

/** The measure that takes an amount in the fewest scoops without a fraction smaller than itself. */
export function fittingScoop(litres: number, system: UnitSystem): Scoop {
  const own = scoops.filter((s) => s.system === system);
  return own.find((s) => litres / s.litres >= 1) ?? own.at(-1)!;
}

/** Rounding to quarters that is still close: half a spoon in ten. */
const CLOSE = 0.03;

/** A small dose in spoons: level spoons of the system's own size. */
export function inSpoons(
  grams: number,
  bulkDensityGPerMl: number,
  system: UnitSystem,
): { text: string; unit: string } {
  const litres = grams / bulkDensityGPerMl / 1000;
  const tablespoon = system === 'metric' ? litresIn.metricTablespoon : litresIn.tablespoon;
  const teaspoon = system === 'metric' ? litresIn.metricTeaspoon : litresIn.teaspoon;
  const measure = system === 'metric' ? 1 : litresIn.cup;
  const counted = inScoops(litres, measure);
  // Cups as soon as they say it closely: 24 tbsp is 1 ½ cups.
  if (litres >= 40 * tablespoon || (litres >= 4 * tablespoon && Math.abs(counted.error) <= CLOSE)) {
    const single = counted.whole === 0 || (counted.whole === 1 && !counted.fraction);
    return { text: scoopText(counted), unit: system === 'metric' ? 'L' : single ? 'cup' : 'cups' };
  }
  return litres >= 2 * tablespoon
    ? { text: scoopText(inScoops(litres, tablespoon)), unit: 'tbsp' }
    : { text: scoopText(inScoops(litres, teaspoon)), unit: 'tsp' };
}
