import { type Material } from '#core/material/material';
import fc from 'fast-check';
import { waterAt, retentionOf } from '#core/material/retention';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { columnOf, drain } from '#core/mix/water-air';
import { material, materials } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';
import { areaAtMm2, fillDepthMm, type Vessel } from '#core/vessel/vessel';

const someParts = fc.dictionary(
  fc.constantFrom(...materials.map((m) => m.id)),
  fc.integer({ min: 1, max: 12 }),
  { minKeys: 1, maxKeys: 6, noNullPrototype: true },
);
const someVessel = fc.constantFrom('cell-288', 'cell-72', 'block-40', 'pot-9', 'pot-15', 'flat');

describe('water and air in the vessel', () => {
  const half: Record<string, number> = { 'peat-medium': 1, 'vermiculite-medium': 1 };
  const airPct = (vessel: Vessel): number => evaluateMix(recipe(half, { vessel })).drained.air * 100;

  test('the integral over the height, against a closed form: n = 2 in a straight column', () => {
    // For n = 2, ∫ (1 + (αh)²)^(−1/2) dh = asinh(αd)/α.
    const curve = { thetaS: 0.9, thetaR: 0.2, alphaPerCm: 0.15, n: 2, airEntryCm: 0 };
    const straight: Vessel = { shape: 'block', edgeMm: [60, 60], depthMm: 120 };
    const column = columnOf(straight);
    let ours = 0;
    column.heightsMm.forEach((mm, k) => (ours += column.weights[k]! * waterAt(curve, mm / 10)));
    published({
      what: 'mean water of a 12 cm column, n = 2',
      source: 'closed form, asinh',
      published: 0.2 + (0.7 * Math.asinh(0.15 * 12)) / (0.15 * 12),
      ours,
      unit: 'L/L',
      within: 1e-9,
    });
  });

  test('the forty heights agree with a hundred thousand', () => {
    const input = recipe({ 'peat-fine': 2, 'coir-fibre': 1, pumice: 1 }, { vessel: 'pot-15' });
    const composition = compose(input.components, 0.1);
    const depth = fillDepthMm(input.vessel);
    // Pores narrow as they are pressed: Assouline, Vadose Zone J. 5:554 (2006) (from memory).
    const dc = 1 / 0.9;
    // Mixing takes its volume from pores of every size alike.
    const mean = (what: (m: Material) => number): number =>
      composition.parts.reduce((s, p, i) => s + composition.shares[i]! * what(p.material), 0);
    const loose = 1 - mean((m) => 1 - m.totalPorosity) / (1 - composition.shrinkage);
    const kept = loose / mean((m) => m.totalPorosity);
    const bound = kept * mean((m) => retentionOf(m).thetaR);
    const pores = 1 - (1 - loose) * dc;
    expect(composition.totalPorosity).toBeCloseTo(pores, 12);
    let water = 0;
    let volume = 0;
    const N = 100_000;
    for (let k = 0; k < N; k++) {
      const mm = (depth * (k + 0.5)) / N;
      const area = areaAtMm2(input.vessel, mm);
      const held = Math.min(loose, kept * mean((m) => waterAt(retentionOf(m), mm / 10 / dc ** 3.97)));
      const share = (held - bound) / (loose - bound);
      water += area * Math.min(pores, dc * bound + (pores - dc * bound) * share);
      volume += area;
    }
    // A kink where the pores are full costs a little of the exactness of the panels.
    expect(Math.abs(drain(composition, columnOf(input.vessel)).water - water / volume)).toBeLessThan(1e-4);
  });

  test('a deeper vessel of the same mix holds more air', () => {
    const at = (depthMm: number): number =>
      airPct({ shape: 'rect', topMm: [50, 50], baseMm: [50, 50], depthMm, headspaceMm: 0 });
    const depths = [20, 40, 60, 90, 140, 200].map(at);
    expect(depths).toEqual([...depths].sort((a, b) => a - b));
  });
});

