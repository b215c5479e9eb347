import fc from 'fast-check';
import { oversizeOf, screened } from '#core/material/screened';
import { waterOf } from '#core/material/retention';
import { mixInputOf } from '#core/recipe/recipe';
import { judgeMix } from '#core/judge/judge';
import { adviseOn } from '#core/advise/advise';
import { evaluateMix } from '#core/mix/evaluate';
import { partOf } from '#core/mix/composition';
import { sketch } from '#core/recipe/sketch';
import { library, material, materials, vesselKind } from '#testing/library';

test('a wider screen than the largest piece changes nothing', () => {
  const peat = material('peat-medium');
  expect(screened(peat, 10)).toEqual({ material: peat, oversizeShare: 0 });
  expect(() => screened(peat, 0.4)).toThrow('screenedMm must be a number from 0.5 to 50, was 0.4');
});

test('finer by the screen: smaller pieces, no less water at any suction, more left on the screen, whatever the material', () => {
  const any = fc.record({
    of: fc.constantFrom(...materials),
    mm: fc.double({ min: 0.5, max: 20, noNaN: true }),
    suction: fc.double({ min: 0, max: 120, noNaN: true }),
  });
  fc.assert(
    fc.property(any, ({ of, mm, suction }) => {
      const { material: through, oversizeShare } = screened(of, mm);
      expect(through.maxParticleMm).toBe(Math.min(mm, of.maxParticleMm));
      expect(through.particleMm).toBeLessThanOrEqual(of.particleMm);
      expect(waterOf(through, suction)).toBeGreaterThanOrEqual(waterOf(of, suction) - 1e-9);
      expect(oversizeShare).toBeGreaterThanOrEqual(0);
      expect(oversizeShare).toBeLessThanOrEqual(0.95);
      const wider = screened(of, mm * 1.2);
      expect(wider.oversizeShare).toBeLessThanOrEqual(oversizeShare);
    }),
  );
});

test('screened bark has less air in the same pot', () => {
  const air = (mm?: number): number =>
    evaluateMix({
      ...{ stage: 'potting', compaction: 0, amendments: [] },
      vessel: vesselKind('pot-11').vessel,
      components: [partOf(material('bark-pine'), 1, mm)],
    }).drained.air;
  expect(air(5)).toBeLessThan(air() - 0.01);
});

test.each([
  ['cell-288', { 'bark-pine': 1, 'leaf-mould': 2 }],
  ['block-20', { 'peat-coarse': 2, 'bark-pine': 1 }],
])('%s has a way to be right: finer, or without it', (vessel, parts) => {
  const mix = sketch('germination', vessel, parts, { firmPct: 0 });
  const { ways } = adviseOn(mix, library).findings.find(({ subject }) => subject === 'pieces')!;
  expect(ways.length).toBeGreaterThan(0);
  for (const { attempt } of ways) {
    const after = judgeMix(mixInputOf(attempt.recipe, library), { library });
    expect(after.readings.find((r) => r.id === 'overSize')!.verdict).toBe('ok');
  }
});

test('what stays on the screen is coarser and drains more than what goes through', () => {
  for (const of of materials.filter((m) => m.maxParticleMm > 6)) {
    const [over, through] = [oversizeOf(of, 5), screened(of, 5).material];
    expect(over.particleMm).toBeGreaterThan(through.particleMm);
    for (const suction of [5, 10, 50])
      expect(waterOf(over, suction)).toBeLessThanOrEqual(waterOf(through, suction) + 1e-9);
  }
  expect(() => oversizeOf(material('perlite-fine'), 5)).toThrow(
    'apertureMm must be under largest {"fromMm":0.5,"underMm":2}, was 5',
  );
});
