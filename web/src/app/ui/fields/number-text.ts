import { litresWritten } from '#core/units/volume-words';
import { ungrouped } from '#core/units/show';
import { type LimitName, limits, type Range } from '#core/units/limits';
import { numberText as texts } from '#words/en/places/ui/fields/number-text';

/** A number as people type it, with a point or a comma, thousands apart or not; undefined for nothing, NaN for what is no number. */
export const readNumber = (text: string): number | undefined =>
  text.trim() === '' ? undefined : Number(ungrouped(text.trim()).replace(',', '.'));

/** Units that stand for a volume on the screen. */
const volumes = new Set(['L', 'gal', 'quarts']);

/**
 * What is typed into a field that is read in a unit; a volume may bring its own: "2 ft³", "1 yd3", "12 quarts".
 * @param per of what it is kept in (litres), one of what is shown
 */
export function readIn(text: string, unit: string, per: number): number | undefined {
  const litres = volumes.has(unit) ? litresWritten(text) : undefined;
  return litres === undefined ? readNumber(text) : litres / per;
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
