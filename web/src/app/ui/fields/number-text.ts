import { fahrenheitFromCelsius } from '#core/units/factors';
import { numberWritten, quantityWritten, temperatureWritten, unitWritten } from '#core/units/written';
import { type LimitName, limits, type Range } from '#core/units/limits';
import { numberText as texts } from '#words/en/places/ui/fields/number-text';

/**
 * What is typed into a field that is read in a unit: a number as people write it, or one with a unit of its own: "2 ft³",
 * "1 ½ cups + 1 tbsp" in a field of litres, "9 1/2 oz" in one of pounds.
 * @returns in the unit of the field; undefined for nothing, NaN for what is no number
 */
export function readIn(text: string, unit: string): number | undefined {
  if (text.trim() === '') return undefined;
  if (unit === '°C' || unit === '°F') {
    const celsius = temperatureWritten(text);
    if (celsius !== undefined) return unit === '°F' ? fahrenheitFromCelsius(celsius) : celsius;
  }
  const of = unitWritten(unit);
  const quantity = of && quantityWritten(text, of.kind);
  if (quantity !== undefined) return quantity / of!.size;
  // What stands behind the number on the screen is no part of it.
  const own = [unit, '%', 'mS/cm'].find((each) => each !== '' && text.trimEnd().endsWith(each));
  return numberWritten(own === undefined ? text : text.trimEnd().slice(0, -own.length));
}

/** Where a number may lie: a name in the one table of ranges, or a range of its own. */
export type Within = LimitName | Range;

export const rangeOf = (within: Within): Range => (typeof within === 'string' ? limits[within] : within);

/** An end of a range as it is read in units of `per`, rounded to three figures. */
const shownEnd = (end: number, per: number, zero: number): string =>
  per === 1 ? String(end) : String(Number((end / per + zero).toPrecision(3)));

/**
 * What is wrong with a number in a field, in words; empty where nothing is.
 * @param per of what it is kept in, one of what is shown
 */
export function numberProblem(
  label: string,
  shown: number,
  within: Within,
  per = 1,
  whole = false,
  zero = 0,
): string {
  const [low, high] = rangeOf(within);
  const number = (shown - zero) * per;
  // What is rounded for the eye must not be refused when it is typed.
  const slack = per === 1 ? 0 : 0.005;
  const fits = number >= low - slack * Math.abs(low) && number <= high + slack * Math.abs(high);
  if (fits && (!whole || Number.isInteger(number))) return '';
  const kind = whole ? texts.aWholeNumber : texts.aNumber;
  return texts.mustBeFromTo(label, kind, shownEnd(low, per, zero), shownEnd(high, per, zero));
}

/** A typed number as it is kept, within its range to the last digit. */
export function keptNumber(shown: number, within: Within, per: number): number {
  const [low, high] = rangeOf(within);
  return Math.min(high, Math.max(low, shown * per));
}
