import fc from 'fast-check';
import { dayNumber, dayOf } from '#core/season/days';
import { type Demand, toBuy } from '#core/season/demand';
import { fitBench, type FitItem, type FitOption } from '#core/season/fit-bench';
import { fitItems } from '#core/season/fit-options';
import { type MixRest, mixingDays, type MixNeed, mixRestOf } from '#core/season/mixing';
import { seasonOf } from '#core/season/season';
import { sketch } from '#core/recipe/sketch';
import { library, vesselKind } from '#testing/library';
import { aLine, crops, someSettings } from '#testing/season';

const lime: MixRest = { least: 7, usual: 14, why: 'lime' };
const need = (on: string, litres = 10, mix = 'a'): MixNeed => ({
  mix,
  on,
  litres,
  line: 1,
  sowing: 1,
  step: 0,
});

test('a mix waits for the slowest thing in it', () => {
  const rest = (parts: Record<string, number>, doses: Record<string, number> = {}) =>
    mixRestOf(sketch('potting', 'pot-9', parts, { doses }), library);
  expect(rest({ 'peat-fine': 1 })).toMatchObject({ least: 0 });
  expect(rest({ 'coir-pith': 1 })).toMatchObject({ least: 1 });
  expect(rest({ 'peat-fine': 1 }, { 'lime-dolomitic': 3 })).toMatchObject({ least: 7, usual: 14 });
  expect(rest({ 'peat-fine': 1 }, { 'lime-dolomitic': 3, 'blood-meal': 1 })).toMatchObject({
    least: 14,
    usual: 21,
  });
  // Aged bark is no wait; a fresh lot is.
  expect(rest({ 'bark-pine': 1 }, { 'lime-dolomitic': 3 })).toMatchObject({ least: 7, usual: 14 });
  const bark = { ...library.materials.get('bark-pine')!, drawdownMgNPerL: 100 };
  const fresh = { ...library, materials: new Map(library.materials).set('bark-pine', bark) };
  const potting = sketch('potting', 'pot-9', { 'bark-pine': 1 }, { doses: { 'lime-dolomitic': 3 } });
  expect(mixRestOf(potting, fresh)).toMatchObject({ least: 21, usual: 28 });
});

test('two weeks before the first use; what falls within a week is one batch; another mix is another', () => {
  const days = mixingDays(
    [need('2027-04-20'), need('2027-04-01'), need('2027-04-06', 5), need('2027-04-02', 1, 'b')],
    () => lime,
    '2027-01-01',
  );
  expect(days.map((d) => [d.mix, d.on, d.latest, d.litres])).toEqual([
    ['a', '2027-03-18', '2027-03-25', 15],
    ['b', '2027-03-19', '2027-03-26', 1],
    ['a', '2027-04-06', '2027-04-13', 10],
  ]);
});

test('what should have been mixed is mixed today, and said to be late', () => {
  const [late] = mixingDays([need('2027-04-20')], () => lime, '2027-04-15');
  expect(late).toMatchObject({ on: '2027-04-15', latest: '2027-04-13', late: true });
  const [soon] = mixingDays([need('2027-04-20')], () => lime, '2027-04-10');
  expect(soon).toMatchObject({ on: '2027-04-10', late: false });
});

test('no need is lost, none is made too late, and fewer days would not do', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 7 }),
      fc.integer({ min: 0, max: 10 }),
      (uses, least) => {
        const rest: MixRest = { least, usual: least + 3, why: 'lime' };
        const needs = uses.map((n) => need(dayOf(20_000 + n), 1));
        const days = mixingDays(needs, () => rest, dayOf(19_000));
        expect(days.reduce((sum, d) => sum + d.litres, 0)).toBe(uses.length);
        for (const day of days)
          for (const mixNeed of day.needs) {
            const wait = dayNumber(mixNeed.on) - dayNumber(day.on);
            expect(wait).toBeGreaterThanOrEqual(least);
            expect(wait).toBeLessThanOrEqual(rest.usual + 7);
          }
        // As many needs of which no two could share a day: so many days there must be.
        const windows = uses.map((n) => [n - rest.usual - 7, n - least] as const).sort((a, b) => a[1] - b[1]);
        let [apart, end] = [0, -Infinity];
        for (const [from, by] of windows) if (from > end) [apart, end] = [apart + 1, by];
        expect(days).toHaveLength(apart);
      },
    ),
  );
});

test('outdoors one mixes on the nearest dry and still day, never too late for the lime', () => {
  const day = (n: number, rainMm: number, windKmh = 5) => ({
    day: dayOf(n),
    minC: 5,
    maxC: 12,
    rainMm,
    windKmh,
  });
  const first = dayNumber('2027-04-01');
  const uses = [need(dayOf(first + 16))];
  const at = (...forecast: ReturnType<typeof day>[]) => {
    const [one] = mixingDays(uses, () => lime, '2027-01-01', forecast);
    return [dayNumber(one!.on) - first, one!.weather];
  };
  expect(at()).toEqual([2, null]);
  expect(at(day(first + 2, 0))).toEqual([2, 'fair']);
  expect(at(day(first + 1, 0), day(first + 2, 4), day(first + 3, 0))).toEqual([1, 'moved']);
  expect(at(day(first + 1, 0, 40), day(first + 2, 4), day(first + 3, 0))).toEqual([3, 'moved']);
  expect(at(day(first + 1, 3), day(first + 2, 4))).toEqual([2, 'foul']);
});

