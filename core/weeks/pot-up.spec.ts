import fc from 'fast-check';
import { evaluateMix } from '#core/mix/evaluate';
import { phasesAt } from '#core/mix/water-air';
import { type Recipe } from '#core/recipe/recipe';
import { potUp, thirstMl } from '#core/weeks/pot-up';
import { type Vessel } from '#core/vessel/vessel';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

const plug: Vessel = { shape: 'rect', topMm: [20, 20], baseMm: [13, 13], depthMm: 28, headspaceMm: 0 };
/** So tall that a ball at its surface stands with its base 60 mm up. */
const pot: Vessel = { shape: 'round', topMm: 110, baseMm: 80, depthMm: 98, headspaceMm: 10 };
const made = (parts: Record<string, number>, vessel: Vessel, stage: Recipe['stage'] = 'potting') =>
  evaluateMix({ ...recipe(parts), stage, vessel, compaction: 0 });
const fine = made({ 'peat-fine': 1 }, plug);
const around = made({ 'peat-medium': 5, 'bark-pine': 3, 'perlite-coarse': 2 }, pot);

test('fine peat in a 28 mm plug: no air on its own base, about a tenth when its base stands 60 mm up', () => {
  const { before, after, baseMm } = potUp(fine, around);
  expect(baseMm).toBe(60);
  published({
    what: 'air of the plug on its own base',
    source: 'check value of model section 21: nearly none',
    published: 0,
    ours: before.airPct,
    unit: '%',
    within: 1,
  });
  published({
    what: 'air of the same plug in the pot',
    source: 'check value of model section 21',
    published: 11,
    ours: after.airPct,
    unit: '%',
    within: 1,
  });
});

test('a pressed block is compared as Mix judges it, after its first dry-down', () => {
  const block: Vessel = { shape: 'block', edgeMm: [50, 50], depthMm: 50 };
  const parts = { 'peat-black': 3, 'peat-fine': 1 };
  const ball = evaluateMix({ ...recipe(parts), stage: 'seedling', vessel: block, compaction: 0.25 });
  const { before, after } = potUp(ball, around);
  expect(before.airPct).toBeCloseTo(100 * ball.airAfterDrydown, 9);
  // Freshly watered it is all but saturated in both places; higher up it drains a little more.
  expect(before.airPct).toBeGreaterThan(5);
  expect(after.airPct).toBeGreaterThanOrEqual(before.airPct);
  expect(after.airPct + after.waterPct).toBeCloseTo(100 * ball.composition.totalPorosity, 9);
});

test('at the joint the ball has the water that it would have in a column of its own mix as tall as the pot', () => {
  const column = made({ 'peat-fine': 1 }, { ...pot, headspaceMm: 10 });
  const { drained, baseMm } = potUp(fine, around);
  for (const mm of [3, 10, 20, 26]) {
    const here = phasesAt(fine.composition, fine.column, drained, mm);
    const present = phasesAt(column.composition, column.column, column.drained, baseMm + mm);
    expect(here.water).toBeCloseTo(present.water, 3);
  }
});

test('fine in coarse stays wetter than what is around it, coarse in fine is drawn dry, alike is alike', () => {
  const coarse = made({ 'perlite-coarse': 7, 'peat-coarse': 3 }, plug);
  const finePot = made({ 'peat-fine': 1 }, pot);
  expect(potUp(fine, made({ 'perlite-coarse': 7, 'peat-coarse': 3 }, pot)).joint).toBe('ball-wetter');
  expect(potUp(coarse, finePot).joint).toBe('mix-wetter');
  expect(potUp(fine, finePot).joint).toBe('alike');
});

test('deeper is wetter; mix under and around the ball fills the pot; all pores stay water or air', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), (a, b) => {
      const [shallow, deep] = [potUp(fine, around, Math.min(a, b)), potUp(fine, around, Math.max(a, b))];
      expect(deep.after.airPct).toBeLessThanOrEqual(shallow.after.airPct + 1e-9);
      expect(deep.belowL).toBeLessThanOrEqual(shallow.belowL + 1e-12);
      expect(shallow.mixL + fine.column.volumeL).toBeCloseTo(around.column.volumeL, 12);
      expect(shallow.belowL).toBeLessThan(shallow.mixL);
      const { airPct, waterPct } = deep.after;
      expect(airPct + waterPct).toBeCloseTo(100 * fine.composition.totalPorosity, 9);
      // What it loses of water it gains of air.
      expect(deep.drawnMl).toBeCloseTo(
        (1000 * fine.column.volumeL * (deep.after.airPct - deep.before.airPct)) / 100,
        9,
      );
    }),
  );
});

test('a pot too shallow, too narrow or too small is named with what would do', () => {
  expect(() => potUp(fine, around, 70)).toThrow(/deeperMm must be deeper in pot .*60.*, was 70/);
  const low: Vessel = { ...pot, depthMm: 30 };
  expect(() => potUp(fine, made({ 'peat-fine': 1 }, low))).toThrow(/pot filled deeper .*28.*20/);
  const narrow: Vessel = { shape: 'round', topMm: 18, baseMm: 16, depthMm: 90, headspaceMm: 5 };
  expect(() => potUp(fine, made({ 'peat-fine': 1 }, narrow))).toThrow(/too narrow/);
});

test('a dry ball takes what has gone of its water', () => {
  expect(thirstMl(fine, 0)).toBe(0);
  expect(thirstMl(fine, 1)).toBeCloseTo(fine.availableWaterMl, 12);
  expect(() => thirstMl(fine, 1.5)).toThrow(/gone.*1\.5/);
});
