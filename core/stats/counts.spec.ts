import fc from 'fast-check';
import { bignumber, combinations, type BigNumber } from 'mathjs';
import { fisher, wilson } from '#core/stats/counts';
import { standOf } from '#core/season/stand';
import { atLeast } from '#core/stats/binomial';
import { published } from '#testing/published';

const choose = (n: number, k: number): BigNumber => combinations(bignumber(n), bignumber(k));

describe('counts', () => {
  // Newcombe, Stat. Med. 17:857 (1998), table I, method 3 (from memory).
  test.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('Wilson interval of %i in %i', (hits, of, low, high) => {
    const ours = wilson(hits, of);
    const source = 'Newcombe, Stat. Med. 17:857 (1998), table I (from memory)';
    published({
      what: `Wilson low of ${hits}/${of}`,
      source,
      published: low,
      ours: ours.low,
      unit: '',
      within: 6e-5,
    });
    published({
      what: `Wilson high of ${hits}/${of}`,
      source,
      published: high,
      ours: ours.high,
      unit: '',
      within: 6e-5,
    });
  });

  test('Fisher: the lady tasting tea and the convicted twins', () => {
    const source = 'Fisher, The Design of Experiments (1935); Statistical Methods (from memory)';
    published({
      what: 'lady tasting tea, two-sided p',
      source,
      published: 34 / 70,
      ours: fisher(3, 4, 1, 4),
      unit: '',
      within: 1e-9,
    });
    published({
      what: 'convicted twins, two-sided p',
      source,
      published: 0.0005367,
      ours: fisher(10, 13, 2, 17),
      unit: '',
      within: 1e-7,
    });
  });

  test('Fisher against exact hypergeometric sums of mathjs', () => {
    const count = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(count, count, fc.nat(), fc.nat(), (ofA, ofB, a, b) => {
        const [hitsA, hitsB] = [a % (ofA + 1), b % (ofB + 1)];
        const all = choose(ofA + ofB, hitsA + hitsB);
        const p = (x: number): BigNumber =>
          choose(ofA, x)
            .times(choose(ofB, hitsA + hitsB - x))
            .div(all);
        const seen = p(hitsA).times(1 + 1e-9);
        let exact = bignumber(0);
        for (let x = Math.max(0, hitsA + hitsB - ofB); x <= Math.min(ofA, hitsA + hitsB); x++)
          if (p(x).lte(seen)) exact = exact.plus(p(x));
        expect(fisher(hitsA, ofA, hitsB, ofB)).toBeCloseTo(Number(exact), 9);
      }),
      { numRuns: 50 },
    );
  });

  test.each([
    [5, 4],
    [-1, 4],
    [1.5, 4],
    [0, 0],
  ])('%p of %p is refused', (hits, of) => {
    expect(() => wilson(hits, of)).toThrow(RangeError);
  });
});

describe('stands', () => {
  test('two seeds to a cell: 85 % leaves 2 % empty, 50 % leaves 25 %', () => {
    // Harrington & Minges, Vegetable Seed Germination (1954), for usual germinations (from memory).
    expect(standOf(0.85, 2, 100, 0.9).emptyFraction).toBeCloseTo(0.0225, 9);
    expect(standOf(0.5, 2, 100, 0.9).emptyFraction).toBeCloseTo(0.25, 9);
    expect(standOf(0.85, 2, 100, 0.9).sparesPerCell).toBeCloseTo(1.7 - 0.9775, 9);
    expect(standOf(1, 1, 100, 0.9)).toEqual({ emptyFraction: 0, sparesPerCell: 0, cells: 100 });
  });

  test('the tail is the exact binomial of mathjs', () => {
    for (const [n, p, k] of [
      [60, 0.85, 50],
      [40, 0.5, 30],
      [72, 0.9775, 72],
      [200, 0.3, 45],
    ] as const) {
      let exact = bignumber(0);
      for (let x = k; x <= n; x++)
        exact = exact.plus(
          choose(n, x)
            .times(bignumber(p).pow(x))
            .times(
              bignumber(1)
                .minus(p)
                .pow(n - x),
            ),
        );
      published({
        what: `P(Binomial(${n}, ${p}) ≥ ${k})`,
        source: 'mathjs, exact sum at 64 digits',
        published: Number(exact),
        ours: atLeast(n, p, k),
        unit: '',
        within: 1e-10,
      });
    }
  });

  test('the safe number is the smallest that is safe', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.99, noNaN: true }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1, max: 5000 }),
        fc.constantFrom(0.5, 0.9, 0.99),
        (g, perCell, wanted, confidence) => {
          const { cells, emptyFraction } = standOf(g, perCell, wanted, confidence);
          expect(atLeast(cells, 1 - emptyFraction, wanted)).toBeGreaterThanOrEqual(confidence);
          if (cells > wanted) expect(atLeast(cells - 1, 1 - emptyFraction, wanted)).toBeLessThan(confidence);
        },
      ),
    );
  });

  test.each([
    [0, 1, 10, 0.9],
    [0.5, 1.5, 10, 0.9],
    [0.5, 1, 0, 0.9],
    [0.5, 1, 10, 1],
  ])('%p %p %p %p is refused', (...given) => {
    expect(() => standOf(...given)).toThrow(RangeError);
  });
});
