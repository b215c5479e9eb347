import fc from 'fast-check';
import { isMet, penalty, readingPenalties, stageAims, stepped } from '#core/finder/aims';
import { compareFound, type FoundRecipe } from '#core/finder/best-of';
import {
  conflictOf,
  fastAndLimits,
  type FinderJob,
  formulated,
  keptOf,
  searchAll,
} from '#core/finder/formulate';
import { gcd, gathered } from '#core/finder/parts';
import { merged, Search } from '#core/finder/search';
import { FastEvaluation } from '#core/finder/fast-evaluation';
import { noPreferences } from '#core/finder/fast-spec';
import { UsualShares } from '#core/finder/usual-shares';
import { starterDoseGPerL } from '#core/finder/starter';
import { readingsOf } from '#core/judge/readings';
import { isPhByWater, phWindow } from '#core/mix/windows';
import { stages } from '#core/mix/stage';
import { evaluateMix } from '#core/mix/evaluate';
import { vesselKinds } from '#core/vessel/kinds';
import { finderJob } from '#testing/finder';
import { vesselKind, amendment, material, materials } from '#testing/library';

const cost = (id: string): number => 0.05 + (id.length % 7) * 0.03;

const job = (ids: readonly string[], change: Partial<FinderJob> = {}): FinderJob =>
  finderJob(ids, {
    shelved: ids.map((id) => ({ material: material(id), costPerL: cost(id) })),
    ...change,
  });

/** Every set of whole parts, each computed by the plain model and scored by its readings: slow and obvious. */
function naive(j: FinderJob): { tried: number; found: FoundRecipe[] } {
  const found: FoundRecipe[] = [];
  const n = j.shelved.length;
  const parts = new Uint8Array(n);
  const walk = (at: number, left: number): void => {
    if (at < n) {
      for (let p = 0; p <= left; p++) {
        parts[at] = p;
        walk(at + 1, left - p);
      }
      parts[at] = 0;
      return;
    }
    const total = parts.reduce((a, b) => a + b, 0);
    if (parts.reduce(gcd, 0) !== 1) return;
    const within = j.shelved.every(({ material: { id } }, i) => {
      return parts[i]! >= (j.minParts[id] ?? 0) && parts[i]! <= (j.maxParts[id] ?? Infinity);
    });
    const peat = j.shelved.reduce((s, { material: m }, i) => s + (m.peatFree ? 0 : parts[i]!), 0);
    const used = parts.filter((p) => p > 0).length;
    if (!within || used > j.materialsMax || peat / total > j.peatMax + 1e-12) return;
    found.push({ ...naiveScore(j, parts), parts: parts.slice() });
  };
  walk(0, j.maxTotal);
  return { tried: found.length, found: found.sort(compareFound) };
}

