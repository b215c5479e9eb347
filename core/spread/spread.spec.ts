import { metric } from '#testing/readers';
import { aboutSum, read } from '#words/read';
import { usualMoisture } from '#core/mix/moisture';
import { batchSheet } from '#core/batch/sheet';
import { explain } from '#core/explain/explain';
import { readingIds } from '#core/judge/readings';
import { judgeMix } from '#core/judge/judge';
import { normalAt, normalQuantile, streamOf, uniformAt } from '#core/stats/normal';
import { Odds, sampleReadings, Sampler } from '#core/spread/sample';
import { defaultSpreads, type Spreads } from '#core/spread/spreads';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

const still = Object.fromEntries(Object.keys(defaultSpreads).map((k) => [k, 0])) as unknown as Spreads;
const mix = recipe(
  { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
  { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 } },
);
const band = (result: ReturnType<typeof sampleReadings>, id: string) =>
  result.bands.find((b) => b.id === id)!;

describe('chance', () => {
  test('quantiles of the normal distribution: Abramowitz & Stegun, table 26.1 (from memory)', () => {
    for (const [p, z] of [
      [0.5, 0],
      [0.975, 1.959964],
      [0.95, 1.644854],
      [0.999, 3.090232],
      [0.01, -2.326348],
    ] as const) {
      published({
        what: `normal quantile at ${p}`,
        source: 'Abramowitz & Stegun, ch. 26 (from memory)',
        published: z,
        ours: normalQuantile(p),
        unit: '',
        within: 1e-6,
      });
    }
  });

  test('draws are spread as they should be, and streams do not know of each other', () => {
    const N = 20_000;
    const [a, b] = [streamOf('ph/peat-fine'), streamOf('ph/perlite-fine')];
    let [sum, squares, product] = [0, 0, 0];
    const tenths = new Array<number>(10).fill(0);
    for (let i = 0; i < N; i++) {
      const [x, y] = [normalAt(7, a, i), normalAt(7, b, i)];
      sum += x;
      squares += x * x;
      product += x * y;
      tenths[Math.floor(uniformAt(7, a, i) * 10)]!++;
    }
    expect(Math.abs(sum / N)).toBeLessThan(0.03);
    expect(Math.abs(squares / N - 1)).toBeLessThan(0.04);
    expect(Math.abs(product / N)).toBeLessThan(0.03);
    const chiSquare = tenths.reduce((s, n) => s + (n - N / 10) ** 2 / (N / 10), 0);
    // 99.9 % point of chi-square with 9 degrees of freedom (from memory).
    expect(chiSquare).toBeLessThan(27.88);
  });
});

describe('bands', () => {
  const sampled = sampleReadings(mix, defaultSpreads, 1, 2000);

  test('with no scatter every draw is the reading itself', () => {
    const exact = sampleReadings(mix, still, 1, 5);
    for (const r of judgeMix(mix).readings) {
      expect(band(exact, r.id).low).toBeCloseTo(r.value, 9);
      expect(band(exact, r.id).high).toBeCloseTo(r.value, 9);
    }
  });

  test('bands hold the reading, and the odds of all are no better than the worst', () => {
    for (const r of judgeMix(mix).readings) {
      const b = band(sampled, r.id);
      expect(b.low).toBeLessThanOrEqual(b.middle);
      expect(b.middle).toBeLessThanOrEqual(b.high);
      expect(r.value).toBeGreaterThan(b.low - 1e-9);
      expect(r.value).toBeLessThan(b.high + 1e-9);
    }
    expect(sampled.allInside).toBeLessThanOrEqual(Math.min(...sampled.bands.map((b) => b.inside)));
  });

  test('untested lime scatters by about a quarter of the lift, nine in ten', () => {
    const { low, high } = band(sampled, 'ph');
    const lift = 5.8 - judgeMix(mix).evaluation.acidity.phBeforeLime;
    published({
      what: 'half band of pH by the lift that lime gives',
      source: 'model: ±25 % unless the jar test was run (common practice, no source)',
      published: [0.15, 0.4],
      ours: (high - low) / 2 / lift,
      unit: '',
    });
  });

  test('same seed, same answer; in pieces or at once; other seed, other draws', () => {
    const pieces = new Sampler(mix, defaultSpreads, 1);
    for (let i = 0; i < 20; i++) pieces.draw(100);
    expect(pieces.result()).toEqual(sampled);
    expect(sampleReadings(mix, defaultSpreads, 2, 2000)).not.toEqual(sampled);
  });

  test('common random numbers: the order of the parts does not matter', () => {
    const turned = { ...mix, components: [...mix.components].reverse() };
    const other = sampleReadings(turned, defaultSpreads, 1, 200);
    for (const b of sampleReadings(mix, defaultSpreads, 1, 200).bands)
      expect(band(other, b.id).high).toBeCloseTo(b.high, 6);
  });

  test.each<[string, object]>([
    ['ph', { jar: { bufferMeqPerLPerPh: 33, phBeforeLime: 4 } }],
    ['ph', { ph: 5.8 }],
    ['air', { air: 0.065 }],
    ['ecSaturated', { ecSaturatedMSPerCm: 0.32 }],
  ])('a test narrows the band of %s (%#)', (id, measured) => {
    const tested = sampleReadings({ ...mix, measured }, defaultSpreads, 1, 2000);
    const width = (r: typeof tested): number => band(r, id).high - band(r, id).low;
    expect(width(tested)).toBeLessThan(0.8 * width(sampled));
  });

  test('a measured yield takes the place of the estimate', () => {
    const tested = judgeMix({ ...mix, measured: { shrinkage: 0.05 } });
    expect(tested.evaluation.composition.shrinkage).toBe(0.05);
  });

  test('odds of many recipes at once are those of each by itself: all share the same worlds', () => {
    const other = recipe({ 'coir-pith': 4, 'perlite-fine': 1 }, { doses: { 'calcium-nitrate': 0.1 } });
    const odds = new Odds([mix, other, mix], defaultSpreads, 1);
    odds.draw(150);
    odds.draw(50);
    const [first, second, again] = odds.result();
    expect(first).toBe(sampleReadings(mix, defaultSpreads, 1, 200).allInside);
    expect(second).toBe(sampleReadings(other, defaultSpreads, 1, 200).allInside);
    expect(again).toBe(first);
    expect(() => new Odds([mix], defaultSpreads, 1).result()).toThrow('draws must be at least 1');
  });

  test('bad numbers are refused', () => {
    expect(() => sampleReadings(mix, { ...defaultSpreads, scoop: -1 }, 1, 10)).toThrow('spreads.scoop');
    expect(() => sampleReadings(mix, defaultSpreads, 1, 0)).toThrow(
      'draws must be a number from 1 to 200000',
    );
    expect(() => sampleReadings({ ...mix, measured: { ph: 19 } }, defaultSpreads, 1, 10)).toThrow(
      'measured.ph must be a number from 2.5 to 11, was 19',
    );
  });
});

