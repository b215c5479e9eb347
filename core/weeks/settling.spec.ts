import fc from 'fast-check';
import { evaluateMix } from '#core/mix/evaluate';
import { topStaysWet } from '#core/weeks/lift';
import { airOnceSettled, repotAfterYears, settledAfter, sunkMm, topUpL } from '#core/weeks/settling';
import { materials } from '#testing/library';
import { recipe } from '#testing/recipe';

const of = (parts: Record<string, number>, compaction = 0) =>
  evaluateMix(recipe(parts, { stage: 'potting', vessel: 'pot-11', compaction }));

test('a mix sinks on and on, never back, within its band; mineral ones hardly, wood most', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...materials.map(({ id }) => id)), { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 0, max: 1100 }),
      fc.integer({ min: 0, max: 1100 }),
      (ids, a, b) => {
        const { composition } = of(Object.fromEntries(ids.map((id) => [id, 1])));
        const [early, late] = [
          settledAfter(composition, Math.min(a, b)),
          settledAfter(composition, Math.max(a, b)),
        ];
        for (const { low, high } of [early, late]) {
          expect(low).toBeGreaterThanOrEqual(0);
          expect(high).toBeGreaterThanOrEqual(low);
          expect(high).toBeLessThanOrEqual(0.9);
        }
        expect(late.low).toBeGreaterThanOrEqual(early.low);
        expect(late.high).toBeGreaterThanOrEqual(early.high);
      },
    ),
  );
  expect(settledAfter(of({ 'sand-sharp': 1 }).composition, 365).high).toBeLessThan(0.08);
  expect(settledAfter(of({ 'wood-fibre': 1 }).composition, 365).high).toBeGreaterThan(0.3);
  expect(settledAfter(of({ 'peat-medium': 1 }).composition, 0)).toEqual({ low: 0, high: 0 });
});

test('what was firmed does not settle at the first soak; the top-up is what has sunk', () => {
  const [loose, firm] = [of({ 'peat-medium': 1 }), of({ 'peat-medium': 1 }, 0.1)];
  expect(settledAfter(firm.composition, 1).high).toBeLessThan(0.01);
  const sunk = settledAfter(loose.composition, 1);
  expect(sunk.high).toBeGreaterThan(0.05);
  const { vessel, volumeL } = loose.column;
  expect(topUpL(vessel, sunk).high).toBeCloseTo(volumeL * sunk.high, 12);
  expect(sunkMm(vessel, sunk).low).toBeCloseTo(90 * sunk.low, 9);
  expect(() => settledAfter(loose.composition, -1)).toThrow(/days.*-1/);
});

test('settled mix has less air, and unsettled mix the air of the evaluation', () => {
  const input = recipe(
    { 'peat-medium': 5, 'bark-pine': 3, 'perlite-coarse': 2 },
    { stage: 'potting', vessel: 'pot-11' },
  );
  expect(airOnceSettled(input, 0)).toBeCloseTo(100 * evaluateMix(input).drained.air, 9);
  const airs = [0, 0.05, 0.1, 0.2, 0.3].map((share) => airOnceSettled(input, share));
  for (let i = 1; i < airs.length; i++) expect(airs[i]).toBeLessThan(airs[i - 1]!);
  expect(() => airOnceSettled(input, 0.7)).toThrow(/settled.*0\.7/);
});

test('fine peat stays wet to its top in a flat cell, coarse perlite in a pot does not', () => {
  expect(topStaysWet(evaluateMix(recipe({ 'peat-fine': 1 }, { vessel: 'cell-288' })))).toBe(true);
  expect(topStaysWet(of({ 'perlite-coarse': 3, 'peat-coarse': 1 }))).toBe(false);
});

test('a block that has settled is told by its air after the first dry-down, as it is judged', () => {
  const block = recipe({ 'peat-black': 3, 'peat-fine': 1 }, { vessel: 'block-50', compaction: 0.25 });
  expect(airOnceSettled(block, 0)).toBeCloseTo(100 * evaluateMix(block).airAfterDrydown, 9);
  expect(airOnceSettled(block, 0.05)).toBeLessThan(airOnceSettled(block, 0));
  expect(airOnceSettled(block, 0.05)).toBeGreaterThan(3);
});

test('a gritty mix outlasts one of compost, and one that lacks air from the first is potted again soonest', () => {
  const years = (parts: Record<string, number>): ReturnType<typeof repotAfterYears> => {
    const input = recipe(parts, { stage: 'potting', vessel: 'pot-15' });
    return repotAfterYears(input, evaluateMix(input).composition);
  };
  const gritty = years({ 'bark-pine': 3, scoria: 2, 'grit-granite': 1 });
  const compost = years({ compost: 3, 'wood-fibre': 2 });
  // Sooner at the quick end of the band than at the slow one.
  for (const { early, late } of [gritty, compost]) expect(early ?? 4).toBeLessThanOrEqual(late ?? 4);
  expect(compost.early!).toBeLessThan(gritty.early ?? 4);
});