function naiveScore(j: FinderJob, parts: Uint8Array): Omit<FoundRecipe, 'parts'> {
  const { members, amounts } = gathered(parts);
  const aims = stageAims(j.stage, j.vessel);
  const base = {
    stage: j.stage,
    vessel: j.vessel,
    compaction: j.compaction,
    components: members.map((i, k) => ({ material: j.shelved[i]!.material, parts: amounts[k]! })),
  };
  const bare = evaluateMix({ ...base, amendments: j.fixedDoses });
  const window = phWindow(j, bare);
  const limed = evaluateMix({
    ...base,
    amendments: j.fixedDoses,
    // Nothing is limed that does not hold a pH.
    ...(j.lime &&
      !isPhByWater(bare.acidity) && { limeToPh: { amendment: j.lime, ph: (window.low + window.high) / 2 } }),
  });
  const whole = j.starter.reduce((s, p) => s + p.parts, 0);
  const blend = (grams: number) =>
    j.starter.map((p) => ({ amendment: p.amendment, gPerL: (grams * p.parts) / whole }));
  const withStarter = (grams: number) =>
    evaluateMix({ ...base, amendments: [...limed.doses, ...blend(grams)] });
  const evaluation = withStarter(1);
  const grams =
    whole > 0
      ? starterDoseGPerL(
          limed.elementsMgPerL.n - limed.drawdownMgNPerL,
          evaluation.elementsMgPerL.n - limed.elementsMgPerL.n,
          limed.ecSaturatedMSPerCm - limed.harmlessEcMSPerCm,
          evaluation.ecSaturatedMSPerCm - limed.ecSaturatedMSPerCm,
          aims.n!,
          aims.ecSaturated!,
        )
      : 0;
  const e = withStarter(grams);
  const p = j.preferences;
  const total = amounts.reduce((a, b) => a + b, 0);
  const share = (of: (i: number) => number): number =>
    members.reduce((s, i, k) => s + (of(i) * amounts[k]!) / total, 0);
  const highest = Math.max(...j.shelved.map((s) => s.costPerL ?? 0)) || 1;
  const wet = e.wetWeightG / 1000 / e.column.volumeL;
  const windows =
    readingPenalties(readingsOf(base, e)).reduce((sum, { costs }) => sum + costs, 0) +
    penalty(e.easilyAvailableWater * 100, aims.easilyAvailableWater!) +
    penalty(wet, aims.wetDensity!);
  const shelf = j.shelved.map((s) => s.material);
  const price = e.composition.densification * share((i) => j.shelved[i]!.costPerL ?? 0);
  const score =
    stepped(windows) +
    new UsualShares(j.stage, j.vessel, shelf).cost(members, amounts, total) +
    (p.price * price) / highest +
    p.peat * e.peat +
    (p.weight * e.wetWeightG) / e.column.volumeL / 1500 +
    p.ingredients * 0.1 * (members.length - 1) +
    p.useUp * (1 - share((i) => (j.shelved[i]!.useUp ? 1 : 0))) +
    p.water * Math.max(0, 1 - e.easilyAvailableWater / 0.2) +
    (j.nearTo
      ? p.near *
        (1 - keptOf(j.nearTo, Object.fromEntries(members.map((i, k) => [shelf[i]!.id, amounts[k]!]))))
      : 0);
  return { score, cost: price };
}

const shelfIds = fc.uniqueArray(fc.constantFrom(...materials.map((m) => m.id)), {
  minLength: 1,
  maxLength: 4,
});
const anyJob = fc
  .record({
    ids: shelfIds,
    stage: fc.constantFrom(...stages),
    kind: fc.constantFrom(...vesselKinds),
    maxTotal: fc.integer({ min: 1, max: 6 }),
    materialsMax: fc.integer({ min: 1, max: 4 }),
    peatMax: fc.constantFrom(0, 0.5, 0.75, 1),
    minFirst: fc.integer({ min: 0, max: 1 }),
    maxFirst: fc.integer({ min: 1, max: 6 }),
    preferences: fc.record({
      price: fc.constantFrom(0, 0, 3),
      peat: fc.constantFrom(0, 0, 5),
      weight: fc.constantFrom(0, 1),
      ingredients: fc.constantFrom(0, 0, 2),
      useUp: fc.constantFrom(0, 0, 4),
      water: fc.constantFrom(0, 3),
      near: fc.constantFrom(0, 0, 30),
    }),
    nearTo: fc.constantFrom({ 'peat-fine': 3, 'perlite-coarse': 1 }, undefined),
    lime: fc.constantFrom('lime-dolomitic', 'wood-ash', null),
    gypsum: fc.constantFrom(0, 1),
  })
  .map(({ ids, kind, minFirst, maxFirst, lime, gypsum, ...rest }) => {
    const j = job(ids, {
      ...rest,
      vessel: kind.vessel,
      minParts: { [ids[0]!]: minFirst },
      maxParts: { [ids[0]!]: maxFirst },
      lime: lime === null ? null : amendment(lime),
      fixedDoses: gypsum ? [{ amendment: amendment('gypsum'), gPerL: gypsum }] : [],
    });
    return { ...j, shelved: j.shelved.map((s, i) => ({ ...s, useUp: i === 0 })) };
  });