describe('where from', () => {
  const many = [
    mix,
    recipe({ 'peat-black': 2, compost: 1 }, { vessel: 'block-50', doses: { chalk: 30, 'wood-ash': 2 } }),
    recipe(
      { 'perlite-coarse': 1 },
      { stage: 'potting', vessel: 'pot-15', doses: { 'blend-10-10-10': 1, 'blood-meal': 2 } },
    ),
    { ...mix, measured: { jar: { bufferMeqPerLPerPh: 20, phBeforeLime: 4.4 }, shrinkage: 0.02 } },
  ];

  test('the sum shown, done again from its own terms, is the reading', () => {
    let seen = 0;
    for (const input of many) {
      const judgement = judgeMix(input);
      for (const r of judgement.readings) {
        const e = explain(judgement, r.id);
        expect(e.result).toBeCloseTo(r.value, 9);
        expect(e.terms.length).toBeGreaterThan(0);
        for (const { what, from } of e.terms)
          expect([read(what, metric).length > 2, read(from, metric).length > 3]).toEqual([true, true]);
        expect(aboutSum(r.id, 'source', metric).length).toBeGreaterThan(5);
        seen++;
      }
    }
    expect(seen).toBeGreaterThan(readingIds.length * 2);
  });

  test('amounts explain themselves too, from their own terms', () => {
    for (const input of many) {
      const judgement = judgeMix(input);
      const { evaluation: e } = judgement;
      expect(explain(judgement, 'limeDose').result).toBeCloseTo(e.lime?.gPerL ?? 0, 9);
      expect(explain(judgement, 'scooped').result).toBeCloseTo(e.composition.densification, 9);
      expect(explain(judgement, 'wetWeight').result).toBeCloseTo(e.wetWeightG, 9);
      const moisture = usualMoisture(input.vessel);
      expect(explain(judgement, 'waterToAdd').result).toBeCloseTo(batchSheet(e, 1, moisture).waterLitres, 9);
    }
    expect(explain(judgeMix(mix), 'limeDose').movers.map((m) => read(m.what, metric))).toContain(
      'one part more medium vermiculite',
    );
  });

  test('what moves it most is found by moving it', () => {
    const judgement = judgeMix(mix);
    const { movers } = explain(judgement, 'air');
    expect(movers).toHaveLength(3);
    const sizes = movers.map((m) => Math.abs(m.by));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const perlite = {
      ...mix,
      components: mix.components.map((c) => (c.material.id === 'perlite-coarse' ? { ...c, parts: 3 } : c)),
    };
    const by = judgeMix(perlite).readings[0]!.value - judgement.readings[0]!.value;
    expect(movers.find((m) => read(m.what, metric).includes('perlite'))?.by).toBeCloseTo(by, 9);
  });
});
