import fc from 'fast-check';
import { getISOWeek, getISOWeekYear, parseISO } from 'date-fns';
import { planSeason, type PlannedCrop, type PlanStep } from '#core/season/plan';
import { atLeast } from '#core/stats/binomial';
import { daysAfter } from '#core/units/day';
import { type Vessel } from '#core/vessel/vessel';

const cell: Vessel = { shape: 'rect', topMm: [40, 40], baseMm: [25, 25], depthMm: 55, headspaceMm: 2 };
const pot: Vessel = { shape: 'round', topMm: 90, baseMm: 65, depthMm: 85, headspaceMm: 8 };
const step = (change: Partial<PlanStep> = {}): PlanStep => ({
  ...{ vessel: cell, perTray: 72, trayM2: 0.15, weeks: 4, lossPct: 5 },
  ...change,
});
const crop = (change: Partial<PlannedCrop> = {}): PlannedCrop => ({
  ...{ id: 'tomato', plants: 100, plantOutDays: 14, sparePct: 10, sowings: { count: 1, everyDays: 1 } },
  steps: [
    step({ seeds: { perCell: 1, germination: 0.9, confidence: 0.95, keep: 'one' } }),
    step({ vessel: pot, perTray: 18, weeks: 3, lossPct: 2 }),
  ],
  ...change,
});

test('counted back by hand', () => {
  const { crops, weeks } = planSeason('2027-05-15', [crop()], 1);
  const [one] = crops;
  expect(one).toMatchObject({ id: 'tomato', sowing: 1, plantOn: '2027-05-29' });
  const [seed, potted] = one!.steps;
  // 110 planted, 113 potted (110/0.98), 119 standing before the loss of the cells (113/0.95).
  expect(potted).toMatchObject({ from: '2027-05-08', to: '2027-05-29', plants: 110, cells: 113, trays: 7 });
  expect(seed).toMatchObject({ from: '2027-04-10', to: '2027-05-08', plants: 113 });
  expect(atLeast(seed!.cells, 0.9, 119)).toBeGreaterThanOrEqual(0.95);
  expect(atLeast(seed!.cells - 1, 0.9, 119)).toBeLessThan(0.95);
  expect(seed!.trays).toBe(Math.ceil(seed!.cells / 72));
  expect(weeks[0]).toMatchObject({ week: '2027-W14', benchM2: seed!.trays * 0.15 });
  expect(weeks[0]!.litres).toBeCloseTo(seed!.litres, 9);
  // The week of potting has both on the bench.
  const both = weeks.find((w) => w.week === '2027-W18')!;
  expect(both.benchM2).toBeCloseTo((seed!.trays + potted!.trays) * 0.15, 9);
  expect(both.over).toBe(true);
  expect(weeks.at(-1)!.week).toBe('2027-W21');
});

test('every seedling kept takes fewer cells than one to a cell', () => {
  const at = (keep: 'one' | 'all'): number =>
    planSeason('2027-05-15', [
      crop({ steps: [step({ lossPct: 0, seeds: { perCell: 5, germination: 0.8, confidence: 0.9, keep } })] }),
    ]).crops[0]!.steps[0]!.cells;
  const all = at('all');
  expect(atLeast(all * 5, 0.8, 110)).toBeGreaterThanOrEqual(0.9);
  expect(atLeast((all - 1) * 5, 0.8, 110)).toBeLessThan(0.9);
  expect(all).toBeLessThan(at('one'));
});

test('a month to the cubic inch, and no more', () => {
  const [one] = planSeason('2027-05-15', [crop({ steps: [step({ weeks: 30 })] })]).crops;
  const millilitres = one!.steps[0]!.litres / one!.steps[0]!.trays / 72 / 0.001;
  expect(one!.steps[0]!.tooLongWeeks).toBeCloseTo(30 - (4.345 * millilitres) / 16.387, 9);
  expect(planSeason('2027-05-15', [crop()]).crops[0]!.steps[0]!.tooLongWeeks).toBeNull();
});

test('successions, New Year and a leap day', () => {
  const { crops, weeks } = planSeason('2028-03-01', [
    crop({ plantOutDays: 0, sowings: { count: 3, everyDays: 10 }, steps: [step({ weeks: 9 })] }),
  ]);
  expect(crops.map((c) => [c.sowing, c.plantOn])).toEqual([
    [1, '2028-03-01'],
    [2, '2028-03-11'],
    [3, '2028-03-21'],
  ]);
  expect(crops[0]!.steps[0]!.from).toBe('2027-12-29');
  expect(weeks.map((w) => w.week).slice(0, 2)).toEqual(['2027-W52', '2028-W01']);
});

test('forward again it comes to the planting day; no plant is lost between steps; weeks add up', () => {
  const steps = fc.array(
    fc.record({
      weeks: fc.integer({ min: 1, max: 12 }),
      lossPct: fc.integer({ min: 0, max: 60 }),
      perTray: fc.integer({ min: 1, max: 300 }),
    }),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(
      steps,
      fc.integer({ min: 1, max: 5000 }),
      fc.integer({ min: -90, max: 120 }),
      (given, plants, plantOutDays) => {
        const made = crop({ plants, plantOutDays, steps: given.map((each) => step(each)) });
        const { crops, weeks } = planSeason('2027-04-20', [made], 5);
        const [one] = crops;
        let day = one!.steps[0]!.from;
        one!.steps.forEach((s, i) => {
          expect(s.from).toBe(day);
          day = daysAfter(day, 7 * given[i]!.weeks);
          expect(s.to).toBe(day);
          // What stands after the loss is at least what the next step fills.
          expect(Math.floor(s.cells * (1 - given[i]!.lossPct / 100) + 1e-9)).toBeGreaterThanOrEqual(
            s.plants - 1e-9,
          );
          expect(s.plants).toBe(one!.steps[i + 1]?.cells ?? Math.ceil(plants * 1.1 - 1e-9));
        });
        expect(day).toBe(one!.plantOn);
        expect(weeks.reduce((sum, w) => sum + w.litres, 0)).toBeCloseTo(
          one!.steps.reduce((sum, s) => sum + s.litres, 0),
          6,
        );
        const first = parseISO(one!.steps[0]!.from);
        expect(weeks[0]!.week).toBe(
          `${getISOWeekYear(first)}-W${String(getISOWeek(first)).padStart(2, '0')}`,
        );
      },
    ),
  );
});

test.each<[string, object, RegExp]>([
  ['a loss of everything', { lossPct: 100 }, /lossPct must be a number from 0 to 99, was 100/],
  ['no time at all', { weeks: 0 }, /weeks must be a number from 0.1 to 520, was 0/],
])('%s is named', (_, change, message) => {
  expect(() => planSeason('2027-05-15', [crop({ steps: [step(change)] })])).toThrow(message);
});
test('a day that does not exist is named', () => {
  expect(() => planSeason('2027-13-40', [crop()])).toThrow(/lastFrost must be day/);
});
