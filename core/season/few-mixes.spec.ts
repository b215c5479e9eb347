import fc from 'fast-check';
import { noPreferences } from '#core/finder/fast-spec';
import { fastAndLimits, type FinderJob, searchAll, starterFor } from '#core/finder/formulate';
import { type Base, fewestCovering, FewMixes } from '#core/season/few-mixes';
import { type Stage } from '#core/mix/stage';
import { amendment, library, material, vesselKind } from '#testing/library';

const job = (stage: Stage, vessel: string, shelf: readonly string[]): FinderJob => ({
  ...{ stage, vessel: vesselKind(vessel).vessel, compaction: 0, maxTotal: 6, minParts: {}, maxParts: {} },
  ...{ materialsMax: 3, peatMax: 1, preferences: noPreferences, fixedDoses: [] },
  lime: amendment('lime-dolomitic'),
  starter: starterFor(stage, library.amendments),
  shelved: shelf.map((id) => ({ material: material(id) })),
});
const shelf = ['peat-fine', 'peat-medium', 'perlite-coarse', 'vermiculite-medium', 'bark-pine'];

test('every recipe is looked at, and a case alone finds what the finder finds', () => {
  const finderJob = job('seedling', 'pot-9', shelf);
  const few = new FewMixes([finderJob]);
  let steps = 0;
  while (!few.step(100)) steps++;
  expect(steps).toBeGreaterThan(1);
  const found = few.result();
  const { fast, limits } = fastAndLimits(finderJob);
  const best = searchAll(fast, limits, 1).best[0]!;
  expect(found.chosen).toHaveLength(1);
  expect(found.chosen[0]!.scores[0]).toBeCloseTo(best.score, 9);
  expect(few.progress).toBe(1);
});

test('each chosen base stands inside every window that it is chosen for, judged by the plain path', () => {
  const jobs = [
    job('germination', 'cell-72', shelf),
    job('potting', 'pot-11', shelf),
    job('rooting', 'pot-9', shelf),
  ];
  const few = new FewMixes(jobs);
  while (!few.step(5000));
  const { chosen, impossible, further } = few.result();
  for (const base of chosen)
    jobs.forEach((_, c) => {
      if (!(base.mask & (1 << c))) return;
      const { judgement } = few.formulated(base, c);
      expect(judgement.readings.filter((r) => r.verdict !== 'ok').map((r) => r.id)).toEqual([]);
    });
  const covered = chosen.reduce((mask, base) => mask | base.mask, 0);
  expect(impossible).toEqual([0, 1, 2].filter((c) => !(covered & (1 << c))));
  // A further one never costs, and each gains less than the one before.
  const gains = further.map(({ gains }) => gains.reduce((sum, { from, to }) => sum + from - to, 0));
  gains.forEach((gain, i) => expect(gain).toBeGreaterThan(gains[i + 1] ?? 0));
});

const anyBase = fc
  .tuple(
    fc.integer({ min: 1, max: 63 }),
    fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 6, maxLength: 6 }),
  )
  .map(([mask, costs]): Base => ({
    parts: new Uint8Array(1),
    mask,
    scores: costs.map((cost, c) => (mask & (1 << c) ? cost : Infinity)),
  }));

test('no smaller set covers: as many as trying every subset finds', () => {
  fc.assert(
    fc.property(fc.array(anyBase, { minLength: 1, maxLength: 9 }), (bases) => {
      const whole = bases.reduce((mask, base) => mask | base.mask, 0);
      const chosen = fewestCovering(bases, whole);
      expect(chosen.reduce((mask, base) => mask | base.mask, 0)).toBe(whole);
      let fewest = Infinity;
      for (let subset = 1; subset < 1 << bases.length; subset++) {
        const those = bases.filter((_, i) => subset & (1 << i));
        if (those.reduce((mask, base) => mask | base.mask, 0) === whole)
          fewest = Math.min(fewest, those.length);
      }
      expect(chosen).toHaveLength(fewest);
    }),
  );
});

test('no kind of step at all, or too many, is named', () => {
  expect(() => new FewMixes([])).toThrow('1 to 24 step-kinds');
});