describe('the search is exact', () => {
  test('the same answer as the naive enumeration on random small shelves', () => {
    let feasible = 0;
    fc.assert(
      fc.property(anyJob, (j) => {
        const { fast, limits } = fastAndLimits(j);
        const found = searchAll(fast, { ...limits, onlyMet: false }, 8);
        const slow = naive(j);
        expect(found.tried).toBe(slow.tried);
        expect(found.best).toHaveLength(Math.min(8, slow.tried - found.noPores));
        found.best.forEach((f, i) => {
          expect(f.score).toBeCloseTo(slow.found[i]!.score, 7);
          // The same recipe, unless two are tied to rounding.
          if (Math.abs((slow.found[i + 1]?.score ?? Infinity) - slow.found[i]!.score) > 1e-7 && i === 0)
            expect([...f.parts]).toEqual([...slow.found[0]!.parts]);
        });
        if (found.feasible > 0) feasible++;
      }),
      { numRuns: 150 },
    );
    expect(feasible).toBeGreaterThan(0);
  });

  test('near to a recipe: of all that meet every window, none keeps more of it', () => {
    const nearTo = { 'peat-fine': 4, 'sand-fine': 2, loam: 1 };
    const ids = ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'sand-fine'];
    const j = job(ids, { nearTo, preferences: { ...noPreferences, near: 100 } });
    const { fast, limits } = fastAndLimits(j);
    const { best, perSet, feasible } = searchAll(fast, limits, 8);
    const counted = (parts: Uint8Array): Record<string, number> =>
      Object.fromEntries(ids.map((id, i) => [id, parts[i]!]));
    const right = naive(j).found.filter(({ parts }) => {
      const { members, amounts } = gathered(parts);
      return fast.look(members, amounts) && fast.looked.met === fast.allMet;
    });
    // Some are left out by the bound before they are counted.
    expect(feasible).toBeGreaterThan(0);
    expect(feasible).toBeLessThanOrEqual(right.length);
    expect(right.length).toBeGreaterThan(10);
    for (const { parts } of [...best, ...perSet])
      expect(right.some((r) => r.parts.join() === parts.join())).toBe(true);
    const most = Math.max(...right.map(({ parts }) => keptOf(nearTo, counted(parts))));
    expect(keptOf(nearTo, counted(best[0]!.parts))).toBeCloseTo(most, 9);
    // Without that wish another is the best.
    const plain = fastAndLimits(job(ids));
    const other = searchAll(plain.fast, plain.limits, 1).best[0]!;
    expect(keptOf(nearTo, counted(other.parts))).toBeLessThan(most);
    // As it is: all of it is kept, whatever the numbers; nothing in common: none.
    expect(keptOf({ loam: 2, compost: 1 }, { compost: 2, loam: 4 })).toBeCloseTo(1, 12);
    expect(keptOf({ loam: 2 }, { compost: 2 })).toBe(0);
  });

  test('shared among workers, in small steps: what one finds alone', () => {
    const ids = ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'compost', 'coir-pith', 'sand-sharp'];
    const { fast, limits } = fastAndLimits(job(ids, { maxTotal: 9 }));
    const alone = searchAll(fast, limits, 20);
    const parts = [0, 1, 2].map((worker) => {
      const search = new Search(fastAndLimits(job(ids)).fast, limits, 20, { worker, of: 3 });
      while (!search.step(50)) expect(search.progress).toBeLessThanOrEqual(1);
      return search.result();
    });
    expect(merged(parts, 20)).toEqual(alone);
    // Compositions of up to 9 into 6: C(15, 6) − 1 sets, with and without a common divisor.
    expect(alone.tried + alone.commonDivisor).toBe(5004);
  });

  test('leaving out by the bound changes nothing, and leaves much out', () => {
    const ids = ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'coir-pith', 'compost'];
    const strong = { ...noPreferences, price: 1, peat: 30, ingredients: 20 };
    const j = job(ids, { maxTotal: 8, preferences: strong });
    const { fast, limits } = fastAndLimits(j);
    const found = searchAll(fast, limits, 3);
    expect(found.provedWorse).toBeGreaterThan(found.tried / 8);
    expect(found.best.map((f) => [...f.parts])).toEqual(
      naive(j)
        .found.slice(0, 3)
        .map((f) => [...f.parts]),
    );
  });

  test('the best of every set of materials is found too, bounded or not', () => {
    const ids = ['peat-fine', 'perlite-coarse', 'compost', 'coir-pith'];
    for (const preferences of [noPreferences, { ...noPreferences, peat: 9, ingredients: 9 }]) {
      const j = job(ids, { preferences });
      const { fast, limits } = fastAndLimits(j);
      const { perSet } = searchAll(fast, limits, 2);
      const best = new Map<string, FoundRecipe>();
      for (const f of naive(j).found) {
        const set = gathered(f.parts).members.join();
        if (!best.has(set)) best.set(set, f);
      }
      expect(perSet.map((f) => [...f.parts])).toEqual([...best.values()].map((f) => [...f.parts]));
      expect(perSet).toHaveLength(15);
    }
  });

  test('the numbers of a found recipe are those of the model', () => {
    const j = job(['peat-medium', 'perlite-coarse', 'bark-pine'], {
      stage: 'potting',
      vessel: vesselKind('pot-11').vessel,
    });
    const { fast, limits } = fastAndLimits(j);
    for (const { parts, score } of searchAll(fast, limits, 10).best) {
      const f = formulated(j, fast, parts);
      expect(f.score).toBeCloseTo(score, 12);
      fast.scored.forEach((id, r) => {
        const { evaluation: e, readings } = f.judgement;
        const plain =
          id === 'easilyAvailableWater'
            ? e.easilyAvailableWater * 100
            : id === 'wetDensity'
              ? e.wetWeightG / 1000 / e.column.volumeL
              : readings.find((x) => x.id === id)!.value;
        expect(fast.looked.values[r]).toBeCloseTo(plain, 9);
      });
    }
  });
});

