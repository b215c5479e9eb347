import { metric } from '#testing/readers';
import { read } from '#words/read';
import fc from 'fast-check';
import { erf } from 'mathjs';
import { careOf, coldTonight } from '#core/plants/care';
import { rankCauses, weightsOf } from '#core/plants/causes';
import { type CauseId, causeIds } from '#core/plants/cause-table';
import { type Surroundings } from '#core/plants/found';
import {
  besideTheMix,
  medianRead,
  nextTime,
  type Suspect,
  suspectsOf,
  unexplained,
} from '#core/plants/next-time';
import { checkEvent, type KeptEvent, type PlantEvent, type Planting, tallyOf } from '#core/plants/planting';
import {
  blocksTell,
  chiSquareTail,
  trayWarning,
  traysDiffer,
  trialVerdict,
  type TrayCount,
} from '#core/plants/trial';
import { verdictOf } from '#core/plants/verdict';
import { judgeMix } from '#core/judge/judge';
import { type Family } from '#core/material/family';
import { applyFix } from '#core/recipe/fix';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { atLeast } from '#core/stats/binomial';
import { normalAt, uniformAt } from '#core/stats/normal';
import { library } from '#testing/library';
import { crops } from '#testing/season';

const tray: Planting = {
  ...{ id: 1, start: 'sow', crop: 'tomato', name: 'Long Red', seed: '', vessel: 'cell-72', cells: 72 },
  ...{
    perCell: 1,
    batch: 4,
    on: '2027-03-01',
    bareRoot: false,
    halfFilled: false,
    season: null,
    seedLot: null,
  },
  ...{ from: [], trial: null },
};
const kept = (...events: PlantEvent[]): KeptEvent[] => events.map((event, i) => ({ ...event, id: i + 1 }));

