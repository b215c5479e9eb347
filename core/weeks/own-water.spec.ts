import fc from 'fast-check';
import { alkalinityOfKit, blendOf, blendTo, remarksOn, type Water } from '#core/weeks/own-water';
import { published } from '#testing/published';

const rain: Water = {
  ...{ alkalinityMgPerL: 5, ecMSPerCm: 0.03, ph: 6.1 },
  ...{ caMgPerL: 1, mgMgPerL: 0.2, naMgPerL: 1, clMgPerL: 2 },
};
/** Limestone well: calcium and magnesium beside their carbonate. */
const well: Water = {
  ...{ alkalinityMgPerL: 250, ecMSPerCm: 0.6, ph: 7.6 },
  ...{ caMgPerL: 80, mgMgPerL: 18, naMgPerL: 15, clMgPerL: 20 },
};

test('a blend is between its waters in all that both tell, its own inverse, and tells no pH', () => {
  const arbitrary = fc.record({
    alkalinityMgPerL: fc.double({ min: 0, max: 1000, noNaN: true }),
    ecMSPerCm: fc.double({ min: 0, max: 10, noNaN: true }),
    ph: fc.constant(7),
    caMgPerL: fc.option(fc.double({ min: 0, max: 500, noNaN: true })),
    mgMgPerL: fc.constant(3),
    naMgPerL: fc.double({ min: 0, max: 500, noNaN: true }),
    clMgPerL: fc.constant(null),
  });
  fc.assert(
    fc.property(arbitrary, arbitrary, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
      const made = blendOf(a, b, share);
      expect(made).toMatchObject({ ph: null, clMgPerL: null });
      expect(made.mgMgPerL).toBeCloseTo(3, 9);
      expect(made.caMgPerL === null).toBe(a.caMgPerL === null || b.caMgPerL === null);
      expect(made.naMgPerL!).toBeGreaterThanOrEqual(Math.min(a.naMgPerL, b.naMgPerL) - 1e-9);
      expect(made.naMgPerL!).toBeLessThanOrEqual(Math.max(a.naMgPerL, b.naMgPerL) + 1e-9);
      const back = blendTo(a, b, Math.min(1000, made.alkalinityMgPerL));
      if (Math.abs(a.alkalinityMgPerL - b.alkalinityMgPerL) > 1)
        expect(back === null ? share : back).toBeCloseTo(share, 6);
    }),
  );
});

test('so much well in rain for an alkalinity, and none where it lies outside', () => {
  expect(blendTo(well, rain, 80)).toBeCloseTo(75 / 245, 9);
  expect(blendTo(well, rain, 300)).toBeNull();
  expect(blendTo(well, well, 250)).toBeNull();
  expect(() => blendOf(well, rain, 1.2)).toThrow(/share.*1\.2/);
});

test('a whole report adds up: the sum of cations is ten times the EC', () => {
  published({
    what: 'sum of cations of the limestone well over its EC',
    source: 'USDA Agriculture Handbook 60 (1954), meq/L ≈ 10 × EC (from memory)',
    published: 10,
    ours: (80 / 20.04 + 18 / 12.15 + 15 / 22.99) / 0.6,
    unit: 'meq/L per mS/cm',
    within: 1.5,
  });
  expect(remarksOn(well)).toEqual(['hard']);
  expect(remarksOn(rain)).toEqual(['soft']);
});

test.each<[string, Partial<Water>, string[]]>([
  ['salt of a water softener', { caMgPerL: 4, mgMgPerL: 1, naMgPerL: 130 }, ['hard', 'sodium']],
  ['a calcium mistyped', { caMgPerL: 8 }, ['hard', 'balance', 'ec']],
  ['an EC in µS', { ecMSPerCm: 6 }, ['hard', 'brackish', 'ec']],
  ['near the sea', { naMgPerL: 90, clMgPerL: 140, ecMSPerCm: 1 }, ['hard', 'sodium', 'chloride', 'saltier']],
  // Figures of model § 27: over 2 a stop, from 1 a warning.
  ['at the edge', { ecMSPerCm: 2, caMgPerL: 200, mgMgPerL: 60, naMgPerL: 45 }, ['hard', 'saltier']],
  ['hardly salty', { ecMSPerCm: 0.9 }, ['hard', 'salty']],
])('%s', (_, change, remarks) => {
  expect(remarksOn({ ...well, ...change })).toEqual(remarks);
});

test('a kit counts drops; what no kit says is named', () => {
  expect(alkalinityOfKit(14, 17.8)).toBeCloseTo(249.2, 9);
  expect(() => alkalinityOfKit(-1, 17.8)).toThrow(/drops.*-1/);
  expect(() => alkalinityOfKit(5, 0)).toThrow(/mgPerLEach.*0/);
});
