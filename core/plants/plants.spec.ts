import fc from 'fast-check';
import { careOf } from '#core/plants/care';
import { type CauseId, causes, evidence, type Found, type SignId, signIds } from '#core/plants/cause-table';
import { rankCauses, remedyFor, tellingTest } from '#core/plants/causes';
import { foundOf } from '#core/plants/found';
import {
  checkEvent,
  countsApart,
  type KeptEvent,
  type PlantEvent,
  type Planting,
  sharesOf,
  standing,
  tallyOf,
} from '#core/plants/planting';
import { layOut } from '#core/plants/trial';
import { metric } from '#testing/readers';
import { read } from '#words/read';
import { holm, type ArmComparison, verdictOf } from '#core/plants/verdict';
import { uniformAt } from '#core/stats/normal';
import { crops } from '#testing/season';

const plainly = (says: ArmComparison['says']): string => read(says, metric).replaceAll('\u00a0', ' ');

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
    from: [],
    trial: null,
  },
};
const kept = (...events: PlantEvent[]): KeptEvent[] => events.map((event, i) => ({ ...event, id: i + 1 }));
const on = '2027-03-10';

describe('what became of them', () => {
  test('a tray by hand: sown, up, lost, thinned, planted, and one not seen', () => {
    const tally = tallyOf(
      tray,
      kept(
        { kind: 'up', on, count: 60 },
        { kind: 'lost', on: '2027-03-12', count: 4, cause: 'damped off' },
        { kind: 'thinned', on: '2027-03-14', count: 6 },
        { kind: 'count', on: '2027-03-20', alive: 47 },
        { kind: 'out', on: '2027-04-20', count: 40, way: 'planted' },
      ),
    );
    expect(tally).toMatchObject({ begun: 72, entered: 60, alive: 7, lostSum: 7, thinned: 6, out: 40 });
    expect([...tally.lost]).toEqual([
      ['damped off', 4],
      ['not seen', 3],
    ]);
    expect(sharesOf(tally)).toEqual({ up: 60, made: 47, of: 72 });
  });

  test('taken back, and that taken back', () => {
    const events = kept(
      { kind: 'up', on, count: 60 },
      { kind: 'lost', on, count: 9, cause: 'cold' },
      { kind: 'undo', on, of: 2 },
      { kind: 'undo', on, of: 3 },
    );
    expect(tallyOf(tray, events.slice(0, 3)).alive).toBe(60);
    expect(tallyOf(tray, events).alive).toBe(51);
    expect(standing(events).map(({ id }) => id)).toEqual([1, 2]);
  });

  test('some potted on before anybody counted: how many are left is not known, until it is counted or all went', () => {
    const of = (...counts: number[]) =>
      tallyOf(
        { ...tray, start: 'sow' },
        counts.map((count, i) => ({ id: i + 1, kind: 'moved', on: '2027-03-12', count, to: 2 })),
      );
    const { begun } = of();
    expect(of(26)).toMatchObject({ entered: null, alive: null, moved: 26 });
    expect(of(26, begun - 26)).toMatchObject({ entered: begun, alive: 0 });
    expect(sharesOf(of(26))).toEqual({ up: null, made: null, of: begun });
  });

  test('nothing is lost or made in counting: over any record that is let in, the sums hold', () =>
    fc.assert(
      fc.property(
        fc.constantFrom<Planting['start']>('sow', 'strike', 'pot'),
        fc.array(
          fc.tuple(fc.constantFrom('up', 'count', 'lost', 'thinned', 'moved', 'out', 'undo'), fc.nat(90)),
          { maxLength: 25 },
        ),
        (start, asked) => {
          const planting = { ...tray, start };
          const events: KeptEvent[] = [];
          for (const [kind, n] of asked) {
            const event = {
              // On days in any order.
              ...{
                kind,
                on: `2027-03-${10 + ((7 * n) % 20)}`,
                count: n,
                alive: n,
                cause: 'cold',
                way: 'sold',
                to: 2,
                of: (n % 25) + 1,
              },
            } as unknown as PlantEvent;
            try {
              checkEvent(planting, events, event);
            } catch (error) {
              if (error instanceof RangeError) continue;
              throw error;
            }
            events.push({ ...event, id: events.length + 1 });
          }
          const { begun, entered, alive, lost, lostSum, thinned, moved, out } = tallyOf(planting, events);
          if (entered === null) return alive === null && lostSum + thinned + moved + out < begun;
          const byCause = [...lost.values()].reduce((sum, n) => sum + n, 0);
          return (
            entered === alive! + lostSum + thinned + moved + out &&
            byCause === lostSum &&
            alive! >= 0 &&
            (asked.some(([kind]) => kind === 'undo') || entered <= begun)
          );
        },
      ),
      { numRuns: 2000 },
    ));

  test.each<[string, PlantEvent, RegExp]>([
    ['more lost than stand', { kind: 'lost', on, count: 61, cause: 'cold' }, /most alive .*60/],
    ['more up than sown', { kind: 'up', on, count: 73 }, /most begun .*72/],
    ['before it was sown', { kind: 'fed', on: '2027-02-28', text: 'weak' }, /since it began .*2027-03-01/],
    ['a day that is none', { kind: 'fed', on: '2027-02-30', text: 'weak' }, /must be day/],
    ['taking back what is not there', { kind: 'undo', on, of: 7 }, /of must be can be undone/],
  ])('%s is named', (_, event, says) => {
    expect(() => checkEvent(tray, kept({ kind: 'up', on, count: 60 }), event)).toThrow(says);
  });

  test('moved out before a day on which all of them were counted: that is said', () => {
    const events = kept({ kind: 'up', on, count: 70 }, { kind: 'count', on: '2027-03-20', alive: 70 });
    const moved: PlantEvent = { kind: 'moved', on: '2027-03-12', count: 40, to: 2 };
    expect(() => checkEvent(tray, events, moved)).toThrow(/later counts agree/);
    checkEvent(tray, events, { ...moved, on: '2027-03-21' });
  });

  test('every crop can be sown at any temperature of the mix; outside its span it is said that few come up', () => {
    for (const crop of crops.values())
      for (const soilC of [2, 12, 20, 33]) {
        const sown: Planting = { ...tray, crop: crop.id };
        const [first] = careOf(sown, crop, tallyOf(sown, []), [], { roomDays: 400, soilC });
        const low = crop.emergence[0]?.[0] ?? soilC;
        const high = crop.emergence.at(-1)?.[0] ?? soilC;
        const isOutside = crop.emergence.length > 1 && (soilC < low || soilC > high);
        expect([crop.id, soilC, first?.id, first?.text.say]).toEqual([
          ...[crop.id, soilC, 'up'],
          isOutside ? 'care.hardly-up' : 'care.up',
        ]);
      }
  });

  test('care: counted when it should be up, watered and looked at when moved bare-root, fed, potted up', () => {
    const tomato = crops.get('tomato')!;
    const care = (planting: Planting, ...events: PlantEvent[]) =>
      careOf(planting, tomato, tallyOf(planting, kept(...events)), kept(...events), {
        roomDays: 42,
        soilC: 20,
      }).map(({ id, on, until }) => [id, on, until]);
    // Eight days at 20 °C, fed two weeks after.
    expect(care(tray)).toEqual([
      ['up', '2027-03-09', null],
      ['feed', '2027-03-23', null],
      ['pot-up', '2027-04-12', null],
    ]);
    expect(care(tray, { kind: 'up', on, count: 60 }, { kind: 'fed', on, text: 'weak' })).toEqual([
      ['pot-up', '2027-04-12', null],
    ]);
    const rescued = { ...tray, start: 'pot' as const, bareRoot: true };
    expect(care(rescued).slice(0, 2)).toEqual([
      ['water', '2027-03-01', '2027-03-08'],
      ['feed', '2027-03-15', null],
    ]);
    expect(care(rescued)).toContainEqual(['look', '2027-03-22', null]);
    expect(care(rescued, { kind: 'count', on: '2027-03-22', alive: 60 }).map(([id]) => id)).not.toContain(
      'look',
    );
    expect(care(tray, { kind: 'up', on, count: 0 })).toEqual([]);
  });
});

