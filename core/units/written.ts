import {
  celsiusFromFahrenheit,
  gPerLInPoundPerCubicYard,
  gramsIn,
  litresIn,
  millimetresIn,
} from '#core/units/factors';
import { ungrouped } from '#core/units/show';

const GLYPHS: Readonly<Record<string, number>> = {
  ...{ '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3 },
  ...{ '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8 },
};

/**
 * A number as it is printed and as people write it: thousands apart or not, a comma for the point, fractions.
 * @returns NaN for what is no number
 * @example numberWritten('2 3/8') // 2.375, as '2 ⅜', '2-3/8' and '2,375' are
 */
export function numberWritten(text: string): number {
  const plain = ungrouped(text.trim()).replace('−', '-');
  if (/^[+-]?(\d+[.,]?\d*|[.,]\d+)$/.test(plain)) return Number(plain.replace(',', '.'));
  const glyph = /^([+-]?)(\d*)\s*([¼½¾⅓⅔⅛⅜⅝⅞])$/.exec(plain);
  const slash = /^([+-]?)(?:(\d+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(plain);
  const [, sign, whole] = glyph ?? slash ?? [];
  if (!glyph && !slash) return NaN;
  const part = glyph ? GLYPHS[glyph[3]!]! : Number(slash![3]) / Number(slash![4]);
  const size = Number(whole ?? 0) + part;
  // A quarter of nothing is no number.
  return Number.isFinite(size) ? (sign === '-' ? -size : size) : NaN;
}

/** What can be written with its unit. */
const kinds = ['volume', 'mass', 'length', 'dose', 'strength', 'area'] as const;
export type WrittenKind = (typeof kinds)[number];

/** Litres, grams, millimetres, g/L, mg/L or square metres in one, by the words that people write for it. US measures. */
const sizes: Readonly<Record<WrittenKind, readonly (readonly [words: readonly string[], size: number])[]>> = {
  volume: [
    [['l', 'litre', 'litres', 'liter', 'liters'], 1],
    [['ml'], litresIn.millilitre],
    [['m3', 'm³', 'cubic metre', 'cubic metres', 'cubic meter', 'cubic meters'], 1000],
    [['gal', 'gals', 'gallon', 'gallons'], litresIn.gallon],
    [['qt', 'qts', 'quart', 'quarts'], litresIn.quart],
    [['pt', 'pts', 'pint', 'pints'], litresIn.quart / 2],
    [['cup', 'cups'], litresIn.cup],
    [['fl oz', 'floz'], litresIn.fluidOunce],
    [['tbsp', 'tablespoon', 'tablespoons'], litresIn.tablespoon],
    [['tsp', 'teaspoon', 'teaspoons'], litresIn.teaspoon],
    [['ft3', 'ft³', 'cu ft', 'cuft', 'cf', 'cubic foot', 'cubic feet'], litresIn.cubicFoot],
    [['yd3', 'yd³', 'cu yd', 'cuyd', 'cy', 'yard', 'yards', 'cubic yard', 'cubic yards'], litresIn.cubicYard],
  ],
  mass: [
    [['g', 'gram', 'grams'], 1],
    [['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], gramsIn.kilogram],
    [['mg'], 0.001],
    [['t', 'tonne', 'tonnes'], 1_000_000],
    [['oz', 'ounce', 'ounces'], gramsIn.ounce],
    [['lb', 'lbs', 'pound', 'pounds'], gramsIn.pound],
  ],
  length: [
    [['mm'], 1],
    [['cm'], millimetresIn.centimetre],
    [['m'], 1000],
    [['in', 'inch', 'inches', '″', '"'], millimetresIn.inch],
    [['ft', 'foot', 'feet'], millimetresIn.foot],
  ],
  dose: [
    [['g/l', 'kg/m³', 'kg/m3'], 1],
    [['lb/yd³', 'lb/yd3'], gPerLInPoundPerCubicYard],
    [['oz/gal'], gramsIn.ounce / litresIn.gallon],
  ],
  strength: [[['mg/l', 'ppm'], 1]],
  area: [
    [['m²', 'm2'], 1],
    [['ft²', 'ft2', 'sq ft'], (millimetresIn.foot / 1000) ** 2],
  ],
};
const words = (kind: WrittenKind): Map<string, number> =>
  new Map(sizes[kind].flatMap(([names, size]) => names.map((name) => [name, size] as const)));
const byKind = <T>(make: (kind: WrittenKind) => T): Record<WrittenKind, T> =>
  Object.fromEntries(kinds.map((kind) => [kind, make(kind)])) as Record<WrittenKind, T>;
const sizeOf = byKind(words);

/** One quantity after another: a number, then the longest word that is a unit; "+", "and" and commas between. */
const pattern = (kind: WrittenKind): RegExp => {
  const units = [...sizeOf[kind].keys()].sort((a, b) => b.length - a.length);
  const unit = units.map((name) => name.replace(' ', '\\s*')).join('|');
  return new RegExp(`\\s*(?:\\+|,|and\\b)?\\s*([\\d.,¼½¾⅓⅔⅛⅜⅝⅞/⁄\\s-]*?)\\s*(${unit})(?![a-z0-9²³/])`, 'y');
};
const patterns = byKind(pattern);

/** What a unit of a screen is of, and its size; undefined for what is none of these kinds. */
export function unitWritten(unit: string): { kind: WrittenKind; size: number } | undefined {
  for (const kind of kinds) {
    const size = sizeOf[kind].get(unit.toLowerCase());
    if (size !== undefined) return { kind, size };
  }
  return undefined;
}

/**
 * A temperature as it is written with its unit.
 * @returns °C; undefined for what has none
 * @example temperatureWritten('25 °F') // −3.89
 */
export function temperatureWritten(text: string): number | undefined {
  const [, number = '', unit = ''] = /^(.*?)\s*°?\s*([CF])$/i.exec(text.trim()) ?? [];
  const value = numberWritten(number);
  if (Number.isNaN(value)) return undefined;
  return unit.toUpperCase() === 'F' ? celsiusFromFahrenheit(value) : value;
}

/**
 * A quantity as it is written with its unit, or several that add up.
 * @returns L, g or mm; undefined where it is not numbers with units of that kind
 * @example quantityWritten('3 cups + 2 tbsp', 'volume') // 0.7393
 */
export function quantityWritten(text: string, kind: WrittenKind): number | undefined {
  // A point after a short word is none of a number.
  const plain = ungrouped(text.trim())
    .toLowerCase()
    .replace(/\.(?!\d)/g, '');
  const next = patterns[kind];
  let [at, sum] = [0, 0];
  while (at < plain.length) {
    next.lastIndex = at;
    const found = next.exec(plain);
    const amount = found ? numberWritten(found[1]!) : NaN;
    if (!found || !(amount >= 0)) return undefined;
    sum += amount * sizeOf[kind].get(found[2]!.replace(/\s+/g, ' '))!;
    at = next.lastIndex;
  }
  return at > 0 ? sum : undefined;
}
