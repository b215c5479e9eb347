import fc from 'fast-check';
import { type UnitSystem } from '#core/units/show';
import { numberWritten } from '#core/units/written';
import { formatsFor, type Formats } from '#words/formats';
import { shownIn } from '../words/shown-in';
import { readIn } from './number-text';

/** What a number is kept in, and how it is printed: of every kind of number that a field takes. */
const kinds: [kept: string, range: [number, number], printed: (f: Formats, value: number) => string][] = [
  ['L', [0.02, 5000], (f, value) => f.volume(value)],
  ['L', [0.02, 5000], (f, value) => f.quantity(value, 'volume')],
  ['g', [2, 50_000], (f, value) => f.mass(value)],
  ['kg', [0.01, 500], (f, value) => f.mass(1000 * value)],
  ['mm', [3, 2000], (f, value) => f.length(value)],
  ['g/L', [0.1, 60], (f, value) => f.dose(value)],
  ['mg/L', [1, 900], (f, value) => f.strength(value)],
  ['°C', [-20, 90], (f, value) => f.celsius(value)],
  ['°C', [-20, 90], (f, value) => f.reading(Number(value.toFixed(1)), '°C')],
  ['', [1, 100], (f, value) => f.pct(value)],
  ['', [1, 100], (f, value) => f.quantity(value, 'pct')],
  ['', [3, 9], (f, value) => f.ph(value)],
  ['', [0.1, 9], (f, value) => f.ec(value)],
  ['', [1, 90_000], (f, value) => f.count(value)],
  ['', [0.01, 90_000], (f, value) => f.quantity(value, 'plain')],
];
const systems: UnitSystem[] = ['metric', 'us'];

/** How far the last digit that is printed, or a fraction of an inch or a cup, may be off, in what is printed. */
const lastDigit = (text: string): number => {
  const [, decimals] = /\d[\d\s]*(?:\.(\d+))?/.exec(text) ?? [];
  return /[¼½¾⅓⅔⅛⅜⅝⅞]/.test(text) || /\b(in|cups?|tbsp|tsp)\b/.test(text)
    ? 0.126
    : 0.51 * 10 ** -(decimals?.length ?? 0);
};

test('every text that a number is printed in can be typed back into its field, whatever units that is read in', () =>
  fc.assert(
    fc.property(
      fc.constantFrom(...kinds),
      fc.constantFrom(...systems),
      fc.constantFrom(...systems),
      fc.double({ min: 0, max: 1, noNaN: true }),
      ([kept, [low, high], printed], printedIn, field, share) => {
        const value = low + share ** 2 * (high - low);
        const text = printed(formatsFor({ language: 'en', units: printedIn }), value);
        const { unit, per, zero } = shownIn(kept, field);
        const read = readIn(text, unit);
        expect([text, read]).not.toEqual([text, undefined]);
        const back = (read! - zero) * per;
        // No further off than what was printed was rounded.
        const number = numberWritten(text.replace(/[^\d.,¼½¾⅓⅔⅛⅜⅝⅞−\s-]/g, ''));
        const rounded =
          Math.abs(lastDigit(text) / (number || 1)) * Math.max(Math.abs(value), kept === '°C' ? 20 : 0);
        expect(Math.abs(back - value)).toBeLessThanOrEqual(1.01 * rounded + (kept === '°C' ? 0.6 : 1e-9));
      },
    ),
    { numRuns: 2000 },
  ));

test('a number without a unit is in the unit of the field; what is no number is none', () => {
  expect(readIn('2 ½', 'gal')).toBe(2.5);
  expect(readIn('77 °F', '°C')).toBeCloseTo(25, 9);
  expect(readIn('25 C', '°F')).toBeCloseTo(77, 9);
  expect(readIn('12,5 %', '')).toBe(12.5);
  expect(readIn('5.06 lb/yd³', 'g/L')).toBeCloseTo(3, 2);
  expect(readIn('many', 'L')).toBeNaN();
  expect(readIn('5 L of it', 'L')).toBeNaN();
});
