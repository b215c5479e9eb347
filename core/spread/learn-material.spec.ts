import { limeScale } from '#core/mix/lime-curve';
import { withPores } from '#core/material/pores';
import { compose } from '#core/mix/composition';
import { dilutionWater, ecMSPerCm } from '#core/mix/salts';
import { columnOf, drain } from '#core/mix/water-air';
import { cohesionOfFalls, learnMaterial } from '#core/spread/learn-material';
import { type LotTest } from '#core/spread/lot-test';
import { sampleReadings } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { amendment, material, materials, vesselKind } from '#testing/library';
import { recipe } from '#testing/recipe';

const pot = vesselKind('pot-9').vessel;
const compost = material('compost');
const figure = (tests: LotTest[], of: string, book = compost) =>
  learnMaterial(book, tests).figures.find((learned) => learned.figure === of)!;

test('nothing tested, nothing moved', () => {
  expect(learnMaterial(compost, [])).toEqual({ material: compost, figures: [] });
});

test('many tests outweigh the book, one moves it part of the way, and each narrows', () => {
  const ph = (n: number) =>
    figure(
      Array.from({ length: n }, () => ({ test: 'ph', ph: 6, method: 'oneToFive' })),
      'ph',
    ).yours;
  expect(compost.ph).toBeGreaterThan(6.5);
  expect(ph(1).mean).toBeLessThan(compost.ph);
  expect(ph(20).mean).toBeCloseTo(6, 1);
  expect([ph(1).sd > ph(2).sd, ph(2).sd > ph(20).sd]).toEqual([true, true]);
});

test('a drain test in any vessel of yours finds the pores that drain so', () => {
  for (const vessel of [pot, vesselKind('cell-72').vessel, vesselKind('pot-13').vessel])
    for (const wider of [0.6, 1.5]) {
      const truth = withPores(material('bark-pine'), wider);
      const air = drain(compose([{ material: truth, parts: 1 }], 0), columnOf(vessel)).air;
      const drainedMl = 1000 * columnOf(vessel).volumeL * air;
      const tests = Array.from({ length: 30 }, (): LotTest => ({ test: 'drain', vessel, drainedMl }));
      const { material: learned } = learnMaterial(material('bark-pine'), tests);
      const now = drain(compose([{ material: learned, parts: 1 }], 0), columnOf(vessel)).air;
      expect(Math.abs(now - air)).toBeLessThan(0.02);
    }
});

test('salts and buffer come back from the readings that they would give', () => {
  const at = compost;
  const ec = ecMSPerCm(90, dilutionWater.oneToFive(at.totalPorosity, at.waterAt10Cm));
  const tests = Array.from({ length: 40 }, (): LotTest => ({ test: 'ec', ec, method: 'oneToFive' }));
  const learned = learnMaterial(compost, tests).material;
  expect(Math.abs(learned.saltsMeqPerL - 90)).toBeLessThan(3);
  // What the salts are made of goes along.
  expect(learned.availableKMgPerL / compost.availableKMgPerL).toBeCloseTo(
    learned.saltsMeqPerL / compost.saltsMeqPerL,
    6,
  );
  const lime = amendment('lime-dolomitic');
  const jar: LotTest = { test: 'jar', lime, gPerL: 4, phBefore: 4, phAfter: 5.6 };
  const buffer = learnMaterial(
    material('peat-fine'),
    Array.from({ length: 40 }, () => jar),
  ).material.bufferMeqPerLPerPh;
  const strength =
    (4 *
      19.98 *
      (lime.ccePct / 100) *
      (lime.passing250UmPct + (lime.passing2360UmPct - lime.passing250UmPct) * lime.coarseCredit)) /
    100;
  // From 4 to 5.6 on the scale of lime: 1 − 10^(−0.5 (7.5 − pH)) of it acts.
  const rise = limeScale(5.6) - limeScale(4);
  expect(rise).toBeGreaterThan(1.6);
  expect(Math.abs(buffer / (strength / rise) - 1)).toBeLessThan(0.02);
});

