import { metric } from '#testing/readers';
import { read } from '#words/read';
import fc from 'fast-check';
import { orderOfWork } from '#core/batch/order-of-work';
import { fittingScoop, inSpoons, scoops } from '#core/batch/scoops';
import { inScoops, scoopText } from '#core/units/scooped';
import { batchSheet } from '#core/batch/sheet';
import { judgeMix } from '#core/judge/judge';
import { evaluateMix } from '#core/mix/evaluate';
import { runBenchTest } from '#core/batch/tests/bench-tests';
import { usualKit } from '#core/batch/kit';
import { snapshotBatch } from '#core/batch/snapshot';
import { materialFromRow } from '#core/material/material';
import { materialOfRecipe } from '#core/recipe/mix-material';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library, materials } from '#testing/library';
import { recipe } from '#testing/recipe';
import { gramsIn, litresIn } from '#core/units/factors';

const parts = fc.dictionary(fc.constantFrom(...materials.map((m) => m.id)), fc.integer({ min: 1, max: 9 }), {
  minKeys: 1,
  maxKeys: 5,
  noNullPrototype: true,
});
const litres = fc.double({ min: 1, max: 2000, noNaN: true });

test('what is scooped, after settling, is what fills the vessels; mass is kept', () => {
  fc.assert(
    fc.property(parts, litres, (p, l) => {
      const e = evaluateMix(recipe(p));
      const sheet = batchSheet(e, l, 'sowing');
      const loose = sheet.components.reduce((s, c) => s + c.looseLitres, 0);
      expect(loose * (1 - e.composition.shrinkage) * (1 - e.composition.compaction)).toBeCloseTo(l, 6);
      const dry = sheet.components.reduce(
        (s, c, i) => s + c.massKg * (1 - e.composition.parts[i]!.material.moistureWetBasis),
        0,
      );
      expect(dry).toBeCloseTo((l * e.composition.dryBulkDensityGPerL) / 1000, 6);
      expect(sheet.waterLitres).toBeGreaterThanOrEqual(0);
    }),
  );
});

test('water brings the mix to its target saturation', () => {
  const e = evaluateMix(recipe({ 'peat-fine': 3, 'perlite-fine': 1 }, { vessel: 'block-50' }));
  const sheet = batchSheet(e, 100, 'block');
  const brought = sheet.components.reduce(
    (s, c, i) => s + c.massKg * e.composition.parts[i]!.material.moistureWetBasis,
    0,
  );
  expect((brought + sheet.waterLitres) / 100 / e.composition.totalPorosity).toBeCloseTo(0.8, 9);
});

test('the same recipe asked for in other units gives the same card', () => {
  fc.assert(
    fc.property(parts, fc.double({ min: 1, max: 500, noNaN: true }), (p, gallons) => {
      const e = evaluateMix(recipe(p, { limeToPh: 6 }));
      const us = batchSheet(e, gallons * litresIn.gallon, 'sowing');
      const metric = batchSheet(e, gallons * 3.785411784, 'sowing');
      expect(us).toEqual(metric);
      const pounds = us.components.reduce((s, c) => s + (c.massKg * 1000) / gramsIn.pound, 0);
      expect(pounds * 0.45359237).toBeCloseTo(
        metric.components.reduce((s, c) => s + c.massKg, 0),
        6,
      );
    }),
  );
});

test('a part is a part of the base, not of one ingredient: half of three scoops is a sixth', () => {
  const [base, third] = batchSheet(
    evaluateMix(recipe({ 'peat-fine': 3, 'perlite-fine': 0.5 })),
    10,
    'sowing',
  ).components;
  expect(third!.looseLitres / base!.looseLitres).toBeCloseTo(1 / 6, 12);
});

test.each([0, -5, NaN, 2_000_000])('impossible litres are refused: %p', (bad) => {
  expect(() => batchSheet(evaluateMix(recipe({ 'peat-fine': 1 })), bad, 'sowing')).toThrow(
    /litres must be a number from 0.001 to 1000000/,
  );
});

