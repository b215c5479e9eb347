import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { allow } from '#core/units/allowed';
import { benchTests } from '#core/batch/tests/bench-tests';
import { type BenchTest } from '#core/batch/tests/bench-test';
import { likeLimits } from '#core/material/like';
import { checkRange, OutOfRange } from '#core/units/check';
import { metric, us } from '#testing/readers';
import { labelOf, problemSays } from '#words/problem';

const refused = (name: string, value: number, low: number, high: number): OutOfRange => {
  try {
    checkRange(name, value, low, high);
  } catch (error) {
    return error as OutOfRange;
  }
  throw new Error(`${value} was taken`);
};
const plain = (text: string): string => text.replaceAll('\u00a0', ' ').replaceAll('\u202f', ' ');

test.each<[OutOfRange, string]>([
  [refused('compactionPct', 60, 0, 45), 'Firming must be from 0 % to 45 %, not 60 %'],
  [refused('vessel.depthMm', 9000, 5, 2000), 'Depth must be from 5 mm to 2 000 mm, not 9 000 mm'],
  [refused('celsius', 200, -10, 60), 'Temperature must be from −10 °C to 60 °C, not 200 °C'],
  [
    new OutOfRange('to', 'sand', allow('allowed.product-with', { basis: 'n' })),
    'to must be a product with nitrogen, not “sand”',
  ],
  [
    new OutOfRange('compactionPct', 45, allow('allowed.leaves-pores', { pct: 41.3 })),
    'Firming must be at most 41.3 % for this mix, not 45 %: more leaves no pores',
  ],
])('$0.argument', (error, says) => {
  expect(plain(problemSays(error, metric))).toBe(says);
});

test('in US units nothing is metric', () => {
  expect(plain(problemSays(refused('vessel.depthMm', 9000, 5, 2000), us))).toMatch(
    /^Depth must be from 0\.20 in to 78 ¾ in, not 354 ¼ in$/,
  );
  expect(plain(problemSays(refused('struckKgPerL', 159.8, 0.01, 3), us))).toMatch(
    /^Weight of what fills the measure must be from 0\.624 lb\/ft³ to 187 lb\/ft³, not/,
  );
  expect(plain(problemSays(refused('celsius', 200, -10, 60), us))).toBe(
    'Temperature must be from 14 °F to 140 °F, not 392 °F',
  );
});

function* sources(folder: string): Generator<string> {
  for (const dirent of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, dirent.name);
    if (dirent.isDirectory()) yield* sources(path);
    else if (/(?<!\.spec)\.ts$/.test(dirent.name)) yield path;
  }
}

test('every value that a sum can refuse has a label: none is called by a key', () => {
  const keys = [...sources('core')].flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/(?:checkRange|checkWhole|new OutOfRange)\(\s*'([\w.]+)'/g)].map(
      ([, key]) => key!,
    ),
  );
  expect(keys.length).toBeGreaterThan(100);
  // Of those whose key is a variable: answers about a material of one's own, fields of the tests, sizes of a vessel.
  keys.push(...Object.keys(likeLimits), 'nMgPerL', 'pMgPerL', 'kMgPerL', 'vessel.topMm.0', 'vessel.edgeMm.1');
  for (const { fields } of Object.values<BenchTest>(benchTests)) keys.push(...fields.map(({ id }) => id));
  expect([...new Set(keys)].filter((key) => /[A-Z.]/.test(key) && labelOf(key) === key)).toEqual([]);
});
