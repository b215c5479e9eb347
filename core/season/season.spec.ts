import { metric } from '#testing/readers';
import { read } from '#words/read';
import fc from 'fast-check';
import { getISOWeek, getISOWeekYear, parseISO } from 'date-fns';
import { atLeast } from '#core/stats/binomial';
import { dayNumber, dayOf, isoWeekOf, weekNumber, weekOfName } from '#core/season/days';
import { emergenceFrom, stepsFrom, stepsText, tasksFrom, tasksText } from '#core/season/crop';
import { seasonOf } from '#core/season/season';
import { seasonSays } from '#core/season/season-says';
import { needsOf } from '#core/season/needs';
import { sourSays } from '#core/season/sour-says';
import { starterMixes } from '#core/recipe/starter-mixes';
import { darkWeeks } from '#core/season/lit-bench';
import { coldWeeks } from '#core/season/warm-bench';
import { seedShare } from '#core/season/line';
import { seedsInOne } from '#core/season/per-vessel';
import { volumeL } from '#core/vessel/vessel';
import { tasksOf } from '#core/season/tasks';
import { aLine, crops, someSettings as settings } from '#testing/season';
import { library } from '#testing/library';

const season = (...lines: Parameters<typeof aLine>[0][]) =>
  seasonOf(
    settings,
    lines.map((line, i) => aLine({ id: i + 1, ...line })),
    crops,
    library.vessels,
  );

test('every starter crop stands on vessels that there are, comes out whole, and is right in its own season', () => {
  for (const crop of crops.values()) {
    const { sowings, missing } = season({ crop: crop.id });
    expect(missing).toEqual([]);
    const [one] = sowings;
    expect(one!.steps).toHaveLength(crop.steps.length);
    // Begun as the crop says, nothing of it is too early, in frost, or of poor seed.
    const says = seasonSays(sowings, settings, '2026-01-01', () => false).filter(
      (s) => s.severity === 'warn',
    );
    expect([crop.id, says.map((s) => s.text)]).toEqual([crop.id, []]);
    for (const task of tasksOf(one!, settings)) expect(Number.isNaN(Date.parse(task.on))).toBe(false);
  }
  expect([...crops.values()].filter((c) => c.kind !== 'woody').length).toBeGreaterThanOrEqual(40);
  expect([...crops.values()].filter((c) => c.kind === 'woody').length).toBeGreaterThanOrEqual(12);
});

test('too cold to come up: begun on the first day that is warm enough, or in a heated place', () => {
  const { sowings } = season({ crop: 'tomato', plants: 100 });
  const cold = { ...settings, soilC: 8 };
  // Sown on 31 March.
  const from = (warmOn?: (day: string) => number) =>
    seasonSays(sowings, cold, '2026-01-01', () => false, warmOn).find(({ code }) => code === 'hardly-up')!
      .text;
  const on = (warmOn?: (day: string) => number) => from(warmOn).with as { from: string | null };
  expect(on().from).toBeNull();
  expect(on((day) => (day < '2027-05-01' ? 7 : 16)).from).toBe('2027-05-01');
  // The house is warm on that day already: the mix wants heat. And one that never warms does too.
  for (const warmth of [18, 7]) expect(on(() => warmth).from).toBeNull();
  expect(read(from(), metric)).toMatch(/Sow it in a heated place\.$/);
  expect(
    read(
      from((day) => (day < '2027-05-01' ? 7 : 16)),
      metric,
    ),
  ).toMatch(/begin it on 1 May/);
});

test('tomatoes from the last frost back, by hand', () => {
  const [one] = season({ crop: 'tomato', plants: 100 }).sowings;
  // 5 May + 14 days; three weeks in pots, four in cells.
  expect([one!.plantOn, one!.steps[1]!.from, one!.steps[0]!.from]).toEqual([
    '2027-05-19',
    '2027-04-28',
    '2027-03-31',
  ]);
  // 110 with a tenth to spare; 114 potted at 3 % lost; 120 standing at 5 % lost.
  expect([one!.steps[1]!.plants, one!.steps[1]!.cells, one!.steps[0]!.plants]).toEqual([110, 114, 114]);
  expect(atLeast(one!.steps[0]!.cells, 0.85, 120)).toBeGreaterThanOrEqual(0.9);
  expect(atLeast(one!.steps[0]!.cells - 1, 0.85, 120)).toBeLessThan(0.9);
  const tasks = tasksOf(one!, { soilC: 20 }).map((task) => [task.id, task.on]);
  // Eight days at 20 °C.
  expect(tasks).toEqual(
    expect.arrayContaining([
      ['start', '2027-03-31'],
      ['up', '2027-04-08'],
      ['feed', '2027-04-22'],
      ['move-2', '2027-04-28'],
      ['harden', '2027-05-12'],
      ['plant', '2027-05-19'],
    ]),
  );
  expect(tasksOf(one!, { soilC: 20 }).find((t) => t.id === 'move-2')!.text.with).toMatchObject({
    deep: true,
  });
});

