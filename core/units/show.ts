import { inScoops, scoopText } from '#core/units/scooped';
import { gPerLInPoundPerCubicYard, gramsIn, litresIn, millimetresIn } from '#core/units/factors';

/** What the person reads. Nothing stored or computed ever depends on it. */
export type UnitSystem = 'metric' | 'us';

export interface Shown {
  /** Already rounded, for reading. */
  text: string;
  unit: string;
}

/** Between thousands: no comma, so that what is printed can be typed back; it does not break a line. */
export const THIN = '\u202f';

/** Digits without the space between thousands, as they were printed or typed. */
export const ungrouped = (text: string): string => text.replace(/(?<=\d)\s(?=\d{3}(?!\d))/g, '');

/** Rounded to a given number of significant digits, thousands apart, never in exponent form. */
export function significant(value: number, digits: number): string {
  if (value === 0) return '0';
  const places = Math.max(0, Math.min(6, digits - 1 - Math.floor(Math.log10(Math.abs(value)) + 1e-9)));
  return fixed(value, places);
}

/**
 * To so many decimal places, halves away from zero as they are written (1.005 to two places is 1.01), thousands apart.
 * Built from digits: a page writes hundreds of numbers at every move of a slider, and the browser's own number format
 * takes 20 ms and more to make each of its kinds.
 * @param places 0–6
 */
export function fixed(value: number, places: number): string {
  const size = Math.abs(value);
  // Smaller ones are written with an exponent already, larger ones have no such place left.
  const moved = size >= 1e-6 && size < 1e15 / 10 ** places;
  const rounded = moved ? Number(`${Math.round(Number(`${size}e${places}`))}e-${places}`) : size;
  const [whole, part] = rounded.toFixed(places).split('.') as [string, string?];
  const text = whole.replace(/\B(?=(\d{3})+$)/g, THIN) + (part === undefined ? '' : `.${part}`);
  // What rounds to nothing has no sign.
  return value < 0 && /[1-9]/.test(text) ? `−${text}` : text;
}

/** Whole from one on: nobody measures a tenth of a millilitre. */
const handful = (value: number): string => (value >= 1 ? fixed(value, 0) : significant(value, 1));

/** Two digits below ten, three above. */
const fine = (value: number): string => significant(value, value < 9.95 ? 2 : 3);

/** @param litres at least 0 */
export function showVolume(litres: number, system: UnitSystem): Shown {
  if (system === 'metric') {
    return litres >= 1 || litres === 0
      ? { text: significant(litres, 3), unit: 'L' }
      : { text: handful(litres / litresIn.millilitre), unit: 'mL' };
  }
  const cups = litres / litresIn.cup;
  if (cups >= 16 || litres === 0) return { text: significant(litres / litresIn.gallon, 3), unit: 'gal' };
  // What a hand can measure: cups and simple fractions of one.
  if (cups >= 1) {
    const text = scoopText(inScoops(litres, litresIn.cup));
    return { text, unit: text === '1' ? 'cup' : 'cups' };
  }
  return { text: fine(litres / litresIn.fluidOunce), unit: 'fl oz' };
}

/** @param grams at least 0 */
export function showMass(grams: number, system: UnitSystem): Shown {
  if (system === 'metric') {
    return grams >= 1000
      ? { text: significant(grams / gramsIn.kilogram, 3), unit: 'kg' }
      : { text: significant(grams, 3), unit: 'g' };
  }
  return grams >= gramsIn.pound
    ? { text: significant(grams / gramsIn.pound, 3), unit: 'lb' }
    : { text: fine(grams / gramsIn.ounce), unit: 'oz' };
}

export function showLength(mm: number, system: UnitSystem): Shown {
  return system === 'metric'
    ? {
        text: mm < 10 ? fixed(mm, Number.isInteger(Number(mm.toFixed(1))) ? 0 : 1) : fixed(mm, 0),
        unit: 'mm',
      }
    : { text: fixed(mm / millimetresIn.inch, mm < 25 ? 2 : 1), unit: 'in' };
}

/** A dose per volume of finished mix: g/L, or the lb/yd³ of US trade sheets. */
export function showDose(gPerL: number, system: UnitSystem): Shown {
  return system === 'metric'
    ? { text: fixed(gPerL, 2), unit: 'g/L' }
    : { text: fixed(gPerL / gPerLInPoundPerCubicYard, 2), unit: 'lb/yd³' };
}

/** To so many places, or as many more (three at most) as tell on which side of an edge it lies. */
export function beside(value: number, places: number, edge?: number): string {
  let most = places;
  if (edge !== undefined && value !== edge)
    while (most < places + 3 && Number(value.toFixed(most)) === Number(edge.toFixed(most))) most++;
  return fixed(value, most);
}
