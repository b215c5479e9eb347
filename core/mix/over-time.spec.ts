import { limeScale } from '#core/mix/lime-curve';
import fc from 'fast-check';
import { lusolve, type MathNumericType } from 'mathjs';
import { swapAnalysis, usualBasis } from '#core/mix/analysis-swap';
import { evaluateMix } from '#core/mix/evaluate';
import { leachLitresPerL, saltsLeft } from '#core/mix/leaching';
import { fitJarTest, limeReacted, phOnDay } from '#core/mix/lime-reaction';
import { squeezeAt } from '#core/mix/moisture';
import { drain } from '#core/mix/water-air';
import { retentionOf, waterAt } from '#core/material/retention';
import { labelMgPerL, releasedMgPerL, releasedShare } from '#core/mix/release';
import { amendment, amendments, material } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

describe('release of feeds', () => {
  const HARTZ = 'Hartz & Johnstone, HortTechnology 16:39 (2006) (from memory)';
  test.each(['guano', 'fish-meal', 'blood-meal', 'feather-meal'])(
    'organic nitrogen of %s in two and in eight weeks',
    (id) => {
      const pct = (weeks: number): number => 100 * releasedShare(amendment(id), weeks, 20);
      published({
        what: `N set free in 2 weeks at 20 °C, ${id}`,
        source: HARTZ,
        published: [47, 60],
        ours: pct(2),
        unit: '%',
      });
      published({
        what: `N set free in 8 weeks at 20 °C, ${id}`,
        source: HARTZ,
        published: [56, 66],
        ours: pct(8),
        unit: '%',
      });
    },
  );

  test('a coated feed is through at its stated longevity at 21 °C, sooner when warmer', () => {
    const coated = amendment('coated-14-14-14');
    expect(releasedShare(coated, 14, 21)).toBeCloseTo(1, 12);
    expect(releasedShare(coated, 7, 31)).toBeCloseTo(1, 12);
    expect(releasedShare(coated, 7, 21)).toBeCloseTo(0.5, 12);
  });

  test('no feed gives more than its label, ever, and nothing is taken back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...amendments),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 2, max: 40 }),
        (a, week, celsius) => {
          const doses = [{ amendment: a, gPerL: 2 }];
          for (const nutrient of ['n', 'p', 'k'] as const) {
            const now = releasedMgPerL(doses, nutrient, week, celsius);
            expect(now).toBeLessThanOrEqual(labelMgPerL(doses, nutrient) + 1e-9);
            expect(releasedMgPerL(doses, nutrient, week + 1, celsius)).toBeGreaterThanOrEqual(now - 1e-9);
          }
        },
      ),
    );
  });
});

describe('lime over days and the jar test', () => {
  test('half a fine lime has acted after ln 2 / 0.3 days', () => {
    const fine = { ...amendment('chalk'), passing250UmPct: 100 };
    expect(limeReacted(fine, Math.LN2 / 0.3)).toBeCloseTo(0.5, 12);
    expect(limeReacted(amendment('eggshell-crushed'), 14)).toBeLessThan(limeReacted(fine, 14));
  });

  test('pH climbs from that of the parts to that of the finished mix', () => {
    const e = evaluateMix(recipe({ 'peat-fine': 1 }, { limeToPh: 5.8 }));
    const days = [0, 3, 7, 14, 28, 200].map((day) => phOnDay(e.acidity, e.doses, day));
    expect(days[0]).toBeCloseTo(3.9, 9);
    expect(days).toEqual([...days].sort((a, b) => a - b));
    expect(days.at(-1)).toBeCloseTo(5.8, 3);
  });

  test('the straight line is the least squares of mathjs', () => {
    const readings = [
      { gPerL: 0, ph: 3.95 },
      { gPerL: 2, ph: 4.7 },
      { gPerL: 4, ph: 5.35 },
      { gPerL: 6, ph: 6.2 },
      { gPerL: 8, ph: 6.8 },
    ];
    // On the scale of lime, written out: −ln(10^(0.5 (7.5 − pH)) − 1) / (0.5 ln 10).
    const scaled = readings.map(({ gPerL, ph }) => ({
      gPerL,
      y: -Math.log(10 ** (0.5 * (7.5 - ph)) - 1) / (0.5 * Math.LN10),
    }));
    const sum = (of: (r: { gPerL: number; y: number }) => number): number =>
      scaled.reduce((s, r) => s + of(r), 0);
    const solved = lusolve(
      [
        [5, sum((r) => r.gPerL)],
        [sum((r) => r.gPerL), sum((r) => r.gPerL ** 2)],
      ],
      [sum((r) => r.y), sum((r) => r.gPerL * r.y)],
    ) as MathNumericType[][];
    const fit = fitJarTest(readings, amendment('lime-dolomitic'));
    if (fit.outcome !== 'fitted') throw new Error(fit.why.say);
    published({
      what: 'intercept of a jar test, on the scale of lime',
      source: 'mathjs, normal equations',
      published: Number(solved[0]![0]),
      ours: limeScale(fit.phBeforeLime),
      unit: 'pH',
      within: 1e-9,
    });
    // The buffer that dosing with the same lime for a week then reproduces.
    const strength = (1000 / 50.04) * 1.02 * 0.8 * limeReacted(amendment('lime-dolomitic'), 7);
    expect(strength / fit.bufferMeqPerLPerPh).toBeCloseTo(Number(solved[1]![0]), 9);
  });

  test('jars on the plateau are left out; useless jars are told', () => {
    const lime = amendment('lime-dolomitic');
    const fit = fitJarTest(
      [
        { gPerL: 0, ph: 4 },
        { gPerL: 4, ph: 6 },
        { gPerL: 20, ph: 8.1 },
      ],
      lime,
    );
    expect(fit).toMatchObject({ outcome: 'fitted', phBeforeLime: 4 });
    expect(fitJarTest([{ gPerL: 0, ph: 4 }], lime)).toMatchObject({
      outcome: 'unusable',
      why: { say: 'jar.too-few' },
    });
    expect(
      fitJarTest(
        [
          { gPerL: 0, ph: 5 },
          { gPerL: 4, ph: 4.5 },
        ],
        lime,
      ),
    ).toMatchObject({ why: { say: 'jar.no-rise' } });
    expect(
      fitJarTest(
        [
          { gPerL: 0, ph: 19 },
          { gPerL: 4, ph: 4.5 },
        ],
        lime,
      ),
    ).toMatchObject({ why: { say: 'jar.ph', with: { ph: 19, from: 2.5, to: 11 } } });
    expect(
      fitJarTest(
        [
          { gPerL: 0, ph: 4 },
          { gPerL: 4, ph: 5 },
        ],
        amendment('gypsum'),
      ).outcome,
    ).toBe('unusable');
  });

  test('a jar test takes the place of the table', () => {
    const jar = { bufferMeqPerLPerPh: 20, phBeforeLime: 4.4 };
    const e = evaluateMix(recipe({ 'peat-fine': 1 }, { limeToPh: 5.8, measured: { jar } }));
    const way = limeScale(5.8) - limeScale(4.4);
    expect(e.lime!.gPerL).toBeCloseTo((20 * way) / ((1000 / 50.04) * 1.02 * 0.8), 9);
  });
});