describe('trays of a trial', () => {
  test('the tail of χ²: published 5 % points, sums in closed form, and the error function', () => {
    // Table C of Snedecor and Cochran, Statistical Methods (from memory): 5 % and 1 % points.
    for (const [x, k, p] of [
      [3.841, 1, 0.05],
      [5.991, 2, 0.05],
      [18.307, 10, 0.05],
      [23.209, 10, 0.01],
      [124.342, 100, 0.05],
    ] as const)
      expect(chiSquareTail(x, k)).toBeCloseTo(p, 4);
    for (const x of [0.1, 1, 4, 9, 30]) {
      expect(chiSquareTail(x, 1)).toBeCloseTo(1 - erf(Math.sqrt(x / 2)), 10);
      // Six degrees: e^(−x/2) (1 + x/2 + x²/8).
      expect(chiSquareTail(x, 6)).toBeCloseTo(Math.exp(-x / 2) * (1 + x / 2 + x ** 2 / 8), 12);
    }
    expect(chiSquareTail(0, 3)).toBe(1);
    expect(() => chiSquareTail(-1, 3)).toThrow(/chiSquare must be at least 0/);
  });

  test('differ by hand, and not where there is nothing to tell', () => {
    const of = (...alive: number[]): TrayCount[] =>
      alive.map((n, i) => ({ arm: 0, block: i + 1, alive: n, of: 20 }));
    // 5, 10 and 15 of 20: share a half, χ² = (25 + 0 + 25) / 5.
    expect(traysDiffer(of(5, 10, 15))).toMatchObject({ chiSquare: 10, freedom: 2 });
    expect(traysDiffer(of(5, 10, 15))!.p).toBeCloseTo(Math.exp(-5), 12);
    expect(traysDiffer(of(20, 20))).toBeNull();
    expect(traysDiffer(of(7))).toBeNull();
  });

  test('trays that are alike are called different about once in twenty', () => {
    let result = 0;
    for (let trial = 0; trial < 1000; trial++) {
      const trays = [0, 1, 2, 3, 4, 5].map((block): TrayCount => {
        let alive = 0;
        for (let cell = 0; cell < 72; cell++) if (uniformAt(5, trial * 6 + block, cell) < 0.7) alive++;
        return { arm: 0, block: block + 1, alive, of: 72 };
      });
      if (traysDiffer(trays)!.p < 0.05) result++;
    }
    // Within four standard deviations of fifty.
    expect(Math.abs(result - 50)).toBeLessThan(4 * Math.sqrt(1000 * 0.05 * 0.95));
  });

  test('blocks tell by all ways that they could have stood: six alike are a sign test, and draws come near it', () => {
    const six = (n: number): TrayCount[] =>
      Array.from({ length: n }, (_, i) => [
        { arm: 0, block: i + 1, alive: 15, of: 20 },
        { arm: 1, block: i + 1, alive: 10, of: 20 },
      ]).flat();
    expect(blocksTell(six(6), 0, 1)).toBeCloseTo(2 / 64, 12);
    // One of eight the other way round, all by as much: nobody or one, of either side.
    const eight = six(8).map((t) => (t.block === 1 ? { ...t, alive: 25 - t.alive } : t));
    expect(blocksTell(eight, 0, 1)).toBeCloseTo(2 * atLeast(8, 0.5, 7), 12);
    const twenty = six(20).map((t) => (t.block <= 6 ? { ...t, alive: 25 - t.alive } : t));
    expect(Math.abs(blocksTell(twenty, 0, 1)! - 2 * atLeast(20, 0.5, 14))).toBeLessThan(0.01);
    expect(blocksTell([{ arm: 0, block: 1, alive: 1, of: 2 }], 0, 1)).toBeNull();
  });

  /** Two arms that are alike, in blocks that differ, with or without scatter between trays: logits, model § 26. */
  const alikeIn = (blocks: number, scatter: number, trial: number): TrayCount[] =>
    Array.from({ length: blocks }, (_, block) =>
      [0, 1].map((arm): TrayCount => {
        const logit = 0.8 + 0.6 * normalAt(11, trial, block) + scatter * normalAt(12, trial, 2 * block + arm);
        const p = 1 / (1 + Math.exp(-logit));
        let alive = 0;
        for (let cell = 0; cell < 72; cell++)
          if (uniformAt(13, trial, 72 * (2 * block + arm) + cell) < p) alive++;
        return { arm, block: block + 1, alive, of: 72 };
      }),
    ).flat();
  const arms = (trays: readonly TrayCount[]) =>
    [0, 1].map((arm) => ({
      name: 'AB'[arm]!,
      alive: trays.filter((t) => t.arm === arm).reduce((sum, t) => sum + t.alive, 0),
      of: 72 * trays.filter((t) => t.arm === arm).length,
    }));

  test('a warm end of the house is no scatter: trays are compared inside blocks', () => {
    let told = 0;
    for (let trial = 0; trial < 500; trial++) if (traysDiffer(alikeIn(6, 0, trial))!.p < 0.05) told++;
    // About 5 %: within four standard deviations of 25.
    expect(Math.abs(told - 25)).toBeLessThan(4 * Math.sqrt(500 * 0.05 * 0.95));
  });

  test('scatter between trays is no verdict: trays are the unit, and 5 in 100 alike are told apart, not 8 to 12', () => {
    let [byTrays, byCells] = [0, 0];
    for (let trial = 0; trial < 500; trial++) {
      const trays = alikeIn(8, 0.4, trial);
      if (trialVerdict(arms(trays), trays, 'came up', 1).verdict.pairs[0]!.differs) byTrays++;
      if (verdictOf(arms(trays), 'came up').pairs[0]!.differs) byCells++;
    }
    expect(byCells / 500).toBeGreaterThan(0.08);
    expect(byTrays / 500).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / 500));
  });

  test('under six blocks nothing is surer than chance, and that is said', () => {
    const apart = (blocks: number): TrayCount[] =>
      Array.from({ length: blocks }, (_, block) =>
        [0, 1].map((arm): TrayCount => ({ arm, block: block + 1, alive: arm === 0 ? 70 : 20, of: 72 })),
      ).flat();
    const of = (blocks: number) => trialVerdict(arms(apart(blocks)), apart(blocks), 'came up', 1);
    expect(of(5).verdict.pairs[0]).toMatchObject({ p: 2 / 32, differs: false });
    expect(of(5).more).toEqual({ say: 'trays.more-blocks', with: { blocks: 5, least: 6 } });
    expect(of(6).verdict.pairs[0]).toMatchObject({ p: 2 / 64, differs: true });
    expect(of(6).more).toBeNull();
    // Two trays of each are too few to turn round: their cells are counted.
    expect(of(2).verdict.pairs[0]!.differs).toBe(true);
  });

  test('what is said of them', () => {
    const alike = [1, 2, 3].flatMap((block) => [0, 1].map((arm) => ({ arm, block, alive: 60, of: 72 })));
    expect(trayWarning(alike, { better: 0, worse: 1 }, 1)).toBeNull();
    const wild = alike.map((t) => ({ ...t, alive: (t.block + t.arm) % 2 === 0 ? 20 : 66 }));
    expect(trayWarning(wild, { better: 0, worse: 1 }, 1)).toMatchObject({ say: 'trays.too-few' });
    expect(trayWarning(wild, undefined, 1)).toEqual({ say: 'trays.differ', with: {} });
  });
});