test('six onions to a cell are six plants; three basil to a cell go into one pot', () => {
  const [onion] = season({ crop: 'onion', plants: 600, sparePct: 0 }).sowings;
  const needed = Math.ceil(600 / 0.95);
  expect(atLeast(onion!.steps[0]!.cells * 6, 0.8, needed)).toBeGreaterThanOrEqual(0.9);
  expect(atLeast((onion!.steps[0]!.cells - 1) * 6, 0.8, needed)).toBeLessThan(0.9);
  const [basil] = season({ crop: 'basil', plants: 100, sparePct: 0 }).sowings;
  const pots = Math.ceil(100 / 0.97);
  expect(basil!.steps[1]!.cells).toBe(pots);
  // A cell is empty only where none of three comes up: 0.2³.
  expect(atLeast(basil!.steps[0]!.cells, 1 - 0.2 ** 3, Math.ceil(pots / 0.95))).toBeGreaterThanOrEqual(0.9);
  expect(basil!.steps[0]!.cells).toBeLessThan(1.1 * Math.ceil(pots / 0.95));
});

test('the cover is part of the sum: by its depth over the tops of all cells', () => {
  const [one] = season({ crop: 'cucumber', plants: 46 }).sowings;
  const step = one!.steps[0]!;
  const tops = step.cells * 0.07 ** 2;
  expect(step.cover.litres).toBeCloseTo(tops * 13, 9);
  expect(step.mixL).toBeCloseTo((step.cells * volumeL(step.kind.vessel) + step.cover.litres) * 1.05, 9);
});

test('it speaks of what is too early, of frost, of cold nights, of old seed and of seed by habit', () => {
  const result = (line: Parameters<typeof aLine>[0], today = '2026-12-01') =>
    seasonSays(season(line).sowings, settings, today, () => false);
  const path = stepsFrom('cell-72 20w 5%', 'sow');
  expect(result({ crop: 'tomato', steps: path }).map((s) => s.code)).toContain('too-long');
  expect(result({ crop: 'tomato', steps: [{ ...path[0]!, mostWeeks: 20 }] }).map((s) => s.code)).toEqual([
    'per-cell',
  ]);
  const frost = result({ crop: 'tomato', plantOn: '2027-05-06' })[0]!;
  expect(frost).toMatchObject({ code: 'frost', severity: 'warn', moveDays: 14 });
  expect(read(frost.text, metric)).toContain('5 years of 10');
  expect(result({ crop: 'cabbage', plantOn: '2027-04-10' }).map((s) => s.code)).toEqual(['per-cell']);
  const old = result({ crop: 'onion', seedTest: { came: 10, of: 20 } });
  expect(old.map((s) => s.code)).toEqual(['old-seed']);
  // 0.7 × 0.9 = 0.63 of one seed: 37 % empty.
  const thin = result({ crop: 'tomato', germination: 0.7, seedYear: 2025 });
  expect(read(thin.find((s) => s.code === 'per-cell')!.text, metric)).toContain('leaves 37\u00a0% empty');
  const late = result({ crop: 'tomato' }, '2027-04-10')[0]!;
  expect(late).toMatchObject({ code: 'late', moveDays: 10 });
  expect(read(late.text, metric)).toContain('on 29 May 2027');
});

