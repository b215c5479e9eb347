import fc from 'fast-check';
import { unit } from 'mathjs';
import { checkRange } from '#core/units/check';
import {
  celsiusFromFahrenheit,
  fahrenheitFromCelsius,
  gPerLInPoundPerCubicYard,
  gramsIn,
  litresIn,
  millimetresIn,
} from '#core/units/factors';
import { readOut, said } from '#core/units/said';
import { ungrouped, fixed, showDose, showMass, showVolume, significant } from '#core/units/show';
import { published } from '#testing/published';

const reference = (from: string, to: string): number => unit(1, from).toNumber(to);

describe('unit factors, against the unit tables of mathjs', () => {
  test.each([
    ['fluidOunce', 'fluidounce'],
    ['cup', 'cup'],
    ['quart', 'quart'],
    ['gallon', 'gallon'],
    ['cubicInch', 'cuin'],
    ['cubicFoot', 'cuft'],
    ['cubicYard', 'cuyd'],
  ] as const)('%s in litres', (ours, theirs) => {
    // mathjs rounds its kitchen measures to four or five digits; its spoons are metric, so not compared.
    const published = reference(theirs, 'litre');
    expect(litresIn[ours] / published).toBeCloseTo(
      1,
      theirs.startsWith('cup') || !theirs.startsWith('cu') ? 2 : 4,
    );
  });

  test('exact definitions: a gallon is 231 cubic inches, and the rest follow', () => {
    const inch = millimetresIn.inch / 100; // dm
    expect(litresIn.gallon).toBeCloseTo(231 * inch ** 3, 12);
    expect(litresIn.quart * 4).toBeCloseTo(litresIn.gallon, 12);
    expect(litresIn.cup * 16).toBeCloseTo(litresIn.gallon, 12);
    expect(litresIn.fluidOunce * 128).toBeCloseTo(litresIn.gallon, 12);
    expect(litresIn.tablespoon * 256).toBeCloseTo(litresIn.gallon, 12);
    expect(litresIn.teaspoon * 768).toBeCloseTo(litresIn.gallon, 12);
    expect(litresIn.cubicFoot).toBeCloseTo((12 * inch) ** 3, 9);
    expect(litresIn.cubicYard).toBeCloseTo((36 * inch) ** 3, 8);
    // US bushel: 2150.42 cubic inches (NIST Handbook 44, appendix C (from memory)).
    expect(litresIn.bushel).toBeCloseTo(2150.42 * inch ** 3, 9);
  });

  test('mass, length and temperature', () => {
    expect(gramsIn.ounce).toBeCloseTo(reference('oz', 'g'), 9);
    expect(gramsIn.pound).toBeCloseTo(reference('lbm', 'g'), 6);
    expect(millimetresIn.inch).toBeCloseTo(reference('inch', 'mm'), 9);
    expect(millimetresIn.foot).toBeCloseTo(reference('foot', 'mm'), 9);
    for (const f of [-40, 32, 140, 212]) {
      expect(celsiusFromFahrenheit(f)).toBeCloseTo(unit(f, 'degF').toNumber('degC'), 6);
      expect(fahrenheitFromCelsius(celsiusFromFahrenheit(f))).toBeCloseTo(f, 9);
    }
  });

  test('one pound to the cubic yard', () => {
    published({
      what: '1 lb/yd³ in g/L',
      source: 'mathjs unit tables',
      published: unit(1, 'lbm/cuyd').toNumber('g/l'),
      ours: gPerLInPoundPerCubicYard,
      unit: 'g/L',
      within: 1e-4,
    });
  });
});