describe('care', () => {
  let feeds: number | null | undefined;
  const still = { wetG: 5000, availableMl: 2000, waterAt: 0.5, daysToWater: (): number => 2.4 };
  const care = (planting: Planting, since?: string, ...events: PlantEvent[]) =>
    careOf(planting, crops.get('tomato')!, tallyOf(planting, kept(...events)), kept(...events), {
      roomDays: 42,
      soilC: 20,
      vesselSince: since,
      ...(feeds !== undefined && { clock: { feedFrom: feeds, tray: still } }),
    });

  test('half-filled pots are topped up after a fortnight, once', () => {
    const pots: Planting = { ...tray, start: 'pot', vessel: 'pot-9', cells: 60, halfFilled: true };
    expect(care(pots).find(({ id }) => id === 'top-up')).toMatchObject({ on: '2027-03-15' });
    expect(care(pots, undefined, { kind: 'topped', on: '2027-03-12' }).map(({ id }) => id)).not.toContain(
      'top-up',
    );
  });

  test('what is set apart has its vessel since its elders were sown', () => {
    const apart: Planting = {
      ...{ ...tray, id: 2, start: 'split', cells: 20, on: '2027-03-20' },
      from: [{ planting: 1, plants: 20 }],
    };
    expect(tallyOf(apart, [])).toMatchObject({ begun: 20, entered: 20, alive: 20 });
    expect(care(apart, '2027-03-01').find(({ id }) => id === 'pot-up')!.on).toBe('2027-04-12');
    expect(care(apart).find(({ id }) => id === 'pot-up')!.on).toBe('2027-05-01');
  });

  test('the first feed is by the crop, or by what the mix still gives where that is known', () => {
    const feed = () => care(tray).find(({ id }) => id === 'feed');
    const byCrop = feed()!;
    expect(read(byCrop.text, metric)).toMatch(/by its label$/);
    feeds = 22;
    expect(feed()).toMatchObject({
      on: '2027-03-22',
      text: { say: 'care.feed', with: { mixFeeds: true } },
    });
    // Hungry only once they have left, or never.
    for (feeds of [57, null]) expect(feed()).toBeUndefined();
    feeds = undefined;
    expect(feed()).toEqual(byCrop);
  });

  test('who wants cover tonight, tenderest first, each by its own limit', () => {
    const all = [
      { planting: 1, name: 'Cabbage', coldestC: -2 },
      { planting: 2, name: 'Tomato', coldestC: 8 },
      { planting: 3, name: 'Basil', coldestC: 10 },
    ];
    expect(coldTonight(all, 4).map(({ name }) => name)).toEqual(['Basil', 'Tomato']);
    expect(coldTonight(all, 10)).toEqual([]);
  });

  test('empty cells are of the tray', () => {
    const count =
      (empty: number[]): (() => void) =>
      () =>
        checkEvent(tray, [], { kind: 'up', on: '2027-03-10', count: 70, empty });
    expect(count([0, 71])).not.toThrow();
    expect(count([72])).toThrow(/empty must be cells there .*72.*, was 73/);
  });
});