test('what must be bought, by when: trays come back, mix does not, and what nobody counted is all told', () => {
  const demands: Demand[] = [
    { kind: 'material', item: 'peat', amount: 60, on: '2027-03-10' },
    { kind: 'material', item: 'peat', amount: 60, on: '2027-04-10' },
    { kind: 'vessel', item: 'tray', amount: 100, on: '2027-03-01', backOn: '2027-04-01' },
    { kind: 'vessel', item: 'tray', amount: 100, on: '2027-04-01', backOn: '2027-05-01' },
    { kind: 'seed', item: 'Leek', amount: 500, on: '2027-02-20' },
  ];
  const left = new Map([
    ['peat', 100],
    ['tray', 100],
  ]);
  expect(toBuy(demands, (_, item) => left.get(item) ?? null)).toEqual([
    { kind: 'seed', item: 'Leek', needed: 500, left: null, short: 500, by: '2027-02-20' },
    { kind: 'material', item: 'peat', needed: 120, left: 100, short: 20, by: '2027-04-10' },
    { kind: 'vessel', item: 'tray', needed: 100, left: 100, short: 0, by: null },
  ]);
});

/** Every choice of every sowing tried. */
function byTrying(items: readonly FitItem[], benchM2: number): number | null {
  let best: number | null = null;
  const loads = new Map<number, number>();
  const add = (readonlyMap: ReadonlyMap<number, number>, sign: number): void =>
    readonlyMap.forEach((m2, week) => loads.set(week, (loads.get(week) ?? 0) + sign * m2));
  const from = (i: number, cost: number): void => {
    if (i === items.length) {
      if ([...loads.values()].every((m2) => m2 <= benchM2 + 1e-9) && (best === null || cost < best))
        best = cost;
      return;
    }
    const stays: FitOption = { move: { days: 0 }, plantDays: 0, loads: items[i]!.loads };
    for (const option of [stays, ...items[i]!.options]) {
      add(option.loads, 1);
      from(i + 1, cost + option.plantDays);
      add(option.loads, -1);
    }
  };
  from(0, 0);
  return best;
}

const loads = fc
  .tuple(
    fc.integer({ min: 0, max: 5 }),
    fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 3 }),
  )
  .map(([first, each]) => new Map(each.map((m2, i) => [first + i, m2])));
const someItems = fc.array(
  fc.record({
    line: fc.integer({ min: 1, max: 9 }),
    sowing: fc.constant(1),
    loads,
    options: fc.array(
      fc.record({ move: fc.constant({ days: 7 }), plantDays: fc.integer({ min: 1, max: 50 }), loads }),
      { maxLength: 3 },
    ),
  }),
  { minLength: 1, maxLength: 5 },
);

test('the bench is fitted by the fewest plant-days: as many as trying everything finds', () => {
  fc.assert(
    fc.property(someItems, fc.integer({ min: 4, max: 12 }), (items, benchM2) => {
      const fit = fitBench(items, benchM2);
      const best = byTrying(items, benchM2);
      expect(fit.exact).toBe(true);
      expect(fit.outcome).toBe(best === null ? 'impossible' : 'fits');
      if (best !== null) expect(fit.plantDays).toBeCloseTo(best, 9);
      // What it says it did brings it under the line.
      if (fit.outcome !== 'fits') return;
      const sums = new Map<number, number>();
      const moved = new Map(fit.moves.map(({ option }) => [option.loads, option]));
      expect(moved.size).toBe(fit.moves.length);
      for (const item of items) {
        const option = item.options.find((each) => moved.has(each.loads));
        for (const [week, m2] of option?.loads ?? item.loads) sums.set(week, (sums.get(week) ?? 0) + m2);
      }
      for (const m2 of sums.values()) expect(m2).toBeLessThanOrEqual(benchM2 + 1e-9);
    }),
    { numRuns: 300 },
  );
});

test('a season over its bench comes under it within what its crops allow, blocks for cells among the ways', () => {
  const lines = [
    aLine({ id: 1, crop: 'tomato', plants: 300 }),
    aLine({ id: 2, crop: 'cabbage', plants: 600 }),
    aLine({ id: 3, crop: 'lettuce', plants: 400, count: 3, everyDays: 14 }),
    aLine({ id: 4, crop: 'basil', plants: 200 }),
  ];
  const season = seasonOf(someSettings, lines, crops, library.vessels);
  const most = Math.max(...season.weeks.map((w) => w.benchM2));
  const items = fitItems(
    season,
    '2027-01-01',
    () => false,
    (kind) => (kind.id === 'cell-72' ? vesselKind('block-40') : null),
  );
  const fit = fitBench(items, most * 0.9);
  expect([fit.outcome, fit.exact]).toEqual(['fits', true]);
  expect(fit.moves.length).toBeGreaterThan(0);
  for (const { line, option } of fit.moves) {
    const crop = crops.get(lines[line - 1]!.crop)!;
    if ('days' in option.move) {
      expect(option.move.days).toBeGreaterThanOrEqual(-crop.earlierDays);
      expect(option.move.days).toBeLessThanOrEqual(crop.laterDays);
    }
  }
  // Moved so, the counting back says the same.
  const shifted = lines.map((seasonLine) => ({
    ...seasonLine,
    shifts: Array.from({ length: seasonLine.count }, (_, k) => {
      const move = fit.moves.find((m) => m.line === seasonLine.id && m.sowing === k + 1)?.option.move;
      return move && 'days' in move ? move.days : 0;
    }),
    ...(fit.moves.some((m) => m.line === seasonLine.id && 'vessel' in m.option.move) && {
      steps: crops.get(seasonLine.crop)!.steps.map((s, i) => (i === 0 ? { ...s, vessel: 'block-40' } : s)),
    }),
  }));
  const again = seasonOf(someSettings, shifted, crops, library.vessels);
  expect(Math.max(...again.weeks.map((w) => w.benchM2))).toBeLessThanOrEqual(most * 0.9 + 1e-9);
});
