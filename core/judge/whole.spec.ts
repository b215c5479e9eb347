import fc from 'fast-check';
import { excludes, judgeMix, rules } from '#core/judge/judge';
import { libraryOf } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { approaches } from '#core/recipe/approaches';
import { sketch } from '#core/recipe/sketch';
import { vesselKinds } from '#core/vessel/kinds';
import { anyMix } from '#testing/any-mix';
import { amendments, library, materials } from '#testing/library';

const judged = (recipe: Recipe) => judgeMix(mixInputOf(recipe, library), { library });

const anyRecipe = anyMix({ kinds: vesselKinds, materials: 5, parts: 9, doses: 3 });

test('no flag stands beside one that excludes it; every pair names rules that there are', () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const codes = new Set(judged(recipe).flags.map((f) => f.code));
      for (const code of codes) seen.add(code);
      for (const [said, silent] of excludes) if (codes.has(said)) expect(codes.has(silent)).toBe(false);
    }),
    { numRuns: 400, seed: 7 },
  );
  expect(rules.length).toBeGreaterThan(35);
  expect(seen.size).toBeGreaterThan(25);
});

test('a little rock phosphate without lime raises no stop', () => {
  const recipe = sketch(
    'seedling',
    'cell-72',
    { 'peat-medium': 6, 'perlite-fine': 2 },
    { doses: { 'rock-phosphate': 1 } },
  );
  const codes = judged(recipe)
    .flags.filter((f) => f.severity === 'stop')
    .map((f) => f.code);
  expect(codes).not.toContain('lime-wrong-direction');
  expect(codes).not.toContain('lime-overdose');
});

test('a pH that was read is judged, and the parts are not', () => {
  const recipe = approaches.find((s) => s.id === 'limed-peat-perlite')!.mixes.germination!;
  const unlimed = { ...recipe, lime: null };
  expect(judged(unlimed).flags.map((f) => f.code)).toContain('lime-underdose');
  const codes = (ph: number) => judged({ ...unlimed, measured: { ph } }).flags.map((f) => f.code);
  expect(codes(5.8)).not.toContain('lime-underdose');
  expect(codes(5.8).filter((code) => code.startsWith('ph-read'))).toEqual([]);
  expect(codes(5.0)).toContain('ph-read-low');
  expect(codes(6.6)).toContain('ph-read-high');
});

test('a material of one’s own is judged as the starter one that it is a copy of', () => {
  const own = (id: string): string => `own-${id}`;
  const renamed = libraryOf(
    materials.map((m) => ({ ...m, id: own(m.id) })),
    amendments,
    vesselKinds,
  );
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const mine = {
        ...recipe,
        components: recipe.components.map((c) => ({ ...c, material: own(c.material) })),
      };
      const result = (each: Recipe, all: typeof library) => {
        const { readings, flags } = judgeMix(mixInputOf(each, all), { library: all });
        return [readings, flags.map((f) => [f.code, f.severity, f.text])];
      };
      expect(result(mine, renamed)).toEqual(result(recipe, library));
    }),
    { numRuns: 60 },
  );
});
