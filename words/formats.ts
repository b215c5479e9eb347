import { type Named } from '#core/units/message';
import { millimetresIn, gramsIn, litresIn, fahrenheitFromCelsius } from '#core/units/factors';
import {
  fixed,
  showDose,
  showLength,
  showMass,
  showVolume,
  significant,
  type Shown,
  THIN,
} from '#core/units/show';
import { type Reader } from '#words/reader';

/**
 * Everything that a message may hold, as it is said to a reader. A message never turns a number into text by itself:
 * so each quantity has one form, and each of them both systems of units.
 */
export interface Formats extends Reader {
  /** Litres: "12.5 L", "7 mL"; "3.30 gal", "1 ½ cups". */
  volume: (litres: number) => string;
  /** Grams: "1.50 kg"; "3.31 lb". */
  mass: (grams: number) => string;
  /** Millimetres: "45 mm"; "1 ¾ in". */
  length: (mm: number) => string;
  /** A range of lengths, its unit said once. */
  lengths: (fromMm: number, toMm: number) => string;
  /** Grams to the litre of mix, as it is dosed: "3.00 g/L"; "5.06 lb/yd³". */
  dose: (gPerL: number) => string;
  /** Grams to the litre, as it weighs: "1 327 g/L"; "82.8 lb/ft³". */
  density: (gPerL: number) => string;
  /** Milligrams to the litre: "100 mg/L"; "100 ppm". */
  strength: (mgPerL: number) => string;
  /** A temperature: "−4 °C"; "25 °F". */
  celsius: (celsius: number) => string;
  celsiusRange: (from: number, to: number) => string;
  /** A percentage, whole: "12 %"; with one decimal more where rounding would hide on which side of `edge` it lies. */
  pct: (value: number, edge?: number) => string;
  ph: (value: number, edge?: number) => string;
  /** Electrical conductivity, mS/cm, which both systems read. */
  ec: (value: number, edge?: number) => string;
  count: (value: number) => string;
  /** So many significant digits of a number without a unit. */
  digits: (value: number, digits: number) => string;
  /** "2 kettles": the count and the word that goes with it. */
  counted: (value: number, word: Plural) => string;
  /** The word alone that goes with a count. */
  plural: (value: number, word: Plural) => string;
  /** "peat, bark and grit". */
  list: (words: readonly string[]) => string;
  /** A material or product inside a sentence: without its size in brackets; as its owner wrote it where it is one's own. */
  name: (thing: Named) => string;
  names: (things: readonly Named[]) => string;
}

/** Forms of a word by the plural rules of the language. */
export type Plural = Partial<Record<Intl.LDMLPluralRule, string>> & { other: string };

const joined = ({ text, unit }: Shown): string => `${text}\u00a0${unit}`;

const QUARTERS = ['', ' ¼', ' ½', ' ¾'];

/** Inches as they stand on a rule: quarters from an inch on, hundredths below. */
function inches(mm: number): string {
  const exact = mm / millimetresIn.inch;
  if (exact < 1) return fixed(exact, 2);
  const quarters = Math.round(exact * 4);
  return `${Math.floor(quarters / 4)}${QUARTERS[quarters % 4]!}`;
}

/** To so many places, or as many more (three at most) as tell on which side of an edge it lies. */
export function beside(value: number, places: number, edge?: number): string {
  let most = places;
  if (edge !== undefined && value !== edge)
    while (most < places + 3 && Number(value.toFixed(most)) === Number(edge.toFixed(most))) most++;
  return fixed(value, most);
}

const lists = new Map<string, Intl.ListFormat>();
const rules = new Map<string, Intl.PluralRules>();
/** Made once a language: making one takes milliseconds. */
function made<T>(all: Map<string, T>, language: string, make: () => T): T {
  const known = all.get(language) ?? make();
  all.set(language, known);
  return known;
}

const withoutSize = (name: string): string => name.replace(/\s*\(.*\)$/, '');
const isOwn = (id: string): boolean => id.startsWith('own-');

export function formatsFor(reader: Reader): Formats {
  const { language, units } = reader;
  const us = units === 'us';
  const list = (words: readonly string[]): string =>
    made(lists, language, () => new Intl.ListFormat(language === 'en' ? 'en-GB' : language)).format(words);
  const plural = (value: number, word: Plural): string =>
    word[made(rules, language, () => new Intl.PluralRules(language)).select(Math.abs(value))] ?? word.other;
  const name = ({ id, name: called }: Named): string => {
    const plain = withoutSize(called);
    return isOwn(id) ? plain : plain.toLowerCase();
  };
  const degrees = (celsius: number): string => fixed(us ? fahrenheitFromCelsius(celsius) : celsius, 0);
  const mm = (length: number): string => (us ? inches(length) : showLength(length, 'metric').text);
  return {
    ...reader,
    volume: (litres) => joined(showVolume(litres, units)),
    mass: (grams) => joined(showMass(grams, units)),
    length: (length) => `${mm(length)}\u00a0${us ? 'in' : 'mm'}`,
    lengths: (from, to) => `${mm(from)}–${mm(to)}\u00a0${us ? 'in' : 'mm'}`,
    dose: (gPerL) => joined(showDose(gPerL, units)),
    density: (gPerL) =>
      us
        ? `${significant((gPerL / gramsIn.pound) * litresIn.cubicFoot, 3)}\u00a0lb/ft³`
        : `${fixed(gPerL, 0)}\u00a0g/L`,
    strength: (mgPerL) =>
      `${Math.abs(mgPerL) < 10 ? significant(mgPerL, 2) : fixed(mgPerL, 0)}\u00a0${us ? 'ppm' : 'mg/L'}`,
    celsius: (celsius) => `${degrees(celsius)}\u00a0°${us ? 'F' : 'C'}`,
    celsiusRange: (from, to) => `${degrees(from)}–${degrees(to)}\u00a0°${us ? 'F' : 'C'}`,
    pct: (value, edge) => `${beside(value, 0, edge)}\u00a0%`,
    ph: (value, edge) => beside(value, 1, edge),
    ec: (value, edge) => `${beside(value, 2, edge)}\u00a0mS/cm`,
    count: (value) => fixed(value, 0),
    digits: significant,
    counted: (value, word) => `${fixed(value, 0)}\u00a0${plural(value, word)}`,
    plural,
    list,
    name,
    names: (things) => list([...new Set(things.map(name))]),
  };
}

/** The first letter large, for the begin of a sentence. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Numbers in a text with the space between thousands taken out, for comparing. */
export const withoutThin = (text: string): string => text.replaceAll(THIN, '');
