import fc from 'fast-check';
import { emergenceAt, emergenceDays, published as emerges } from '#core/season/emergence';
import { forward } from '#core/season/forward';
import { frostChance } from '#core/season/frost';
import { planSeason } from '#core/season/plan';
import { normalCdf, normalQuantile } from '#core/stats/normal';
import { published } from '#testing/published';
import { crops } from '#testing/season';

const SOURCE = 'Harrington & Minges 1954 (from memory)';

test.each(Object.entries(emerges))(
  '%s comes up as published at every temperature of the table',
  (crop, table) => {
    for (const [celsius, days] of table)
      published({
        ...{ what: `${crop} at ${celsius} °C, days to emergence`, source: SOURCE, published: days },
        ...{ ours: emergenceDays(table, celsius), unit: 'd', within: 1e-9 },
      });
  },
);

test('between the points on 1/days by a straight line, by hand', () => {
  // Tomato half way from 15 (14 d) to 20 °C (8 d): 2/(1/14 + 1/8).
  expect(emergenceDays(emerges.tomato, 17.5)).toBeCloseTo(2 / (1 / 14 + 1 / 8), 12);
  expect(() => emergenceDays(emerges.tomato, 4)).toThrow('celsius must be a number from 10 to 30, was 4');
});

test('outside the published span nothing is invented: few or none come up there', () => {
  // Harrington & Minges: pepper none at 10 °C, lettuce none at 35 °C (from memory).
  expect(emergenceAt(emerges.pepper, 8)).toEqual({ days: 25, outside: [15, 30] });
  expect(emergenceAt(emerges.lettuce, 33)).toEqual({ days: 2, outside: [5, 25] });
  expect(emergenceAt(emerges.pepper, 17.5).outside).toBeNull();
  // One temperature alone, or none, says nothing of others.
  expect(emergenceAt([[18, 12]], 25)).toEqual({ days: 12, outside: null });
  expect(emergenceAt([], 25)).toEqual({ days: 14, outside: null });
});

test('the share below a quantile is that of the quantile', () => {
  for (const p of [0.001, 0.05, 0.3, 0.5, 0.9, 0.999]) expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 6);
});

test('the chance of frost is a tenth, a half and nine tenths at the dates that say so', () => {
  const dates = { early: '2027-04-20', usual: '2027-05-05', late: '2027-05-25' };
  expect(frostChance(dates, '2027-04-20')).toBeCloseTo(0.9, 6);
  expect(frostChance(dates, '2027-05-05')).toBeCloseTo(0.5, 6);
  expect(frostChance(dates, '2027-05-25')).toBeCloseTo(0.1, 6);
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 27 }), fc.integer({ min: 1, max: 3 }), (day, later) => {
      const at = (n: number): string => `2027-05-${String(n).padStart(2, '0')}`;
      expect(frostChance(dates, at(day + later))).toBeLessThanOrEqual(frostChance(dates, at(day)));
    }),
  );
  expect(() => frostChance({ ...dates, late: '2027-05-01' }, '2027-05-05')).toThrow('one after other');
});

test('counted back and counted forward are the same days', () => {
  const vessel = { shape: 'block', edgeMm: [50, 50], depthMm: 50 } as const;
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.1, max: 12, noNaN: true }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: -60, max: 90 }),
      (weeks, plantOutDays) => {
        const [crop] = planSeason('2027-05-15', [
          {
            ...{ id: 'x', plants: 10, plantOutDays, sparePct: 0, sowings: { count: 1, everyDays: 1 } },
            steps: weeks.map((week) => ({
              vessel: { ...vessel, edgeMm: [50, 50] as [number, number] },
              ...{ perTray: 20, trayM2: 0.1, weeks: week, lossPct: 0 },
            })),
          },
        ]).crops;
        const run = forward(crop!.steps[0]!.from, weeks);
        expect(run.readyOn).toBe(crop!.plantOn);
        expect(run.steps).toEqual(crop!.steps.map(({ from, to }) => ({ from, to })));
      },
    ),
  );
});

// Harrington & Minges, Vegetable Seed Germination (1954) (from memory): none, or poor.
test.each([
  ['pepper', 10],
  ['tomato', 5],
  ['melon', 10],
  ['melon', 15],
  ['cucumber', 10],
  ['cucumber', 15],
  ['okra', 10],
  ['okra', 15],
  ['watermelon', 10],
  ['watermelon', 15],
  ['lettuce', 35],
  ['celery', 30],
] as const)('%s at %i °C: few or none come up, and the span is named', (id, celsius) => {
  const { emergence } = crops.get(id)!;
  expect(emergenceAt(emergence, celsius).outside).toEqual([emergence[0]![0], emergence.at(-1)![0]]);
});