describe('next time', () => {
  const about: Surroundings = {
    ...{ today: '2027-03-25', ph: { low: 5.5, high: 6.5 }, ec: { low: 0.5, high: 1.5 } },
    ...{ coldestC: 5, roomDays: 42, firstFeedDays: 40 },
  };
  const result = (...events: PlantEvent[]): Suspect[] =>
    suspectsOf([{ planting: tray, events: kept(...events), about }]);

  test('what the plants tell: signs, readings, losses; what helped has the last word', () => {
    const on = '2027-03-20';
    expect(result({ kind: 'ph', on, value: 4.9 })).toEqual([{ cause: 'sour', weight: 0.5, plantings: 1 }]);
    const [first] = result({ kind: 'ph', on, value: 7.4 }, { kind: 'sign', on, sign: 'yellow-veins' });
    expect(first).toMatchObject({ cause: 'sweet' });
    expect(first!.weight).toBeGreaterThan(0.8);
    expect(
      result(
        { kind: 'ph', on, value: 7.4 },
        { kind: 'sign', on, sign: 'yellow-veins' },
        { kind: 'helped', on, cause: 'sweet', helped: false },
      ).map(({ cause }) => cause),
    ).not.toContain('sweet');
    expect(
      result({ kind: 'up', on, count: 60 }, { kind: 'lost', on, count: 20, cause: 'damped off' })[0],
    ).toMatchObject({ cause: 'damping' });
    expect(result({ kind: 'up', on, count: 60 })).toEqual([]);
    // Two plantings that tell of one thing weigh twice.
    const events = kept({ kind: 'ph', on, value: 4.9 });
    const record = { planting: tray, events, about };
    expect(suspectsOf([record, record])).toEqual([{ cause: 'sour', weight: 1, plantings: 2 }]);
  });

  test('own odds take the place of the table’s, and none at all give the table back', () => {
    expect(rankCauses('purple', {})[0]!.cause).toBe('cold');
    const own = { purple: { cold: 0, hungry: 9 } };
    expect(rankCauses('purple', {}, undefined, own)[0]!.cause).toBe('hungry');
    expect(weightsOf('purple', own).map(([cause]) => cause)).not.toContain('cold');
    const none = { purple: { cold: 0, hungry: 0, sour: 0, drowned: 0 } };
    expect(rankCauses('purple', {}, undefined, none)).toEqual(rankCauses('purple', {}));
  });

  const reading = (recipe: (typeof starterMixes)['potting'], id: string): number =>
    judgeMix(mixInputOf(recipe, library), { library }).readings.find((each) => each.id === id)!.value;

  test('a potting mix whose plants were sour gets more lime, and only words for what no mix mends', () => {
    const recipe = { ...starterMixes.potting, lime: { amendment: 'lime-dolomitic', ph: 5.6 } };
    const suspects: Suspect[] = [
      { cause: 'cold', weight: 2, plantings: 2 },
      { cause: 'sour', weight: 1, plantings: 2 },
    ];
    const [change] = nextTime(recipe, suspects, library);
    expect(change).toMatchObject({ cause: 'sour' });
    const ph = change!.changes.find(({ id }) => id === 'ph')!;
    expect(ph.to).toBeGreaterThan(ph.from + 0.15);
    expect(reading(applyFix(recipe, change!.fix, library), 'ph')).toBeCloseTo(ph.to, 9);
    expect(besideTheMix(suspects)).toEqual(['cold']);
  });

  test('what the mix does not explain is told before it is changed; what an approach never uses is not offered', () => {
    expect(unexplained({ ph: 6, ec: 0.6 }, { ph: 7.2, ec: 0.3 })).toEqual(['ph']);
    expect(unexplained({ ph: 6, ec: 0.6 }, { ph: 6.4, ec: 1.6 })).toEqual(['ec']);
    expect(unexplained({ ph: 6, ec: 0.6 }, { ph: null, ec: null })).toEqual([]);
    const events = kept(
      ...[6.1, 5.2, 5.4].map((value): PlantEvent => ({ kind: 'ph', on: '2027-03-20', value })),
    );
    const records = [{ planting: tray, events, about }];
    expect([medianRead(records, 'ph'), medianRead(records, 'ec')]).toEqual([5.4, null]);
    const drowned: Suspect[] = [{ cause: 'drowned', weight: 1, plantings: 1 }];
    const added = (never: Family[]): string[] =>
      Object.values(starterMixes)
        .flatMap((recipe) => nextTime(recipe, drowned, library, never))
        .flatMap(({ fix }) => (fix.kind === 'addPart' ? [library.materials.get(fix.material)!.family] : []));
    expect(added([])).toContain('perlite');
    const without = added(['perlite']);
    expect(without.length).toBeGreaterThan(0);
    expect(without).not.toContain('perlite');
  });

  const wrong = (recipe: (typeof starterMixes)['potting']): number =>
    judgeMix(mixInputOf(recipe, library), { library }).readings.filter((each) => each.verdict !== 'ok')
      .length;

  test('at most three, none puts more readings out of their windows, whatever the plants told', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(starterMixes)),
        fc.shuffledSubarray([...causeIds]),
        (recipe, causes: CauseId[]) => {
          const suspects = causes.map((cause): Suspect => ({ cause, weight: 1, plantings: 1 }));
          const changes = nextTime(recipe, suspects, library);
          const before = wrong(recipe);
          return (
            changes.length <= 3 && changes.every(({ fix }) => wrong(applyFix(recipe, fix, library)) <= before)
          );
        },
      ),
      { numRuns: 60 },
    ));
});
