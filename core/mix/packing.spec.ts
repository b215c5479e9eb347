import fc from 'fast-check';
import { mixingShrinkage, packingDensity, type Grains } from '#core/mix/packing';
import { published } from '#testing/published';

const grain = (volume: number, particleMm: number, packingFraction = 0.55): Grains => ({
  volume,
  particleMm,
  packingFraction,
});

test('equal sizes do not shrink, whatever their packing (de Larrard 1999, limit case)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.double({ min: 0.3, max: 0.7, noNaN: true })), {
        minLength: 1,
        maxLength: 6,
      }),
      (classes) => {
        expect(mixingShrinkage(classes.map(([v, alpha]) => grain(v, 2, alpha)))).toBeCloseTo(0, 6);
      },
    ),
  );
});

test('very fine in coarse, ideally compacted: the voids are filled', () => {
  // Without interaction the densest binary blend packs to β₁ + (1 − β₁) β₂ (de Larrard 1999, ch. 1).
  const beta = 0.6;
  const densest = beta + (1 - beta) * beta;
  published({
    what: 'densest binary packing, no interaction, β = 0.6',
    source: 'de Larrard 1999, limit of the virtual packing density',
    published: densest,
    ours: packingDensity([beta / densest, 1 - beta / densest], [beta, beta], [1e6, 1e-6], 1e9),
    unit: '',
    within: 1e-4,
  });
});

test('order of the classes, and splitting one class in two, change nothing', () => {
  const three = [grain(3, 0.8), grain(2, 3.5), grain(1, 1.2, 0.5)];
  expect(mixingShrinkage([...three].reverse())).toBeCloseTo(mixingShrinkage(three), 9);
  expect(mixingShrinkage([grain(1.5, 0.8), grain(1.5, 0.8), ...three.slice(1)])).toBeCloseTo(
    mixingShrinkage(three),
    9,
  );
});

test('shrinkage is never negative, never more than the voids, and does not depend on the batch', () => {
  const size = fc.double({ min: 0.1, max: 20, noNaN: true });
  const arbitrary = fc.record({
    volume: fc.double({ min: 0.1, max: 50, noNaN: true }),
    particleMm: size,
    packingFraction: fc.double({ min: 0.4, max: 0.65, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(arbitrary, { minLength: 1, maxLength: 6 }), (grains) => {
      const s = mixingShrinkage(grains);
      expect(s).toBeGreaterThanOrEqual(0);
      expect(s).toBeLessThan(0.45);
      expect(mixingShrinkage(grains.map((g) => ({ ...g, volume: g.volume * 7 })))).toBeCloseTo(s, 8);
    }),
  );
});

test('a tenth short: peat with coarse perlite loses 5 to 20 % (common practice, no source)', () => {
  published({
    what: 'shrinkage of fine peat and coarse perlite 1:1',
    source: 'common practice, no source',
    published: [5, 20],
    ours: 100 * mixingShrinkage([grain(1, 0.6), grain(1, 3.5)]),
    unit: '%',
  });
});

test('no grains is an error', () => {
  expect(() => mixingShrinkage([])).toThrow('1 to Infinity materials');
});
