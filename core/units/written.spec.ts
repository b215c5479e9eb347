import fc from 'fast-check';
import { inScoops, scoopText } from '#core/units/scooped';
import { fixed, showLength, showMass, showVolume, significant } from '#core/units/show';
import { numberWritten, quantityWritten, unitWritten } from '#core/units/written';

test.each([
  ['5', 5],
  ['0,5', 0.5],
  ['.25', 0.25],
  ['1 ½', 1.5],
  ['1½', 1.5],
  ['¼', 0.25],
  ['2 3/8', 2.375],
  ['2-3/8', 2.375],
  ['11/4', 2.75],
  ['1/4', 0.25],
  ['−3', -3],
  ['-1 ½', -1.5],
  ['1 234,5', 1234.5],
  ['12\u202f345', 12345],
])('"%s" is a number', (text, number) => {
  expect(numberWritten(text)).toBeCloseTo(number, 12);
});

test.each(['', 'a', '1/0', '½ 1', '1.2.3', '1/2/3', '5 L', '--1', '½½'])('"%s" is none', (text) => {
  expect(numberWritten(text)).toBeNaN();
});

// NIST Handbook 44, Appendix C: 1 ft³ = 28.316846592 L, 1 yd³ = 764.554857984 L, 1 liquid quart = 0.946352946 L exactly.
test.each([
  ['1 ft³', 28.316846592],
  ['2 cu. ft.', 56.633693184],
  ['1 yd3', 764.554857984],
  ['0,5 cubic yards', 382.277428992],
  ['12 quarts', 11.356235352],
  ['5 gal', 18.92705892],
  ['80 L', 80],
  ['250ml', 0.25],
  ['1 m³', 1000],
  // 3 of 16 tablespoons, and two more: 50 tablespoons of 231/256 in³.
  ['3 cups + 2 tbsp', 0.739338239],
  ['1 ½ cups', 0.35488235475],
  ['1 gal 2 qts', 5.678117676],
  ['1 gal and 1/2 cup', 3.9037059023],
  ['8 fl. oz', 0.2365882365],
])('%s is a volume', (text, litres) => {
  expect(quantityWritten(text, 'volume')).toBeCloseTo(litres, 8);
});

// The same: 1 lb = 453.59237 g exactly, 1 oz = 1/16 lb; 1 in = 25.4 mm.
test.each([
  ['9 1/2 oz', 'mass', 269.32046969],
  ['1 lb 4 oz', 'mass', 566.9904625],
  ['1.5 kg', 'mass', 1500],
  ['2 ⅜ in', 'length', 60.325],
  ['1 ft 6 inches', 'length', 457.2],
  ['9 cm', 'length', 90],
] as const)('%s is a %s', (text, kind, size) => {
  expect(quantityWritten(text, kind)).toBeCloseTo(size, 7);
});

test.each([
  ['5', 'volume'],
  ['', 'volume'],
  ['two gallons', 'volume'],
  ['3 kg', 'volume'],
  ['1.2.3 L', 'volume'],
  ['5 yards of rope', 'volume'],
  ['-2 L', 'volume'],
  ['2 L 3', 'volume'],
  ['L', 'volume'],
  ['2 gal', 'mass'],
  ['1/0 lb', 'mass'],
] as const)('"%s" is no %s', (text, kind) => {
  expect(quantityWritten(text, kind)).toBeUndefined();
});

test('whatever number is printed can be typed back', () =>
  fc.assert(
    fc.property(
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      fc.integer({ min: 0, max: 6 }),
      (number, places) => {
        for (const text of [fixed(number, places), significant(number, places + 1)]) {
          const plain = text.replace(/\s/g, '').replace('−', '-');
          expect(numberWritten(text)).toBeCloseTo(Number(plain), 9);
        }
      },
    ),
  ));

test('whatever volume, mass or length is printed, in both systems, can be typed back as it stands, with its unit and without', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 50_000, noNaN: true }),
      fc.constantFrom('metric' as const, 'us' as const),
      (size, system) => {
        const shown = [
          ['volume', showVolume(size, system)],
          ['mass', showMass(size, system)],
          ['length', showLength(Math.max(1, size), system)],
        ] as const;
        for (const [kind, { text, unit }] of shown) {
          const of = unitWritten(unit)!;
          expect(of.kind).toBe(kind);
          const number = numberWritten(text);
          expect(number).not.toBeNaN();
          expect(quantityWritten(`${text}\u00a0${unit}`, kind)).toBeCloseTo(number * of.size, 6);
        }
      },
    ),
  ));

test('scoops as they stand on a card are numbers', () => {
  for (let quarters = 1; quarters < 40; quarters++)
    expect(numberWritten(scoopText(inScoops(quarters / 4, 1)))).toBe(quarters / 4);
});