describe('score', () => {
  test('0 in the middle, 1 at the edges, missed windows come behind all met ones', () => {
    const aim = { low: 10, high: 20, kind: 'between' as const };
    expect([15, 10, 20, 12.5].map((v) => penalty(v, aim))).toEqual([0, 1, 1, 0.25]);
    expect(penalty(20.01, aim)).toBeGreaterThan(10);
    expect(penalty(30, aim)).toBeGreaterThan(penalty(25, aim));
    const atMost = { ...aim, kind: 'atMost' as const };
    expect([penalty(3, atMost), penalty(20, atMost)]).toEqual([0, 0]);
    expect(penalty(21, atMost)).toBeGreaterThan(10);
    expect([isMet(3, atMost), isMet(3, aim), isMet(20, aim), isMet(20.1, aim)]).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });

  test('a window is a plateau: nothing is gained inside but room for scatter at the ends', () => {
    const aim = { low: 10, high: 20, kind: 'between' as const, room: 2 };
    expect([15, 12, 18, 11, 19, 10, 20].map((v) => penalty(v, aim))).toEqual([0, 0, 0, 0.25, 0.25, 1, 1]);
    expect(penalty(9.9, aim)).toBeGreaterThan(10);
    // Room never takes the whole of a narrow window.
    expect(penalty(10.5, { ...aim, high: 11 })).toBe(0);
    const piece = { low: 0, high: 12, kind: 'atMost' as const, soft: 16 };
    expect([12, 14, 16].map((v) => penalty(v, piece))).toEqual([0, 0.5, 1]);
    expect([isMet(16, piece), isMet(16.1, piece)]).toEqual([true, false]);
  });

  test('a starter that can meet nitrogen and EC meets both', () => {
    const n = { low: 40, high: 120, kind: 'between' as const };
    const ec = { low: 0.75, high: 2, kind: 'between' as const };
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 20, max: 160, noNaN: true }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        (n0, ec0, nPer, ecPer) => {
          const dose = starterDoseGPerL(n0, nPer, ec0, ecPer, n, ec);
          expect(dose).toBeGreaterThanOrEqual(0);
          // Where only one dose to the last digit would do, rounding decides.
          const both = (d: number, slack: number): boolean =>
            isMet(n0 + d * nPer, { ...n, low: n.low - slack, high: n.high + slack }) &&
            isMet(ec0 + d * ecPer, { ...ec, low: ec.low - slack, high: ec.high + slack });
          const possible = Array.from({ length: 2001 }, (_, i) => i / 200).some((d) => both(d, 0));
          if (possible) expect(both(dose, 1e-9)).toBe(true);
        },
      ),
    );
  });
});

