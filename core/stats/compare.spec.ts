import { compareCounts, eachToTell } from '#core/stats/compare';
import { wilson } from '#core/stats/counts';
import { learn } from '#core/stats/learn';
import { uniformAt } from '#core/stats/normal';
import { published } from '#testing/published';

const FLEISS = 'Fleiss, Statistical Methods for Rates and Proportions (from memory)';

test('how many each to tell 0.60 from 0.80', () => {
  published({
    what: 'cells each, 0.60 against 0.80',
    source: FLEISS,
    published: 91,
    ours: eachToTell(0.6, 0.8, 0.05, 0.8),
    unit: 'cells',
    within: 0,
  });
});

test('a clear trial, one that says too few, and no difference at all', () => {
  const clear = compareCounts({ alive: 130, of: 144 }, { alive: 90, of: 144 }, 0.95);
  expect(clear.better).toBe('a');
  const few = compareCounts({ alive: 6, of: 10 }, { alive: 8, of: 10 }, 0.95, {
    difference: 0.2,
    power: 0.8,
  });
  expect(few).toMatchObject({ better: 'neither', cellsEachToTell: eachToTell(0.6, 0.4, 0.05, 0.8) });
  const same = compareCounts({ alive: 10, of: 10 }, { alive: 10, of: 10 }, 0.95, {
    difference: 0.1,
    power: 0.8,
  });
  expect(same).toMatchObject({ better: 'neither', fisherP: 1, cellsEachToTell: null });
  // From a share of 0.1 a fall of 0.3 cannot be: a rise is looked for.
  expect(
    compareCounts({ alive: 1, of: 10 }, { alive: 2, of: 10 }, 0.95, { difference: 0.3, power: 0.8 })
      .cellsEachToTell,
  ).toBe(eachToTell(0.1, 0.4, 0.05, 0.8));
});

test('the interval holds its rate: 4000 trays of 72 cells at 85 %', () => {
  let covered = 0;
  for (let tray = 0; tray < 4000; tray++) {
    let alive = 0;
    for (let cell = 0; cell < 72; cell++) if (uniformAt(7, tray, cell) < 0.85) alive++;
    const { low, high } = wilson(alive, 72);
    if (low <= 0.85 && 0.85 <= high) covered++;
  }
  expect(covered / 4000).toBeGreaterThan(0.93);
  expect(covered / 4000).toBeLessThan(0.97);
});

test('own tests move the book and narrow it', () => {
  const now = learn(
    { mean: 46, sd: 12 },
    [55, 52, 58].map((value) => ({ value, sd: 5 })),
  );
  const source = 'normal with normal, weights 1/σ², by hand';
  published({
    what: 'buffer after three tests',
    source,
    published: 54.5,
    ours: now.mean,
    unit: 'meq/L',
    within: 0.05,
  });
  published({ what: 'its spread', source, published: 2.8, ours: now.sd, unit: 'meq/L', within: 0.05 });
  expect(learn({ mean: 46, sd: 12 }, [])).toEqual({ mean: 46, sd: 12 });
});

test('more alive than there were is named', () => {
  expect(() => compareCounts({ alive: 9, of: 8 }, { alive: 1, of: 8 }, 0.95)).toThrow(
    /hits must be a whole number from 0 to 8/,
  );
});
