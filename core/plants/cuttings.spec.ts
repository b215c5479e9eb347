import fc from 'fast-check';
import {
  airUnderMist,
  baseHeatC,
  cuttingDays,
  cuttingStages,
  dilute,
  mistIn,
  rootedOf,
  strongestPpm,
  vapourPressureKPa,
  vpdKPa,
  vpdWindow,
  woods,
} from '#core/plants/cuttings';
import { cuttings } from '#core/plants/cuttings-list';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

test.each([
  [20, 2.338],
  [25, 3.168],
  [35, 5.624],
])('saturation vapour pressure at %d °C', (celsius, kPa) => {
  published({
    what: `saturation vapour pressure at ${celsius} °C`,
    source: 'FAO Irrigation and Drainage Paper 56 (1998), annex 2, table 2.3 (from memory)',
    published: kPa,
    ours: vapourPressureKPa(celsius),
    unit: 'kPa',
    within: 0.002,
  });
});

test('model section 21: 25 °C and 80 % are 0.63 kPa; 10 000 to 1 500 ppm is one part and 5.67', () => {
  expect(vpdKPa(25, 80)).toBeCloseTo(0.63, 2);
  expect(vpdKPa(25, 100)).toBe(0);
  const { stockMl, waterMl, toOne } = dilute(10_000, 1500, 100);
  expect(stockMl).toBeCloseTo(15, 9);
  expect(waterMl).toBeCloseTo(85, 9);
  expect(toOne).toBeCloseTo(5.67, 2);
});

test('a dip holds as much auxin as what went in; stronger than there is or than the wood bears stops with the number', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 1, max: 100_000 }), (a, b) => {
      const [from, to] = [Math.max(a, b), Math.min(a, b)];
      const { stockMl, waterMl } = dilute(from, to, 250);
      expect(stockMl + waterMl).toBeCloseTo(250, 9);
      expect((stockMl * from) / 250).toBeCloseTo(to, 6);
    }),
  );
  expect(() => dilute(1000, 1500, 100)).toThrow(/toPpm must be no stronger .*1000.*1500/);
  for (const wood of woods)
    expect(() => dilute(100_000, strongestPpm[wood] + 1, 100, wood)).toThrow(
      new RegExp(`burns the base .*${strongestPpm[wood]}.*${wood}`),
    );
});

test('drier air wants more mist, and each stage bears drier air than the one before', () => {
  expect(mistIn('leafy', 'stick', vpdKPa(25, 80))).toBe('more');
  expect(mistIn('leafy', 'root', vpdKPa(25, 80))).toBe('right');
  expect(mistIn('leafy', 'tone', vpdKPa(25, 95))).toBe('less');
  const highs = cuttingStages.map((stage) => vpdWindow.leafy![stage].high);
  expect(highs).toEqual([...highs].sort((a, b) => a - b));
});

test('stages follow each other; warmer is sooner; ten degrees are twice the days', () => {
  for (const cutting of cuttings) {
    const steps = cuttingDays(cutting, '2031-03-01', cutting.baseC);
    expect(steps.map(({ stage }) => stage)).toEqual([...cuttingStages]);
    for (const { from, until } of steps) expect(from <= until).toBe(true);
    expect(cutting.callusDays).toBeLessThanOrEqual(cutting.rootDays[1]);
    expect(cutting.hormonePpm[1]).toBeLessThanOrEqual(strongestPpm[cutting.wood]);
    const cool = cuttingDays(cutting, '2031-03-01', cutting.baseC - 10);
    expect(cool[2]!.until > steps[2]!.until).toBe(true);
  }
  const coleus = cuttings.find(({ id }) => id === 'coleus')!;
  expect(cuttingDays(coleus, '2031-03-01', 22)[2]).toEqual({
    stage: 'root',
    from: '2031-03-08',
    until: '2031-03-15',
  });
  expect(cuttingDays(coleus, '2031-03-01', 12)[2]).toEqual({
    stage: 'root',
    from: '2031-03-15',
    until: '2031-03-29',
  });
  expect(baseHeatC.leafy).toEqual({ low: 21, high: 25 });
  expect(baseHeatC.bare).toEqual({ low: 10, high: 18 });
  expect(() => cuttingDays(coleus, '2031-03-01', 50)).toThrow(/baseC.*50/);
});

test('in the rooting window over three weeks it stays above its air, or says on which day it does not', () => {
  const open = recipe({ 'perlite-coarse': 7, 'peat-medium': 3 }, { stage: 'rooting', vessel: 'cell-24' });
  const held = airUnderMist(open, 21);
  expect(held).toMatchObject({ limit: 12, surelyFrom: null, perhapsFrom: null });
  expect(held.low).toBeGreaterThan(12);
  const wet = airUnderMist(recipe({ 'peat-fine': 1 }, { stage: 'rooting', vessel: 'cell-24' }), 21);
  expect(wet).toMatchObject({ surelyFrom: 1, perhapsFrom: 1 });
  // Just inside when it is filled: it sinks out of its window.
  const near = [...Array.from({ length: 60 }, (_, i) => 1 + i / 10)]
    .map((perlite) =>
      airUnderMist(
        recipe({ 'perlite-coarse': perlite, 'peat-medium': 3 }, { stage: 'rooting', vessel: 'cell-24' }),
        365,
      ),
    )
    .find(({ perhapsFrom }) => perhapsFrom !== null && perhapsFrom > 1)!;
  expect(near.perhapsFrom).toBeGreaterThan(1);
  expect(near.surelyFrom === null || near.surelyFrom >= near.perhapsFrom!).toBe(true);
});

test('rooted of those tested, with its interval, and when a tray is weaned', () => {
  // E. B. Wilson 1927: 8 of 10 lie between 0.49 and 0.94.
  const { share, low, high, wean } = rootedOf(8, 10);
  expect([share, wean]).toEqual([0.8, true]);
  expect(low).toBeCloseTo(0.49, 2);
  expect(high).toBeCloseTo(0.943, 2);
  expect(rootedOf(7, 10).wean).toBe(false);
  expect(() => rootedOf(11, 10)).toThrow(/rooted.*11/);
});

test('leafless wood is never misted and stands cool; grey and fleshy leaves want drier air than soft ones', () => {
  const of = (id: string) => cuttings.find((each) => each.id === id)!;
  for (const id of ['currant', 'willow', 'grape', 'fig']) {
    const { leaves, baseC } = of(id);
    expect(cuttingStages.map((stage) => mistIn(leaves, stage, 2))).toEqual([null, null, null, null]);
    expect(baseC).toBeLessThanOrEqual(baseHeatC[leaves].high);
  }
  // 20 °C and 85 %: too dry for a coleus just stuck, right for a lavender.
  const air = vpdKPa(20, 85);
  expect([mistIn(of('coleus').leaves, 'stick', air), mistIn(of('lavender').leaves, 'stick', air)]).toEqual([
    'more',
    'right',
  ]);
  for (const each of cuttings) {
    expect(each.baseC).toBeGreaterThanOrEqual(baseHeatC[each.leaves].low - 5);
    expect(each.baseC).toBeLessThanOrEqual(baseHeatC[each.leaves].high);
  }
});