const fractions: Record<string, number> = { '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4 };
const scooped = (text: string): number =>
  text.split(' ').reduce((sum, piece) => sum + (fractions[piece] ?? Number(piece)), 0);

describe('what is shown', () => {
  test('significant digits, never exponents', () => {
    expect([
      significant(0, 3),
      significant(86.42, 3),
      significant(1234.5, 3),
      significant(0.01234, 3),
    ]).toEqual(['0', '86.4', '1\u202f235', '0.0123']);
  });

  test('picks the unit that a person would use', () => {
    expect(showVolume(0.25, 'metric')).toEqual({ text: '250', unit: 'mL' });
    expect(showVolume(litresIn.gallon * 2, 'us')).toEqual({ text: '2.00', unit: 'gal' });
    expect(showVolume(litresIn.cup * 3, 'us')).toEqual({ text: '3', unit: 'cups' });
    // What a hand can measure.
    expect(showVolume(litresIn.cup * 5.35, 'us')).toEqual({ text: '5 ¼', unit: 'cups' });
    expect(showVolume(litresIn.cup * 1.7, 'us')).toEqual({ text: '1 ¾', unit: 'cups' });
    expect(showMass(1500, 'metric')).toEqual({ text: '1.50', unit: 'kg' });
    expect(showMass(gramsIn.ounce * 8, 'us')).toEqual({ text: '8.0', unit: 'oz' });
    expect(showDose(gPerLInPoundPerCubicYard * 5, 'us')).toEqual({ text: '5.00', unit: 'lb/yd³' });
  });

  test('a sentence keeps its quantities until it is read', () => {
    const sentence = said`Pour ${{ volumeL: litresIn.gallon }} on`;
    expect(readOut(sentence, 'metric')).toBe('Pour 3.79\u00a0L on');
    expect(readOut(sentence, 'us')).toBe('Pour 1.00\u00a0gal on');
  });

  test('every shown volume means what is stored, as far as a hand can measure', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 5000, noNaN: true }), (litres) => {
        const factor = {
          L: 1,
          mL: 0.001,
          gal: litresIn.gallon,
          'fl oz': litresIn.fluidOunce,
        };
        for (const system of ['metric', 'us'] as const) {
          const shown = showVolume(litres, system);
          if (shown.unit.startsWith('cup')) {
            // To the nearest simple fraction of a cup.
            expect(Math.abs(scooped(shown.text) - litres / litresIn.cup)).toBeLessThan(0.126);
            continue;
          }
          const shownAs = Number(ungrouped(shown.text));
          const back = shownAs * factor[shown.unit as keyof typeof factor];
          // Millilitres are whole, small ounces have two digits, all else three.
          const off =
            shown.unit === 'mL' ? 0.51 / Math.max(1, shownAs - 0.5) : shown.unit === 'fl oz' ? 0.051 : 0.0051;
          expect(Math.abs(back / litres - 1)).toBeLessThan(off);
        }
      }),
    );
  });
});

test.each([NaN, Infinity, -1, 11])('a bad number is named with its range: %p', (bad) => {
  expect(() => checkRange('depthMm', bad, 0, 10)).toThrow(
    `depthMm must be a number from 0 to 10, was ${bad}`,
  );
});

describe('numbers to so many places, against the number format of the language', () => {
  const intl = (value: number, places: number): string =>
    new Intl.NumberFormat('en-GB', {
      signDisplay: 'negative',
      minimumFractionDigits: places,
      maximumFractionDigits: places,
    })
      .format(value)
      .replace('-', '−')
      // No comma, so that what is printed can be typed back.
      .replaceAll(',', '\u202f');

  test('typed back as it is printed', () => {
    expect(Number(ungrouped(fixed(1234567.8, 1)))).toBe(1234567.8);
    expect(ungrouped('12 500')).toBe('12500');
    expect(ungrouped('2 1/2')).toBe('2 1/2');
  });

  test.each([
    ...[0, -0, 1.005, -1.005, 2.5, 0.5, 0.0049, 999.995, 1234567.891],
    ...[-0.04, 6e-7, 1e-7, 1e15, 123456789.345],
  ])('%d', (value) => {
    for (const places of [0, 1, 2, 3, 6]) expect(fixed(value, places)).toBe(intl(value, places));
  });

  test('any number, and any that ends in a half', () =>
    fc.assert(
      fc.property(
        fc.oneof(
          fc.double({ min: -9e8, max: 9e8, noNaN: true }),
          fc.double({ min: -10, max: 10, noNaN: true }),
          fc.integer({ min: -1_000_000, max: 1_000_000 }).map((n) => n / 2000),
        ),
        fc.integer({ min: 0, max: 6 }),
        (value, places) => fixed(value, places) === intl(value, places),
      ),
      { numRuns: 3000 },
    ));
});

test('what rounds to nothing has no sign', () => {
  expect([fixed(-0.3, 0), fixed(-0, 1), fixed(-0.6, 0)]).toEqual(['0', '0.0', '−1']);
});