describe('compare results', () => {
  test('Holm, by its definition', () => {
    expect(holm([0.01, 0.04, 0.03, 0.005]).map((p) => Number(p.toFixed(6)))).toEqual([
      0.03, 0.06, 0.06, 0.02,
    ]);
    expect(holm([0.6, 0.7])).toEqual([1, 1]);
  });

  test('a clear one, too few, and nothing to speak of', () => {
    const arm = (name: string, alive: number, of: number) => ({ name, alive, of });
    const clear = verdictOf([arm('House mix', 130, 144), arm('Bought', 90, 144)], 'came up');
    expect(plainly(clear.says)).toMatch(
      /^House mix did better than Bought: 90 % of 144 came up, against 63 % of 144\. Chance/,
    );
    expect(clear.moreEach).toBeNull();
    const few = verdictOf([arm('A', 6, 10), arm('B', 8, 10)], 'came up');
    expect(plainly(few.says)).toMatch(/^Too few to say\. B is ahead: .* 81 more of each/);
    // Ninety-one each tell 0.60 from 0.80 (Fleiss): eighty-one more.
    expect(few.moreEach).toBe(81);
    expect(plainly(verdictOf([arm('A', 80, 100), arm('B', 81, 100)], 'came up').says)).toMatch(
      /^Hardly a difference/,
    );
    // Of four arms one pair stands out.
    const four = verdictOf(
      [arm('A', 60, 72), arm('B', 62, 72), arm('C', 40, 72), arm('D', 61, 72)],
      'came up',
    );
    expect(
      four.pairs.filter(({ differs }) => differs).map(({ better, worse }) => [better, worse].join()),
    ).toEqual(expect.arrayContaining(['1,2']));
    expect(() => verdictOf([arm('A', 1, 2)], 'came up')).toThrow(/arms must be at least 2/);
  });

  test('chance alone is called a difference no oftener than said: 1,000 trials of four mixes that are alike', () => {
    let result = 0;
    for (let trial = 0; trial < 1000; trial++) {
      const arms = [0, 1, 2, 3].map((a) => {
        let alive = 0;
        for (let cell = 0; cell < 72; cell++) if (uniformAt(11, trial * 4 + a, cell) < 0.8) alive++;
        return { name: `${a}`, alive, of: 72 };
      });
      if (verdictOf(arms, 'came up').pairs.some((pair) => pair.differs)) result++;
    }
    expect(result / 1000).toBeLessThanOrEqual(0.05);
  });

  test('a trial is laid out in whole blocks, again and again the same, and fairly', () => {
    const trays = layOut(20_270_301, 3, 8);
    expect(trays).toHaveLength(24);
    for (let block = 1; block <= 8; block++) {
      const of = trays.filter((trialTray) => trialTray.block === block);
      expect(of.map(({ arm }) => arm).sort()).toEqual([0, 1, 2]);
      expect(of.map(({ place }) => place)).toEqual([1, 2, 3]);
    }
    expect(layOut(20_270_301, 3, 8)).toEqual(trays);
    // Over many seeds each arm stands first equally often: within four standard deviations of a third.
    let first = 0;
    for (let seed = 0; seed < 3000; seed++) if (layOut(seed, 3, 2)[0]!.arm === 0) first++;
    expect(Math.abs(first - 1000)).toBeLessThan(4 * Math.sqrt((3000 * 2) / 9));
    expect(() => layOut(1, 1, 8)).toThrow(/arms must be a whole number from 2 to 8/);
  });
});

