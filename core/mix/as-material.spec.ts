import { materialFromRow } from '#core/material/material';
import { asMaterial } from '#core/mix/as-material';
import { compose } from '#core/mix/composition';
import { evaluateMix, type MixInput } from '#core/mix/evaluate';
import { labelMgPerL, releasedMgPerL } from '#core/mix/release';
import { mixInputOf } from '#core/recipe/recipe';
import { approaches } from '#core/recipe/approaches';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library } from '#testing/library';

const fresh = { weeks: 0, celsius: 18 };
const mixes = [
  ...Object.values(starterMixes),
  ...approaches.flatMap((approach) => Object.values(approach.mixes)),
].map((recipe) => mixInputOf(recipe, library));

const made = (input: MixInput, age = fresh) => {
  const evaluation = evaluateMix(input);
  const row = asMaterial(evaluation, compose(input.components, 0), { id: 'own-mix', name: 'Our mix' }, age);
  return { evaluation, material: materialFromRow(row) };
};
const alone = (input: MixInput, age = fresh) => {
  const { evaluation, material } = made(input, age);
  const { limeToPh: _, ...bare } = input;
  return {
    was: evaluation,
    is: evaluateMix({ ...bare, amendments: [], components: [{ material, parts: 1 }] }),
  };
};

test('a mix that is a part, all by itself, reads as the mix did', () => {
  expect(mixes.length).toBeGreaterThan(20);
  for (const input of mixes) {
    const { was, is } = alone(input);
    // One curve through four points is not the sum of several curves.
    expect(Math.abs(is.drained.air - was.drained.air)).toBeLessThan(0.035);
    expect(is.composition.totalPorosity).toBeCloseTo(was.composition.totalPorosity, 6);
    expect(is.composition.dryBulkDensityGPerL).toBeCloseTo(was.composition.dryBulkDensityGPerL, 6);
    expect(Math.abs(is.ph - was.ph)).toBeLessThan(0.02);
    expect(is.elementsMgPerL.n).toBeCloseTo(was.elementsMgPerL.n, 6);
    expect(is.peat).toBeCloseTo(was.peat, 9);
    expect(is.saltsMeqPerL).toBeCloseTo(was.saltsMeqPerL, 6);
  }
});

test('sixty to forty of two mixes lies between them, with its peat and its nitrogen', () => {
  const [a, b] = [starterMixes.germination, starterMixes.potting].map((recipe) =>
    mixInputOf(recipe, library),
  );
  const [one, two] = [made(a!), made(b!)];
  const both = evaluateMix({
    ...b!,
    limeToPh: undefined,
    amendments: [],
    components: [
      { material: { ...one.material, id: 'own-one' }, parts: 60 },
      { material: { ...two.material, id: 'own-two' }, parts: 40 },
    ],
  });
  expect(both.peat).toBeCloseTo(0.6 * one.evaluation.peat + 0.4 * two.evaluation.peat, 9);
  const d = both.composition.densification;
  const n = (of: typeof one): number => of.material.availableNMgPerL;
  expect(both.elementsMgPerL.n).toBeCloseTo(d * (0.6 * n(one) + 0.4 * n(two)), 6);
});

test('feed is neither lost nor doubled as a mix grows old', () => {
  const product = (id: string) => ({ amendment: library.amendments.get(id)!, gPerL: 2 });
  const feeds = [...library.amendments.values()].filter((a) => a.kind === 'coated' || a.kind === 'organic');
  expect(feeds.length).toBeGreaterThan(5);
  for (const feed of feeds) {
    const { limeToPh: _, ...input } = { ...mixInputOf(starterMixes.potting, library), compaction: 0 };
    const dosed = { ...input, amendments: [product(feed.id)] };
    const base = evaluateMix({ ...input, amendments: [] }).elementsMgPerL.n;
    for (const weeks of [0, 2, 5]) {
      const age = { weeks, celsius: 20 };
      const { is } = alone(dosed, age);
      for (const later of [1, 6]) {
        const free = is.elementsMgPerL.n - base + releasedMgPerL(is.carried, 'n', later, 20);
        expect(free).toBeCloseTo(releasedMgPerL(dosed.amendments, 'n', weeks + later, 20), 4);
      }
      expect(labelMgPerL(is.carried, 'n')).toBeLessThanOrEqual(labelMgPerL(dosed.amendments, 'n') + 1e-9);
    }
  }
});

test('an age that cannot be is named', () => {
  expect(() => made(mixes[0]!, { weeks: 500, celsius: 20 })).toThrow('weeks must be a number from 0 to 200');
});
