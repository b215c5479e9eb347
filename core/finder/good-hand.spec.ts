import {
  formulated,
  searchAll,
  starterFor,
  fastAndLimits,
  type FinderJob,
  type Formulated,
} from '#core/finder/formulate';
import { rankedByOdds, twoBeforeOne } from '#core/finder/compare';
import { judgeMix } from '#core/judge/judge';
import { recipe } from '#testing/recipe';
import { Odds } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { usualEdges, UsualShares } from '#core/finder/usual-shares';
import { evaluateMix } from '#core/mix/evaluate';
import { stages } from '#core/mix/stage';
import { approaches, windowsOfApproach } from '#core/recipe/approaches';
import { windowsWanted } from '#core/recipe/windows-wanted';
import { finderJob } from '#testing/finder';
import { amendments, material, vesselKind } from '#testing/library';

const amendmentsById = new Map(amendments.map((each) => [each.id, each]));

/** What a practitioner expects of a search: common practice, no source. */
function best(ids: string[], kind: string, change: Partial<FinderJob>, count = 3): Formulated[] {
  const { vessel, usualCompaction: compaction } = vesselKind(kind);
  const job = finderJob(ids, { vessel, compaction, maxTotal: 10, ...change });
  const { fast, limits } = fastAndLimits(job);
  return searchAll(fast, limits, count).best.map((found) => formulated(job, fast, found.parts));
}

const share = ({ parts }: Formulated, id: string): number =>
  (parts[id] ?? 0) / Object.values(parts).reduce((a, b) => a + b, 0);

test('peat, perlite and vermiculite for a 72-cell tray: a peat-led mix of the familiar kind is among the first three', () => {
  const found = best(['peat-fine', 'perlite-coarse', 'vermiculite-medium'], 'cell-72', {});
  const familiar = found.map((f) => Object.values(f.parts).join(':'));
  expect(familiar.some((parts) => ['2:1', '3:1', '1:1:1'].includes(parts))).toBe(true);
  for (const f of found) {
    expect([f.score, f.unusual]).toEqual([0, []]);
    expect(share(f, 'peat-fine')).toBeGreaterThanOrEqual(1 / 3);
  }
});

test('bark, peat and sand for a 3 L pot: bark leads, sand is at most a quarter', () => {
  const vessel = { shape: 'round', topMm: 170, baseMm: 130, depthMm: 170, headspaceMm: 15 } as const;
  const found = best(['bark-pine', 'peat-medium', 'sand-sharp'], 'pot-15', { stage: 'potting', vessel });
  const [first] = found;
  expect(share(first!, 'bark-pine')).toBeGreaterThanOrEqual(share(first!, 'peat-medium'));
  for (const f of found) expect(share(f, 'sand-sharp')).toBeLessThanOrEqual(0.25);
});

test('compost and sand for a 50 mm block: never sand-led', () => {
  for (const f of best(['compost', 'sand-sharp'], 'block-50', { stage: 'seedling' }, 10))
    expect(share(f, 'sand-sharp')).toBeLessThan(0.5);
});

const laughable: [string, string, number][] = [
  ['peat-fine', 'vermiculite-fine', 8],
  ['peat-fine', 'vermiculite-medium', 8],
  ['peat-fine', 'sand-sharp', 7],
  ['peat-medium', 'sand-fine', 7],
  ['peat-medium', 'perlite-coarse', 9],
];
describe.each(stages)('what would be laughed at never leads, %s', (stage) => {
  test.each(['cell-288', 'cell-72', 'block-50', 'pot-9', 'pot-15'])('in %s', (kind) => {
    for (const [base, other, parts] of laughable) {
      const [first] = best([base, other], kind, { stage }, 1);
      expect(share(first!, other)).toBeLessThan(parts / (parts + 1) - 0.1);
    }
    for (const sand of ['sand-sharp', 'sand-fine']) {
      const [first] = best([sand, 'peat-fine', 'bark-pine', 'perlite-fine'], kind, { stage }, 1);
      expect(share(first!, sand)).toBeLessThan(0.5);
    }
  });
});

test('pure sharp sand in a 27 mm plug has under 2 % air', () => {
  const { drained } = evaluateMix({
    ...{ stage: 'germination', compaction: 0, amendments: [] },
    vessel: { shape: 'rect', topMm: [20, 20], baseMm: [12, 12], depthMm: 27, headspaceMm: 0 },
    components: [{ material: material('sand-sharp'), parts: 1 }],
  });
  expect(drained.air).toBeLessThan(0.02);
});