describe('balances that hold for any parts', () => {
  test('solids, water and air fill the vessel; mass is what went in', () => {
    fc.assert(
      fc.property(someParts, someVessel, (parts, vessel) => {
        const e = evaluateMix(recipe(parts, { vessel }));
        const c = e.composition;
        const solids =
          c.densification * c.parts.reduce((s, p, i) => s + c.shares[i]! * (1 - p.material.totalPorosity), 0);
        expect(solids + e.drained.water + e.drained.air).toBeCloseTo(1, 9);
        const looseLitres = c.densification * e.column.volumeL;
        const dryGrams = c.parts.reduce(
          (s, p, i) => s + c.shares[i]! * looseLitres * p.material.dryBulkDensityGPerL,
          0,
        );
        expect(e.wetWeightG).toBeCloseTo(dryGrams + 1000 * e.column.volumeL * e.drained.water, 6);
        expect(e.column.weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      }),
    );
  });

  test('nothing is ever not a number, and nothing leaves its physical range', () => {
    fc.assert(
      fc.property(someParts, someVessel, fc.constantFrom(0, 0.05, 0.2), (parts, vessel, compaction) => {
        const e = evaluateMix(
          recipe(parts, { vessel, compaction, limeToPh: 6, doses: { 'calcium-nitrate': 0.3 } }),
        );
        for (const share of [
          e.drained.air,
          e.drained.water,
          e.airAfterDrydown,
          e.peat,
          e.cohesion,
          e.waterAt10Cm,
        ]) {
          expect(share).toBeGreaterThanOrEqual(0);
          expect(share).toBeLessThanOrEqual(1);
        }
        for (const value of [
          e.ph,
          e.ecSaturatedMSPerCm,
          e.ecDisplacedMSPerCm,
          e.wetWeightG,
          e.availableWaterMl,
        ]) {
          expect(Number.isFinite(value) && value >= 0).toBe(true);
        }
      }),
    );
  });

  test('more coarse perlite never lowers total air by more than shrinkage explains', () => {
    const air = (parts: Record<string, number>) => evaluateMix(recipe(parts, { vessel: 'pot-15' }));
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), fc.integer({ min: 1, max: 10 }), (peat, perlite) => {
        const before = air({ 'peat-fine': peat, 'perlite-coarse': perlite });
        const after = air({ 'peat-fine': peat, 'perlite-coarse': perlite + 1 });
        // What extra settling can take: the loose pores that vanish.
        const settling = Math.max(0, after.composition.densification / before.composition.densification - 1);
        expect(after.drained.air).toBeGreaterThan(before.drained.air - settling);
      }),
    );
  });

  test('parts count by proportion only', () => {
    const once = evaluateMix(recipe({ 'peat-fine': 3, 'perlite-fine': 1 }));
    const many = evaluateMix(recipe({ 'peat-fine': 9, 'perlite-fine': 3 }));
    expect(many.drained.air).toBeCloseTo(once.drained.air, 9);
    expect(many.ph).toBeCloseTo(once.ph, 9);
  });

  test('firming takes the air first', () => {
    const firmed = (compaction: number) =>
      evaluateMix(recipe({ 'peat-medium': 3, 'perlite-coarse': 1 }, { vessel: 'pot-11', compaction }))
        .drained;
    expect(firmed(0.1).air).toBeLessThan(firmed(0).air);
    expect(firmed(0.1).water).toBeGreaterThan(firmed(0).water);
  });
});

test('firming that would leave no pores is refused with what is possible', () => {
  expect(() => evaluateMix(recipe({ 'sand-fine': 1 }, { compaction: 0.5 }))).toThrow(
    /compactionPct must be leaves pores .*41\.3/,
  );
  expect(() => evaluateMix(recipe({ 'sand-fine': 1 }, { compaction: 0.412 }))).not.toThrow();
});

test.each([NaN, 0, -1, Infinity, 1e9])('bad parts are refused by place: %p', (parts) => {
  expect(() => compose([{ material: material('peat-fine'), parts }], 0)).toThrow(
    /components\.0\.parts must be a number/,
  );
});

test('none or too many materials are refused', () => {
  expect(() => compose([], 0)).toThrow('components must be 1 to 30 materials, was 0');
  expect(() =>
    compose(
      Array.from({ length: 31 }, () => ({ material: material('peat-fine'), parts: 1 })),
      0,
    ),
  ).toThrow('was 31');
});
