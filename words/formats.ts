import { type Kind } from '#core/units/kind';
import { type Named } from '#core/units/message';
import { inches } from '#words/inches';
import { nameIn } from '#words/names';
import { inScoops, scoopText } from '#core/units/scooped';
import { gramsIn, litresIn, millimetresIn, fahrenheitFromCelsius } from '#core/units/factors';
import {
  beside,
  fixed,
  showDose,
  showLength,
  showMass,
  showVolume,
  significant,
  type Shown,
} from '#core/units/show';
import { dateIn, dayFrom, isNear } from '#words/days';
import { localeOf, type Reader } from '#words/reader';

/**
 * Everything that a message may hold, as it is said to a reader. A message never turns a number into text by itself:
 * so each quantity has one form, and each of them both systems of units.
 */
export interface Formats extends Reader {
  /** Litres: "12.5 L", "7 mL"; "3.30 gal", "1 ½ cups". */
  volume: (litres: number) => string;
  /** Litres by the measure in the hand: "2 ½ × 10 L bucket"; a volume where none is, or where it would be far off. */
  scooped: (litres: number) => string;
  /** Grams: "1.50 kg"; "3.31 lb". */
  mass: (grams: number) => string;
  /** Millimetres: "45 mm"; "1 ¾ in". */
  length: (mm: number) => string;
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
  /** The volume by which a price is said: a litre, a gallon. */
  priced: { name: string; litres: number };
  /** A number of a kind, with its unit. */
  quantity: (value: number, kind: Kind) => string;
  /** So many significant digits of a number without a unit. */
  digits: (value: number, digits: number) => string;
  /** What an instrument reads in its own unit: "21.3 °C", "412 g"; "70.3 °F", "14.5 oz". */
  reading: (value: number, unit: string) => string;
  /** Rain: "4 mm"; "0.16 in". */
  rain: (mm: number) => string;
  /** A day of the calendar: "tomorrow", "Friday", "9 May"; "9 May 2027" to a reader without a day of their own. */
  day: (day: string) => string;
  /** Whether a day is said by itself, "tomorrow", where others stand after a word: "on Friday". */
  isNear: (day: string) => boolean;
  /** "2 kettles": the count and the word that goes with it. */
  counted: (value: number, word: Plural) => string;
  /** The word alone that goes with a count. */
  plural: (value: number, word: Plural) => string;
  /** "peat, bark and grit". */
  list: (words: readonly string[]) => string;
  /** A material or product inside a sentence: without its size in brackets; as its owner wrote it where it is one's own. */
  name: (thing: Named) => string;
  names: (things: readonly Named[]) => string;
  /** A material, product or vessel by itself, its sizes in the reader's units. */
  title: (thing: Named) => string;
}

/** Forms of a word by the plural rules of the language. */
export type Plural = Partial<Record<Intl.LDMLPluralRule, string>> & { other: string };

const joined = ({ text, unit }: Shown): string => `${text}\u00a0${unit}`;

const lists = new Map<string, Intl.ListFormat>();
const rules = new Map<string, Intl.PluralRules>();
/** Made once a language: making one takes milliseconds. */
function made<T>(all: Map<string, T>, language: string, make: () => T): T {
  const existing = all.get(language) ?? make();
  all.set(language, existing);
  return existing;
}

const withoutSize = (name: string): string => name.replace(/\s*\(.*\)$/, '');
/** "Perlite, coarse" is "coarse perlite" in a sentence, where a comma stands between things. */
const GRADED =
  /^(.+), (fine|medium|coarse|aged|composted|washed|screened|sieved|ground|dry|hydrated|granular)$/i;
const inOrder = (name: string): string => name.replace(GRADED, '$2 $1');

const isOwn = (id: string): boolean => id.startsWith('own-');

/** Rounding to quarters of a measure that is worse than this is no help. */
const FAR_OFF = 0.1;

function scoopedBy(litres: number, scoop: Reader['scoop']): string | null {
  if (!scoop) return null;
  const counted = inScoops(litres, scoop.litres);
  if (Math.abs(counted.error) > FAR_OFF) return null;
  return `${scoopText(counted).replace(' ', '\u00a0')}\u00a0× ${scoop.name}`;
}