describe('when nothing fits', () => {
  test('sand alone for cuttings: which windows are never met, and the least change', () => {
    const j = job(['sand-sharp', 'sand-fine'], { stage: 'rooting', vessel: vesselKind('cell-288').vessel });
    const { fast, limits } = fastAndLimits(j);
    const conflict = conflictOf(fast, searchAll(fast, limits, 5))!;
    expect(conflict.never).toContain('air');
    expect(conflict.metAlone.air).toBe(0);
  });

  test('the nearest recipe misses one window only, and moving that window lets it in', () => {
    const j = job(['peat-medium', 'perlite-coarse'], { maxTotal: 8, vessel: vesselKind('cell-288').vessel });
    const { fast, limits } = fastAndLimits(j);
    const result = searchAll(fast, limits, 5);
    expect(result.feasible).toBe(0);
    const { nearest } = conflictOf(fast, result)!;
    const { judgement } = formulated(j, fast, nearest!.parts);
    const off = judgement.readings.filter((r) => r.verdict !== 'ok');
    expect(off.map((r) => r.id)).toEqual([nearest!.id]);
    expect(off[0]!.value).toBeCloseTo(nearest!.value, 9);
  });

  test('nothing to say where something fits', () => {
    const { fast, limits } = fastAndLimits(job(['peat-fine', 'perlite-coarse']));
    expect(conflictOf(fast, searchAll(fast, limits, 1))).toBeNull();
  });
});

describe('bad input', () => {
  test.each<[string, Partial<FinderJob>, string]>([
    ['an empty shelf', { shelved: [] }, 'materials must be 1 to 10 materials, was 0'],
    [
      'eleven',
      { shelved: materials.slice(0, 11).map((m) => ({ material: m })) },
      'materials must be 1 to 10 materials, was 11',
    ],
    [
      'twice',
      { shelved: [{ material: material('loam') }, { material: material('loam') }] },
      'materials.1 must be named once, was "loam"',
    ],
    [
      'floor over ceiling',
      { minParts: { 'peat-fine': 3 }, maxParts: { 'peat-fine': 2 } },
      'limits.minParts.peat-fine must be a number from 0 to 2',
    ],
    [
      'floors over the total',
      { minParts: { 'peat-fine': 4, loam: 4 } },
      'limits.minParts must be parts in all {"most":6}, was 8',
    ],
    [
      'more musts than materials',
      { minParts: { 'peat-fine': 1, loam: 1 }, materialsMax: 1 },
      'limits.materialsMax must be as many as have minimum {"low":2}',
    ],
    ['a limit on nothing', { maxParts: { moondust: 1 } }, 'limits.maxParts must be of the shelf'],
    [
      'half a part',
      { minParts: { loam: 0.5 } },
      'limits.minParts.loam must be a whole number from 0 to 20, was 0.5',
    ],
    ['too many parts', { maxTotal: 21 }, 'maxTotalParts must be a whole number from 1 to 20, was 21'],
    [
      'all forbidden',
      { maxParts: { 'peat-fine': 0, loam: 0 } },
      'limits.maxParts must be above nothing of one',
    ],
    ['gypsum as lime', { lime: amendment('gypsum') }, 'lime must be neutralises acid'],
    [
      'ash as feed',
      { starter: [{ amendment: amendment('wood-ash'), parts: 1 }] },
      'starter must be does not lime',
    ],
    [
      'negative wish',
      { preferences: { ...noPreferences, price: -1 } },
      'preferences.price must be a number from 0 to 100',
    ],
  ])('%s', (_, change, message) => {
    const act = (): void => {
      const { fast, limits } = fastAndLimits(job(['peat-fine', 'loam'], change));
      searchAll(fast, limits, 1);
    };
    expect(act).toThrow(RangeError);
    expect(act).toThrow(message);
  });

  test('one material is one recipe', () => {
    const { fast, limits } = fastAndLimits(job(['peat-fine']));
    const { tried, best } = searchAll(fast, limits, 5);
    expect([tried, best.map((b) => [...b.parts])]).toEqual([1, [[1]]]);
    expect(fast).toBeInstanceOf(FastEvaluation);
  });
});