describe('scoops', () => {
  test('whole and simple fractions', () => {
    const text = (l: number, scoop = 1): string => scoopText(inScoops(l, scoop));
    expect([text(6), text(6.5), text(0.26), text(5.97), text(0.34), text(0), text(12.7, 5)]).toEqual([
      '6',
      '6 ½',
      '¼',
      '6',
      '¼',
      '0',
      '2 ½',
    ]);
  });

  test('rounding is never more than an eighth of a scoop and is told', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 300, noNaN: true }), (l) => {
        const { error } = inScoops(l, 1);
        expect(Math.abs(error * l)).toBeLessThanOrEqual(0.125 + 1e-9);
      }),
    );
  });

  test('the fitting scoop is the largest that is filled at least once', () => {
    expect(fittingScoop(86, 'metric').id).toBe('bucket-10l');
    expect(fittingScoop(0.7, 'metric').id).toBe('jug-500ml');
    expect(fittingScoop(0.05, 'us').id).toBe('cup');
    expect(new Set(scoops.map((s) => s.id)).size).toBe(scoops.length);
  });

  test('small doses in level spoons', () => {
    // 337 g of ground limestone at 1.45 g/mL: 232 mL, fifteen and a half tablespoons of 15 mL.
    expect(inSpoons(337, 1.45, 'metric')).toEqual({ text: '15 ½', unit: 'tbsp' });
    expect(inSpoons(22, 1.05, 'metric')).toEqual({ text: '4 ¼', unit: 'tsp' });
    // 16 tbsp to the US cup, NIST Handbook 44, Appendix C: 24 tbsp is a cup and a half.
    const tablespoons = (count: number) => inSpoons(count * 14.7868, 1, 'us');
    expect(tablespoons(24)).toEqual({ text: '1 ½', unit: 'cups' });
    expect(tablespoons(16)).toEqual({ text: '1', unit: 'cup' });
    expect(tablespoons(4)).toEqual({ text: '¼', unit: 'cup' });
    expect(tablespoons(7)).toEqual({ text: '7', unit: 'tbsp' });
  });
});

describe('order of work', () => {
  const steps = (p: Record<string, number>, sketch = {}, moisture: 'sowing' | 'block' = 'sowing') => {
    const judgement = judgeMix(recipe(p, { limeToPh: 5.8, ...sketch }));
    return orderOfWork(judgement, batchSheet(judgement.evaluation, 50, moisture), moisture);
  };

  test('mask first, doses before layers, label and re-test after', () => {
    expect(steps({ 'peat-coarse': 3, 'perlite-coarse': 1 }).map((s) => s.id)).toEqual([
      'screen',
      'damp-down',
      'pre-blend',
      'layer',
      'water',
      'squeeze',
      'drain-test',
      'fill',
      'label',
      're-test',
      're-test-14',
    ]);
  });

  test('blocks are squeezed and pressed their own way', () => {
    const press = steps({ 'peat-black': 1 }, { vessel: 'block-50' }, 'block');
    expect(read(press.find((s) => s.id === 'squeeze')!.text, metric)).toContain('oozes');
    expect(read(press.find((s) => s.id === 'fill')!.text, metric)).toContain('25\u00a0%');
  });

  test('a quarter of everything: four quarters are the scooped litres', () => {
    const judgement = judgeMix(recipe({ 'peat-fine': 1 }));
    const sheet = batchSheet(judgement.evaluation, 40, 'sowing');
    const layer = orderOfWork(judgement, sheet, 'sowing').find((s) => s.id === 'layer')!;
    expect(read(layer.text, metric)).toContain('in four layers: 10.0\u00a0L fine sphagnum peat');
  });
});

test('a mix with slow feed in a part already is not heated: a stop, and no step that heats', () => {
  const fed = materialOfRecipe(
    { ...starterMixes.potting, amendments: [{ amendment: 'coated-14-14-14', gPerL: 3 }] },
    library,
    { id: 'own-fed', name: 'Potting mix of April' },
    { weeks: 3, celsius: 15 },
  );
  const own = { ...library, materials: new Map([...library.materials, ['own-fed', materialFromRow(fed)]]) };
  const recipe = {
    ...starterMixes.germination,
    components: [
      { material: 'peat-fine', parts: 3 },
      { material: 'own-fed', parts: 1 },
    ],
  };
  const choice = { units: 'metric', scoop: 'bucket-10l' } as const;
  const hot = snapshotBatch(recipe, own, choice, { ...usualKit, heat: 'boiling' });
  expect(hot.flags[0]).toMatchObject({ code: 'heat-with-feed', severity: 'stop' });
  expect(hot.steps.map((step) => step.id)).not.toContain('heat');
  const cold = snapshotBatch(recipe, own, choice, { ...usualKit, heat: 'none' });
  expect(cold.flags.map((flag) => flag.code)).not.toContain('heat-with-feed');
});

test('a batch of loam and sand is tested against the windows of such mixes, a soilless one against its stage’s', () => {
  const contextOf = (mix: Record<string, number>) =>
    snapshotBatch(
      {
        ...starterMixes.germination,
        components: Object.entries(mix).map(([id, n]) => ({ material: id, parts: n })),
      },
      library,
      { units: 'metric', scoop: 'bucket-10l' },
    ).context;
  expect(contextOf({ 'peat-fine': 3, 'perlite-coarse': 1 }).windows).toBeUndefined();
  // Model § 22: from 1.5 % of air for a loam and sand mix under seed.
  const { windows } = contextOf({ loam: 2, 'peat-fine': 1, 'sand-sharp': 1 });
  expect(windows!.airPct!.low).toBeCloseTo(1.5, 9);
  expect(
    runBenchTest(
      'air',
      { volumeMl: 100, drainedMl: 2 },
      contextOf({ loam: 2, 'peat-fine': 1, 'sand-sharp': 1 }),
    ).verdict,
  ).toBe('ok');
});