describe('what is wrong with them', () => {
  const cases: [CauseId, SignId, Found][] = [
    ['hungry', 'yellow-old', { ec: 'low', feed: 'due', ph: 'right' }],
    ['hungry', 'stunted', { ec: 'low', feed: 'due', nights: 'mild' }],
    ['sweet', 'yellow-veins', { ph: 'high', ec: 'right' }],
    ['salty', 'burnt-tips', { ec: 'high', fresh: 'no' }],
    ['salty', 'yellow-edges', { ec: 'high', ph: 'right', surface: 'wet' }],
    ['drowned', 'wilt-wet', { air: 'short', surface: 'wet', ec: 'right' }],
    ['drowned', 'green-film', { air: 'short', surface: 'wet' }],
    ['cold', 'purple', { nights: 'cold', ec: 'right', ph: 'right' }],
    ['damping', 'stem-rot', { surface: 'wet', air: 'short' }],
    ['ammonia', 'mould', { fresh: 'yes', ec: 'high' }],
    ['old-seed', 'uneven', { seed: 'old', surface: 'wet' }],
    ['old-seed', 'none-up', { seed: 'old', nights: 'mild', ec: 'right' }],
    ['circling', 'yellow-old', { age: 'long', feed: 'given', ec: 'right' }],
    ['sour', 'stunted', { ph: 'low', ec: 'right', nights: 'mild', feed: 'given' }],
    ['dry', 'yellow-edges', { surface: 'dry', ec: 'right', air: 'right', ph: 'right' }],
  ];

  test('made-up cases of known cause: named first in at least eight of ten', () => {
    const right = cases.filter(([cause, sign, found]) => rankCauses(sign, found)[0]!.cause === cause);
    expect(right.length / cases.length).toBeGreaterThanOrEqual(0.8);
  });

  test('shares add up, and by hand: two causes, one reading', () => {
    const [first, second] = rankCauses('stretched', { fresh: 'yes' });
    // Weights 9 and 0.5; the first says nothing of freshness (0.15), the second 0.85.
    const [dark, ammonia] = [9 * 0.15, 0.5 * 0.85];
    expect(first).toMatchObject({ cause: 'dark' });
    expect(first!.share).toBeCloseTo(dark / (dark + ammonia), 12);
    expect(second!.because).toEqual(['fresh']);
    for (const sign of signIds)
      expect(rankCauses(sign, {}).reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  const anyFound = fc.record(
    Object.fromEntries(
      Object.entries(evidence).map(([id, states]) => [id, fc.constantFrom(...Object.keys(states))]),
    ),
    { requiredKeys: [] },
  ) as fc.Arbitrary<Found>;

  test('never a remedy that harms under the second cause', () =>
    fc.assert(
      fc.property(fc.constantFrom(...signIds), anyFound, (sign, found) => {
        const ranked = rankCauses(sign, found);
        const { cause, withheld } = remedyFor(ranked, { cells: 72, volumeL: 0.06 });
        const harms = causes[cause].harms;
        const second = ranked[1]?.cause;
        return withheld === null ? !second || !harms.includes(second) : withheld === second;
      }),
      { numRuns: 3000 },
    ));

  test('the test that tells most, amounts, and what helped teaches the table', () => {
    // Purple: cold and hunger are told apart by a night with a thermometer.
    expect(tellingTest('purple', {})!.id).toBe('nights');
    const salty = remedyFor(rankCauses('burnt-tips', { ec: 'high', fresh: 'no' }), {
      cells: 72,
      volumeL: 0.06,
    });
    // One and a half volumes of 72 cells of 60 mL.
    expect(salty.drench.leachLitres).toBeCloseTo(1.5 * 72 * 0.06, 9);
    expect(salty.drench.litres).toBeCloseTo(0.2 * 72 * 0.06, 9);
    const taught = new Map<CauseId, number>([['sour', 40]]);
    expect(rankCauses('stunted', {})[0]!.cause).not.toBe('sour');
    expect(rankCauses('stunted', {}, taught)[0]!.cause).toBe('sour');
    expect(() => rankCauses('blue' as SignId, {})).toThrow(/sign must be one of/);
  });

  test('what the record holds, by hand', () => {
    const about = {
      ...{ today: '2027-04-20', ph: { low: 5.5, high: 6.5 }, ec: { low: 0.5, high: 1.5 } },
      ...{ airPct: 5, air: { low: 8, high: 20 }, coldestC: 5, roomDays: 42, firstFeedDays: 14 },
      ...{ madeOn: '2027-02-20', living: true },
    };
    const events = kept(
      { kind: 'ph', on: '2027-03-20', value: 5.0 },
      { kind: 'ph', on: '2027-04-18', value: 7.1 },
      { kind: 'ec', on: '2027-04-18', value: 0.3 },
      { kind: 'cold', on: '2027-04-15', celsius: 3 },
    );
    expect(foundOf(tray, events, about)).toEqual({
      ...{ ph: 'high', ec: 'low', air: 'short', nights: 'cold', age: 'long', feed: 'due', fresh: 'yes' },
    });
    expect(
      foundOf(tray, [], { ...about, today: '2027-03-05', madeOn: undefined, airPct: undefined }),
    ).toEqual({
      ...{ age: 'right', feed: 'given' },
    });
  });
});

describe('counts that were made apart', () => {
  const planting: Planting = {
    ...{ id: 1, start: 'pot', crop: 'basil', name: '', seed: '', vessel: 'pot-9', cells: 100, perCell: 1 },
    ...{
      batch: null,
      on: '2031-03-01',
      bareRoot: false,
      halfFilled: false,
      season: null,
      seedLot: null,
      from: [],
      trial: null,
    },
  };
  const count = (id: number, alive: number, at?: string): KeptEvent => ({
    ...{ id, kind: 'count', on: '2031-03-04', alive },
    ...(at !== undefined && { at }),
  });

  test('the later made one holds, whichever came in first, and the earlier is told of', () => {
    const events = [count(5, 90, '2031-03-04T11:00:00Z'), count(6, 95, '2031-03-04T10:00:00Z')];
    expect(tallyOf(planting, events).alive).toBe(90);
    expect(countsApart(events).map(({ holds, earlier }) => [holds.alive, earlier.alive])).toEqual([[90, 95]]);
  });

  test('in turn, alike, taken back or from before times were kept there is nothing to tell', () => {
    const inTurn = [count(5, 95, '2031-03-04T10:00:00Z'), count(6, 90, '2031-03-04T11:00:00Z')];
    const alike = [count(5, 90, '2031-03-04T11:00:00Z'), count(6, 90, '2031-03-04T10:00:00Z')];
    const apart = [count(5, 90, '2031-03-04T11:00:00Z'), count(6, 95, '2031-03-04T10:00:00Z')];
    const back: KeptEvent = { id: 7, kind: 'undo', on: '2031-03-04', of: 6 };
    for (const events of [inTurn, alike, [...apart, back], [count(5, 95), count(6, 90)]])
      expect(countsApart(events)).toEqual([]);
    expect(tallyOf(planting, inTurn).alive).toBe(90);
  });
});