test('what dislikes cold wants a heated bench until the late frost, and no longer', () => {
  const { sowings } = season({ crop: 'pepper', plants: 200 });
  const bench = (heated: boolean, m2: number) => ({ name: 'B', m2, heated, lights: false });
  const cold = coldWeeks({ sowings }, { ...settings, benches: [bench(false, 50), bench(true, 1)] });
  // In pots from 5 May on it is more than 1 m², to 19 May: hardened off from then, and the late frost is on the 20th.
  expect([cold[0]!.week, cold.at(-1)!.week, cold[0]!.haveM2]).toEqual(['2027-W18', '2027-W20', 1]);
  expect(coldWeeks({ sowings }, { ...settings, benches: [bench(true, 50)] })).toEqual([]);
  expect(coldWeeks({ sowings }, { ...settings, benches: [] })).toEqual([]);
});

test('old seed: an own test by its careful end (Wilson 1927), an age by a tenth a year after the first', () => {
  const crop = crops.get('tomato')!;
  const tested = seedShare(aLine({ crop: 'tomato', seedTest: { came: 16, of: 20 } }), crop, 2027);
  // Wilson's interval of 16 in 20 at z = 1.2816, by hand.
  const [p, n, z] = [0.8, 20, 1.2815515655446004];
  const low =
    (p + z ** 2 / 2 / n - z * Math.sqrt((p * (1 - p)) / n + z ** 2 / 4 / n ** 2)) / (1 + z ** 2 / n);
  expect(tested.share).toBeCloseTo(low, 12);
  expect(seedShare(aLine({ crop: 'tomato', seedYear: 2024 }), crop, 2027).share).toBeCloseTo(0.85 * 0.81, 12);
  expect(seedShare(aLine({ crop: 'tomato', seedYear: 2026 }), crop, 2027).share).toBe(0.85);
});

test('a week is named as ISO 8601 has it, over New Year and leap years, and found again by its name', () => {
  fc.assert(
    fc.property(fc.integer({ min: -3000, max: 40_000 }), (n) => {
      const day = parseISO(dayOf(n));
      const name = `${getISOWeekYear(day)}-W${String(getISOWeek(day)).padStart(2, '0')}`;
      expect(isoWeekOf(weekNumber(n))).toBe(name);
      expect(weekOfName(name)).toBe(weekNumber(n));
    }),
  );
  expect(() => weekOfName('2027-W53')).toThrow('week must be week');
  expect(() => dayNumber('2027-02-29')).toThrow('day must be day');
});

test('paths and tasks are read as they are written, and what cannot be is named', () => {
  const path = 'cell-72 6w 10% germination > pot-9 3.5w 5% most 8w potting mix 4';
  expect(stepsText(stepsFrom(path, 'sow'))).toBe(path);
  const tasks = 'dome off @ start +10; shade @ plant -2 for 7';
  expect(tasksText(tasksFrom(tasks))).toBe(tasks);
  expect(() => stepsFrom('cell-72 0w 10%', 'sow')).toThrow('{"low":0.1,"high":520,"given":0}');
  expect(() => stepsFrom('cell-72 6w 100%', 'sow')).toThrow('{"low":0,"high":99,"given":100}');
  expect(() => stepsFrom('in cells', 'sow')).toThrow('path of vessels');
  expect(() => stepsFrom('cell-72 6w 5% sprouting', 'sow')).toThrow('one of germination');
  expect(() => tasksFrom('water it')).toThrow('tasks must be task form');
  expect(() => emergenceFrom('20:8 15:14')).toThrow('cold to warm');
});

test('a plant that wants it sour and a mix that is limed', () => {
  const acid = [...crops.values()].find((crop) => crop.acid)!;
  const { sowings } = season({ crop: acid.id, count: 3, everyDays: 14 }, { crop: 'tomato' });
  const said = sourSays(sowings, new Map(), null);
  // Once to a line, and never of a tomato.
  expect(said.map(({ line, sowing, code }) => [line, sowing, code])).toEqual([[1, 1, 'wants-sour']]);
  const recipe = { ...starterMixes.potting, lime: { amendment: 'lime-dolomitic', ph: 5 } };
  const steps = acid.steps.map((step) => ({ ...step, mix: 7 }));
  const given = season({ crop: acid.id, steps }).sowings;
  expect(sourSays(given, new Map([[7, { id: 7, name: 'Heath mix', recipe }]]), null)).toEqual([]);
});