export function formatsFor(reader: Reader): Formats {
  const { language, units } = reader;
  const us = units === 'us';
  const list = (words: readonly string[]): string =>
    made(lists, language, () => new Intl.ListFormat(localeOf(language))).format(words);
  const plural = (value: number, word: Plural): string =>
    word[made(rules, language, () => new Intl.PluralRules(language)).select(Math.abs(value))] ?? word.other;
  const name = ({ id, name: called }: Named): string => {
    const plain = withoutSize(called);
    return isOwn(id) ? plain : inOrder(plain).toLowerCase();
  };
  const degrees = (celsius: number): string => fixed(us ? fahrenheitFromCelsius(celsius) : celsius, 0);
  const mm = (length: number): string => (us ? inches(length) : showLength(length, 'metric').text);
  const forms = {
    ...reader,
    volume: (litres: number) => joined(showVolume(litres, units)),
    scooped: (litres: number) => scoopedBy(litres, reader.scoop) ?? joined(showVolume(litres, units)),
    mass: (grams: number) => joined(showMass(grams, units)),
    length: (length: number) => `${mm(length)}\u00a0${us ? 'in' : 'mm'}`,
    dose: (gPerL: number) => joined(showDose(gPerL, units)),
    density: (gPerL: number) =>
      us
        ? `${significant((gPerL / gramsIn.pound) * litresIn.cubicFoot, 3)}\u00a0lb/ft³`
        : `${fixed(gPerL, 0)}\u00a0g/L`,
    strength: (mgPerL: number) =>
      `${Math.abs(mgPerL) < 10 ? significant(mgPerL, 2) : fixed(mgPerL, 0)}\u00a0${us ? 'ppm' : 'mg/L'}`,
    celsius: (celsius: number) => `${degrees(celsius)}\u00a0°${us ? 'F' : 'C'}`,
    // A dash between signs reads as one of them.
    celsiusRange: (from: number, to: number) => {
      const ends = [degrees(from), degrees(to)];
      return `${ends.join(from < 0 || to < 0 ? ' to ' : '–')}\u00a0°${us ? 'F' : 'C'}`;
    },
    pct: (value: number, edge?: number) => `${beside(value, 0, edge)}\u00a0%`,
    ph: (value: number, edge?: number) => beside(value, 1, edge),
    ec: (value: number, edge?: number) => `${beside(value, 2, edge)}\u00a0mS/cm`,
    count: (value: number) => fixed(value, 0),
    reading: (value: number, unit: string) => {
      if (us && unit === '°C') return `${fixed(fahrenheitFromCelsius(value), 1)}\u00a0°F`;
      if (us && unit === 'mL') return joined(showVolume(value / 1000, units));
      if (us && unit === 'g') return joined(showMass(value, units));
      return `${value}\u00a0${unit}`.trim();
    },
    rain: (mm: number) => (us ? `${fixed(mm / millimetresIn.inch, 2)}\u00a0in` : `${fixed(mm, 0)}\u00a0mm`),
    day: (day: string) =>
      reader.today === undefined ? dateIn(day, 'full', language) : dayFrom(day, reader.today, language),
    isNear: (day: string) => reader.today !== undefined && isNear(day, reader.today),
    digits: significant,
    counted: (value: number, word: Plural) => `${fixed(value, 0)}\u00a0${plural(value, word)}`,
    plural,
    list,
    name,
    names: (things: readonly Named[]) => list([...new Set(things.map(name))]),
    priced: units === 'metric' ? { name: 'litre', litres: 1 } : { name: 'gallon', litres: litresIn.gallon },
    title: ({ id, name: called }: Named) => (isOwn(id) ? called : nameIn(called, units)),
  } satisfies Omit<Formats, 'quantity'>;
  const ofKind: Record<Kind, (value: number) => string> = {
    // Inputs of a sum: one digit more, so that it can be done again.
    pct: (value) => `${fixed(value, 1)}\u00a0%`,
    plain: (value) => significant(value, 3),
    ph: (value) => fixed(value, 2),
    ec: (value) => forms.ec(value),
    strength: forms.strength,
    length: forms.length,
    suction: (cm) => forms.length(10 * cm),
    volume: forms.volume,
    mass: forms.mass,
    density: forms.density,
    dose: forms.dose,
    meqPerL: (value) => `${significant(value, 3)}\u00a0meq/L`,
    meqPerLPerPh: (value) => `${significant(value, 3)}\u00a0meq/L per pH`,
    meqPerG: (value) => `${significant(value, 3)}\u00a0meq/g`,
  };
  return { ...forms, quantity: (value, kind) => ofKind[kind](value) };
}

/** A label inside a sentence: "salts", "fill weight", but "pH" and "EC" as they are. */
export const inSentence = (label: string): string =>
  /^[A-ZÀ-Þ][a-zß-ÿ ]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label;