describe('two is better than one', () => {
  const listed = (ids: string[], kind: string, change: Partial<FinderJob>) => {
    const found = best(ids, kind, change, 24);
    const odds = new Odds(
      found.map(({ judgement }) => judgement.input),
      defaultSpreads,
      1,
    );
    odds.draw(300);
    const all = found.map((each, i) => ({ found: each, odds: odds.result()[i]! }));
    return { all, order: twoBeforeOne(rankedByOdds(all), (each) => each) };
  };
  const alone = ({ found }: { found: Formulated }): boolean => Object.keys(found.parts).length === 1;

  test.each([
    ['potting', 'pot-11', ['coir-pith', 'compost', 'perlite-coarse', 'bark-pine']],
    ['germination', 'cell-288', ['peat-fine', 'perlite-fine', 'vermiculite-fine']],
    ['seedling', 'pot-9', ['peat-medium', 'perlite-coarse', 'compost']],
  ] as const)(
    '%s into %s: a single material is behind the best of two or three with half its odds',
    (stage, kind, ids) => {
      const { all, order } = listed([...ids], kind, { stage, starter: starterFor(stage, amendmentsById) });
      expect(new Set(order)).toEqual(new Set(all));
      order.filter(alone).forEach((neat) => {
        const few = all.filter(
          (each) =>
            !alone(each) &&
            Object.keys(each.found.parts).length <= 3 &&
            each.odds >= neat.odds / 2 &&
            each.found.judgement.flags.every(({ severity }) => severity !== 'stop'),
        );
        if (few.length > 0)
          expect(Math.min(...few.map((each) => order.indexOf(each)))).toBeLessThan(order.indexOf(neat));
      });
      // None comes first that says stop itself, where there is one that does not.
      const stops = (each: { found: Formulated }): boolean =>
        each.found.judgement.flags.some(({ severity }) => severity === 'stop');
      if (all.some((each) => !stops(each))) expect(stops(order[0]!)).toBe(false);
    },
  );

  test('pure coir for pots led this list; a bag of mix by itself may lead', () => {
    const { all, order } = listed(['coir-pith', 'compost', 'perlite-coarse', 'bark-pine'], 'pot-11', {
      stage: 'potting',
      starter: starterFor('potting', amendmentsById),
    });
    expect([alone(rankedByOdds(all)[0]!), alone(order[0]!)]).toEqual([true, false]);
    const of = (parts: Record<string, number>) => ({
      found: {
        ...all[0]!.found,
        parts,
        judgement: judgeMix(recipe(parts, { stage: 'potting', vessel: 'pot-11' })),
      },
      odds: 0.9,
    });
    const bag = [of({ 'bag-potting-mix': 1 }), of({ 'bag-potting-mix': 3, 'perlite-coarse': 1 })];
    expect(twoBeforeOne(bag, (each) => each)).toEqual(bag);
  });
});

describe('usual shares', () => {
  const ids = ['peat-fine', 'perlite-coarse', 'sand-sharp', 'compost'];
  const shelf = ids.map(material);
  const cell = vesselKind('cell-72').vessel;
  const usual = new UsualShares('germination', cell, shelf);
  const cost = (parts: number[]): number =>
    usual.cost(
      [0, 1, 2, 3],
      parts,
      parts.reduce((a, b) => a + b, 0),
    );

  test('soft edges: nothing inside, a fifth of a window for each point beyond', () => {
    expect(cost([8, 2, 0, 0])).toBe(0);
    // A fifth sand where a tenth is usual, in a small cell.
    expect(cost([8, 0, 2, 0])).toBeCloseTo(20 * 0.1, 9);
    // A quarter compost under seed where 15 % is usual.
    expect(cost([6, 0, 0, 2])).toBeCloseTo(20 * 0.1, 9);
    expect(usual.said([0, 3], [6, 2])).toEqual([
      { what: 'compost', share: 0.25, atMost: 0.15, reason: 'salty-alive' },
    ]);
  });

  test('led by no base, or half sand: last', () => {
    expect(cost([1, 2, 0, 0])).toBeGreaterThan(1000);
    expect(cost([5, 0, 5, 0])).toBeGreaterThan(1000);
    expect(cost([1, 1, 0, 0])).toBe(0);
    // With no base on the shelf there is nothing to compare.
    expect(new UsualShares('germination', cell, [material('perlite-coarse')]).cost([0], [1], 1)).toBe(
      20 * 0.5,
    );
  });

  test('an approach moves its own edges', () => {
    const own = new UsualShares('germination', cell, shelf, { edges: { compost: 0.5 }, noBaseNeeded: true });
    expect(own.cost([0, 3], [6, 2], 8)).toBe(0);
    expect(own.cost([0, 1], [1, 1.5], 2.5)).toBeCloseTo(20 * 0.1, 9);
  });

  test('a living way of growing tries compost and castings at their usual share, where the shelf has them', () => {
    const living = approaches.find(({ id }) => id === 'living-compost')!;
    const ids = ['coir-pith', 'bark-pine', 'rice-hulls', 'compost', 'castings', 'sand-sharp'];
    const { vessel, usualCompaction: compaction } = vesselKind('pot-13');
    for (const stage of ['seedling', 'potting'] as const) {
      const windows = windowsWanted(stage, undefined, windowsOfApproach(living));
      const job = { vessel, compaction, maxTotal: 10, stage, ...(windows && { windows }) };
      const alive = best(ids, 'pot-13', { ...job, habits: living.habits! });
      for (const each of alive) {
        expect(share(each, 'compost') + share(each, 'castings')).toBeGreaterThanOrEqual(0.15);
        expect(each.unusual).toEqual([]);
      }
      const at = new UsualShares(stage, vessel, ids.map(material), living.habits);
      expect(at.cost([1], [1], 1)).toBeCloseTo(20 * 0.15, 9);
      expect(at.said([1], [1]).map(({ reason }) => reason)).toContain('no-living');
    }
    // Nothing that lives on the shelf: nothing to ask for.
    const none = new UsualShares('potting', vessel, [material('coir-pith')], living.habits);
    expect(none.cost([0], [1], 1)).toBe(0);
  });

  test('over a litre, where bark is on the shelf, peat and coir are at most half', () => {
    const large = vesselKind('pot-15').vessel;
    const edges = (...some: string[]): string[] =>
      usualEdges('potting', large, some.map(material)).map((e) => e.id);
    expect(edges('peat-medium', 'bark-pine')).toContain('peat-and-coir');
    expect(edges('peat-medium', 'perlite-coarse')).not.toContain('peat-and-coir');
  });
});