test('what is begun takes no seed, vessel or cover any more', () => {
  const all = season({ crop: 'tomato', count: 2, everyDays: 14 });
  const open = { made: () => false, begun: () => false };
  const seedOf = (done: typeof open) =>
    needsOf(all, new Map(), null, library, '2027-01-01', done).demands.filter(({ kind }) => kind === 'seed');
  expect(seedOf(open)).toHaveLength(2);
  const begun = needsOf(all, new Map(), null, library, '2027-01-01', {
    ...open,
    begun: (_: number, sowing: number) => sowing === 1,
  });
  expect(begun.demands.filter(({ kind }) => kind === 'seed').map(({ on }) => on)).toEqual([
    all.sowings[1]!.steps[0]!.from,
  ]);
  // The pots that come later are still to be filled.
  expect(begun.demands.some(({ on }) => on === all.sowings[0]!.steps[1]!.from)).toBe(true);
});

test('lights: sown around the shortest day, on both halves of the world, in the first vessel only', () => {
  const lit = (m2: number) => [{ name: 'Rack', m2, heated: true, lights: true }];
  const { sowings } = season({ crop: 'tomato', plants: 2000, plantOn: '2027-02-01' });
  const [first] = sowings[0]!.steps;
  const dark = darkWeeks({ sowings }, { ...settings, benches: lit(0.5) });
  expect(dark.map(({ week }) => week)).toContain(isoWeekOf(weekNumber(dayNumber(first!.from))));
  expect(dark.at(-1)!.week <= isoWeekOf(weekNumber(dayNumber(first!.to)))).toBe(true);
  expect(dark[0]).toMatchObject({ needM2: first!.benchM2, haveM2: 0.5 });
  expect(darkWeeks({ sowings }, { ...settings, benches: lit(500) })).toEqual([]);
  expect(darkWeeks({ sowings }, { ...settings, benches: [] })).toEqual([]);
  // Where the last frost is in September, December is light.
  const south = { early: '2026-08-20', usual: '2026-09-05', late: '2026-09-20' };
  expect(darkWeeks({ sowings }, { frost: south, benches: lit(0.5) })).toEqual([]);
});

test('a hundred plants in open flats are not a hundred flats: they are sown by area, and each seedling counts', () => {
  const steps = stepsFrom('flat 4w 0%', 'sow');
  const [one] = season({ crop: 'lettuce', plants: 100, sparePct: 0, steps }).sowings;
  // 54 × 28 cm at a seed to two square centimetres.
  expect(one!.perCell).toBe(Math.round((54 * 28) / 2));
  expect(one!.steps[0]!.cells).toBe(1);
  const many = season({ crop: 'lettuce', plants: 1500, sparePct: 0, steps }).sowings[0]!;
  expect(atLeast(many.steps[0]!.cells * many.perCell, 0.85, 1500)).toBeGreaterThanOrEqual(0.9);
  expect(atLeast((many.steps[0]!.cells - 1) * many.perCell, 0.85, 1500)).toBeLessThan(0.9);
  // Cut young they are sown twice as thick; in cells, and where somebody says so, nothing changes.
  const flat = library.vessels.get('flat')!;
  expect(seedsInOne({ perCell: null }, crops.get('cut-greens')!, flat)).toBe(54 * 28);
  expect(seedsInOne({ perCell: 3 }, crops.get('cut-greens')!, flat)).toBe(3);
  expect(seedsInOne({ perCell: null }, crops.get('onion')!, library.vessels.get('cell-72')!)).toBe(6);
});

test('seeds to a cell are said beside their line, and the empty cells go', () => {
  const old = { crop: 'tomato', plants: 50, germination: 0.4 };
  const codes = (perCell: number | null): string[] =>
    seasonSays(season({ ...old, perCell }).sowings, settings, '2026-01-01', () => false).map((s) => s.code);
  expect(codes(null)).toContain('per-cell');
  expect(codes(4)).not.toContain('per-cell');
  const [one] = season({ ...old, perCell: 4 }).sowings;
  expect(one!.steps[0]!.cells).toBeLessThan(season(old).sowings[0]!.steps[0]!.cells);
});

test('a tray that is half sown takes half the mix', () => {
  const cells = (plants: number) =>
    season({ crop: 'cucumber', plants, sparePct: 0, germination: 1 }).sowings[0]!.steps[0]!;
  expect(cells(11).trays).toBe(1);
  expect(cells(11).mixL / cells(11).cells).toBeCloseTo(cells(22).mixL / cells(22).cells, 9);
});
