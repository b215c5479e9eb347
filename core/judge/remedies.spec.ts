import fc from 'fast-check';
import { severities } from '#core/judge/flag';
import { excludes, judgeMix, rules } from '#core/judge/judge';
import { remedyOf } from '#core/judge/remedies';
import { stages } from '#core/mix/stage';
import { libraryOf } from '#core/recipe/library';
import { applyFix } from '#core/recipe/fix';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { approaches } from '#core/recipe/approaches';
import { sketch } from '#core/recipe/sketch';
import { vesselKinds } from '#core/vessel/kinds';
import { amendments, library, materials } from '#testing/library';

const judged = (recipe: Recipe) => judgeMix(mixInputOf(recipe, library), { library });

/** Any recipe of the library that can be computed, wild ones among them. */
const anyRecipe = fc
  .record({
    stage: fc.constantFrom(...stages),
    vessel: fc.constantFrom(...vesselKinds.map((kind) => kind.id)),
    parts: fc.uniqueArray(
      fc.tuple(fc.constantFrom(...materials.map((m) => m.id)), fc.integer({ min: 1, max: 9 })),
      {
        selector: ([id]) => id,
        minLength: 1,
        maxLength: 5,
      },
    ),
    doses: fc.uniqueArray(
      fc.tuple(
        fc.constantFrom(...amendments.map((a) => a.id)),
        fc.double({ min: 0.05, max: 9, noNaN: true }),
      ),
      { selector: ([id]) => id, maxLength: 3 },
    ),
    ph: fc.option(fc.double({ min: 4.5, max: 7.5, noNaN: true }), { nil: undefined }),
    firmPct: fc.constantFrom(0, 0, 10, 25),
  })
  .map(({ stage, vessel, parts, doses, ph, firmPct }) =>
    sketch(stage, vessel, Object.fromEntries(parts), {
      doses: Object.fromEntries(doses),
      firmPct,
      ...(ph !== undefined && { ph }),
    }),
  );

const computable = (recipe: Recipe): boolean => {
  try {
    judged(recipe);
    return true;
  } catch {
    return false;
  }
};

test('a press never lowers the number of readings that are right, and never raises a louder flag', () => {
  let pressed = 0;
  fc.assert(
    fc.property(anyRecipe.filter(computable), (recipe) => {
      const before = judged(recipe);
      for (const flag of before.flags) {
        const remedy = remedyOf(flag, recipe, before, library);
        if (!remedy) continue;
        pressed++;
        const after = judged(applyFix(recipe, remedy.fix, library));
        const right = (j: typeof before) => j.readings.filter((r) => r.verdict === 'ok').length;
        const missing = (j: typeof before) => j.readings.length - right(j);
        expect(missing(after)).toBeLessThanOrEqual(missing(before));
        const codes = new Set(before.flags.map((f) => f.code));
        const louder = after.flags.filter(
          (f) => !codes.has(f.code) && severities.indexOf(f.severity) < severities.indexOf(flag.severity),
        );
        expect(louder.map((f) => f.code)).toEqual([]);
        const stops = (j: typeof before) => j.flags.filter((f) => f.severity === 'stop').length;
        expect(stops(after)).toBeLessThanOrEqual(stops(before));
      }
    }),
    { numRuns: 300, seed: 20_260 },
  );
  expect(pressed).toBeGreaterThan(200);
});

test('no flag stands beside one that excludes it; every pair names rules that there are', () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(anyRecipe.filter(computable), (recipe) => {
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

test('too sweet: the press brings it into the window and sets the lime with it, so that it is not sour next', () => {
  const recipe = sketch('germination', 'cell-72', { compost: 2, 'perlite-fine': 3 });
  const before = judged(recipe);
  const sweet = before.flags.find((f) => f.code === 'ph-high')!;
  const remedy = remedyOf(sweet, recipe, before, library)!;
  const after = judged(applyFix(recipe, remedy.fix, library));
  expect(after.readings.find((r) => r.id === 'ph')!.verdict).not.toBe('low');
  expect(after.flags.map((f) => f.code)).not.toContain('lime-underdose');
  expect(remedy.changes.map((c) => c.id)).toContain('ph');
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
    fc.property(anyRecipe.filter(computable), (recipe) => {
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

test('a press reaches for the shelf first, and never for what the approach would not use', () => {
  const never = ['perlite', 'peat', 'black-peat'] as const;
  const shelf = new Set(['coir-pith', 'rice-hulls', 'pumice', 'sand-sharp']);
  let added = 0;
  fc.assert(
    fc.property(anyRecipe.filter(computable), (recipe) => {
      const before = judged(recipe);
      for (const flag of before.flags) {
        const remedy = remedyOf(flag, recipe, before, library, { never, shelf });
        const fixes = remedy ? (remedy.fix.kind === 'all' ? remedy.fix.fixes : [remedy.fix]) : [];
        for (const fix of fixes) {
          const id = fix.kind === 'addPart' ? fix.material : fix.kind === 'swapMaterial' ? fix.to : null;
          if (id === null) continue;
          added++;
          expect(never).not.toContain(library.materials.get(id)!.family);
        }
      }
    }),
    { numRuns: 80 },
  );
  expect(added).toBeGreaterThan(0);

  // Too wet in a small cell: hulls that stand here before perlite that does not.
  const wet = sketch('germination', 'cell-288', { 'peat-fine': 1 }, { ph: 5.8 });
  const low = judged(wet).flags.find((f) => f.code === 'air-low' || f.code === 'drowns-here')!;
  const remedy = remedyOf(low, wet, judged(wet), library, { shelf: new Set(['rice-hulls']) })!;
  expect(JSON.stringify(remedy.fix)).toContain('rice-hulls');
});