describe('water', () => {
  test('one volume leaves 1/e of the salts; two thirds take ln 3', () => {
    expect(saltsLeft(1)).toBeCloseTo(1 / Math.E, 12);
    expect(leachLitresPerL(3, 1, 0.8)).toBeCloseTo(0.8 * Math.log(3), 12);
    expect(leachLitresPerL(1, 3, 0.8)).toBe(0);
  });

  test('a bed that draws 10 cm is a column that stands 10 cm higher', () => {
    const input = recipe({ 'peat-fine': 1 }, { vessel: 'cell-72' });
    const { composition, column } = evaluateMix(input);
    const onBed = drain(composition, column, 10);
    const byHand = column.heightsMm.reduce(
      (sum, mm, k) => sum + column.weights[k]! * waterAt(retentionOf(material('peat-fine')), mm / 10 + 10),
      0,
    );
    expect(onBed.water).toBeCloseTo(byHand, 12);
    expect(onBed.air).toBeGreaterThan(drain(composition, column).air);
    expect(() => drain(composition, column, 101)).toThrow('bedSuctionCm must be a number from 0 to 100');
  });

  test('the squeeze scale', () => {
    expect([0.1, 0.2, 0.45, 0.6, 0.8, 0.95].map(squeezeAt)).toEqual([
      'dusty',
      'crumbles',
      ...['clump', 'beads', 'oozes', 'slurry'],
    ]);
  });
});

describe('"I have this product instead"', () => {
  test('a coated 13-13-13 for a 10-10-10 by nitrogen: ten thirteenths', () => {
    const { gPerL, changes } = swapAnalysis(
      amendment('blend-10-10-10'),
      1.3,
      amendment('coated-13-13-13'),
      'n',
    );
    expect(gPerL).toBeCloseTo(1, 12);
    expect(changes.find((c) => c.what === 'n')).toBeUndefined();
    expect(changes.find((c) => c.what === 'saltsMeq')).toMatchObject({
      from: expect.closeTo(11.7, 9),
      to: 0,
    });
    expect(changes.find((c) => c.what === 'readyNInTwoWeeks')!.to).toBeLessThan(15);
  });

  test('4-4-4 for 10-10-10: two and a half times the cup', () => {
    expect(swapAnalysis(amendment('blend-10-10-10'), 1, amendment('organic-4-4-4'), 'n').gPerL).toBeCloseTo(
      2.5,
      12,
    );
  });

  test('lime by lime value; there and back is the same', () => {
    const [a, b] = [amendment('lime-dolomitic'), amendment('eggshell-crushed')];
    const present = swapAnalysis(a, 4, b, 'lime').gPerL;
    expect(present).toBeGreaterThan(6);
    expect(swapAnalysis(b, present, a, 'lime').gPerL).toBeCloseTo(4, 12);
    expect(usualBasis(a)).toBe('lime');
    expect(usualBasis(amendment('trace-elements'))).toBeNull();
  });

  test('a product without it is refused', () => {
    expect(() => swapAnalysis(amendment('blend-10-10-10'), 1, amendment('gypsum'), 'n')).toThrow(
      'to must be product with {"basis":"n"}, was "gypsum"',
    );
  });
});