test('the order of the tests does not matter', () => {
  const tests: LotTest[] = [
    { test: 'dry', wetG: 500, dryG: 270 },
    { test: 'weigh', litres: 10, kg: 6.4 },
    { test: 'ph', ph: 7.4, method: 'oneToTwo' },
    { test: 'falls', falls: 2 },
    { test: 'screen', mm: 6, overPct: 20, largestMm: 12 },
    { test: 'drain', vessel: pot, drainedMl: 60 },
  ];
  const each = learnMaterial(compost, tests).material;
  const other = learnMaterial(compost, [...tests].reverse()).material;
  for (const key of ['ph', 'dryBulkDensityGPerL', 'particleMm', 'waterAt10Cm', 'cohesion'] as const)
    expect(other[key]).toBeCloseTo(each[key], 9);
});

test('block falls as the bench has them', () => {
  expect([0, 1, 2, 4, 9].map(cohesionOfFalls)).toEqual([0.3, 0.5, 0.65, 0.9, 0.9]);
});

test('a tested material has a narrower band than the book, in a mix', () => {
  const tests: LotTest[] = Array.from({ length: 4 }, () => ({ test: 'ph', ph: 4.1, method: 'oneToTwo' }));
  const { material: learned } = learnMaterial(material('peat-fine'), tests);
  const width = (peat: typeof learned): number => {
    const input = recipe({ 'peat-fine': 1 }, { vessel: 'pot-9' });
    const { bands } = sampleReadings(
      { ...input, components: [{ material: peat, parts: 1 }] },
      defaultSpreads,
      1,
      1500,
    );
    const ph = bands.find((b) => b.id === 'ph')!;
    return ph.high - ph.low;
  };
  expect(width(learned)).toBeLessThan(0.6 * width(material('peat-fine')));
});

test('every starter material can be learned of and stays possible', () => {
  for (const each of materials) {
    const tests: LotTest[] = [
      { test: 'drain', vessel: pot, drainedMl: 40 },
      { test: 'ec', ec: 0.4, method: 'oneToFive' },
      { test: 'ph', ph: 6.4, method: 'oneToFive' },
    ];
    const { material: learned } = learnMaterial(each, tests);
    expect(learned.waterAt10Cm).toBeLessThanOrEqual(learned.totalPorosity);
    expect(learned.sure!.phUnits).toBeLessThan(1);
  }
});

test.each<[LotTest, string]>([
  [{ test: 'dry', wetG: 100, dryG: 120 }, 'dryG must be dry of wet {"grams":100}, was 120'],
  [{ test: 'drain', vessel: pot, drainedMl: 5000 }, 'drainedMl must be nine tenths of vessel'],
  [{ test: 'ph', ph: 15, method: 'oneToTwo' }, 'ph must be'],
  [{ test: 'screen', mm: 6, overPct: 10, largestMm: 3 }, 'largestMm must be at least screen {"mm":6}'],
  [
    { test: 'jar', lime: amendment('lime-dolomitic'), gPerL: 2, phBefore: 6, phAfter: 5 },
    'phAfter must be above',
  ],
  [{ test: 'falls', falls: -1 }, 'falls must be'],
])('a reading that cannot be is named (%#)', (lotTest, message) => {
  expect(() => learnMaterial(compost, [lotTest])).toThrow(message);
});

test('a jar on the plateau of carbonate tells nothing of the buffer, and spoils nothing', () => {
  const jar = (phAfter: number): LotTest => ({
    ...{ test: 'jar', lime: amendment('lime-dolomitic'), gPerL: 12, phBefore: 4, phAfter },
  });
  const book = material('peat-fine').bufferMeqPerLPerPh;
  const learned = (...tests: LotTest[]) =>
    learnMaterial(material('peat-fine'), tests).material.bufferMeqPerLPerPh;
  expect([learned(jar(7.6)), learned(jar(8.2))]).toEqual([book, book]);
  expect(learned(jar(7.6), jar(6))).toBe(learned(jar(6)));
});
