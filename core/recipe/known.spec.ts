import { findingsOf, verdictOf } from '#core/advise/findings';
import { Adviser } from '#core/advise/advise';
import { judgeRecipe } from '#core/judge/judge';
import { subjectOf } from '#core/recipe/flag-code';
import { withKnown, withKnownStill, withoutKnown } from '#core/recipe/known';
import { type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { library } from '#testing/library';

const why = 'Twelve springs of it, and no rot';
const quiet = (recipe: Recipe, code: string, severity: 'warn' | 'note' = 'warn'): Recipe =>
  withKnown(recipe, { code, severity, why, on: '2031-03-04' });
const codesOf = (recipe: Recipe): string[] => judgeRecipe(recipe, library).flags.map(({ code }) => code);

/** Tight, limed a little short: two warnings. */
const tight = sketch('seedling', 'cell-72', { 'peat-fine': 4, 'sand-fine': 1 }, { ph: 5.8 });

test('a warning that works here is not said again, and what it would say stands apart', () => {
  const before = judgeRecipe(tight, library);
  const warns = before.flags.filter((f) => f.severity === 'warn' && subjectOf[f.code] !== 'care');
  expect(warns.length).toBeGreaterThan(0);
  const [first] = warns;
  const after = judgeRecipe(quiet(tight, first!.code), library);
  expect(after.flags).toEqual(before.flags.filter((f) => f !== first && f.code !== first!.code));
  expect(after.known).toEqual([{ ...first, why, on: '2031-03-04' }]);
  // All quiet, it is ready; readings stay as they are.
  const all = warns.reduce((recipe, { code }) => quiet(recipe, code), tight);
  expect(verdictOf(judgeRecipe(all, library))).toBe('ready');
  expect(judgeRecipe(all, library).readings).toEqual(before.readings);
  // Heard again, it is as it was.
  const heard = warns.reduce((recipe, { code }) => withKnown(recipe, { code, why: null }), all);
  expect(heard).toEqual(tight);
});

test('a stop and care at work are always said, and what has become louder since', () => {
  const drowned = sketch('germination', 'cell-288', { 'peat-fine': 1 }, { ph: 5.8 });
  const { flags } = judgeRecipe(drowned, library);
  const loud = flags.filter((f) => f.severity === 'stop' || subjectOf[f.code] === 'care');
  expect(new Set(loud.map((f) => f.severity)).size).toBeGreaterThan(1);
  for (const { code } of loud) expect(codesOf(quiet(drowned, code))).toContain(code);
  const warned = judgeRecipe(tight, library).flags.find(
    (f) => f.severity === 'warn' && subjectOf[f.code] !== 'care',
  )!;
  expect(codesOf(quiet(tight, warned.code, 'note'))).toContain(warned.code);
});

test('the adviser finds no way out of what is known, and its ways keep it known', () => {
  const two = sketch('seedling', 'cell-72', { 'peat-fine': 4, 'sand-fine': 1 }, { ph: 4.9 });
  const before = findingsOf(judgeRecipe(two, library)).findings;
  const air = before.find((f) => f.subject === 'air' && f.severity === 'warn')!;
  const advised = new Adviser(quiet(two, air.cause.code), library).findings(1);
  expect(advised.map((f) => f.codes).flat()).not.toContain(air.cause.code);
  const ways = advised.flatMap((f) => f.ways);
  expect(ways.length).toBeGreaterThan(0);
  for (const { attempt } of ways) expect(attempt.recipe.known).toHaveLength(1);
});

test('it was said of that job and of these materials: another of them, and it is not known any more', () => {
  const known = quiet(tight, 'air-low');
  const more = { ...known, components: known.components.map((c) => ({ ...c, parts: 2 * c.parts })) };
  expect(withKnownStill(known, more)).toBe(more);
  expect(withKnownStill(known, { ...known, stage: 'potting' })).toEqual({ ...tight, stage: 'potting' });
  const without = { ...known, components: known.components.slice(0, 1) };
  expect(withKnownStill(known, without).known).toBeUndefined();
  // A recipe that is opened brings its own.
  const other = quiet({ ...tight, stage: 'potting' }, 'air-low');
  expect(withKnownStill(known, other)).toBe(other);
  expect(withoutKnown(known)).toEqual(tight);
});
