import { judgeMix, rules } from '#core/judge/judge';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library } from '#testing/library';
import { applyFix } from '#core/recipe/fix';

const start = starterMixes.germination;

test('lime to a pH takes the place of every lime dosed by hand', () => {
  const limed = {
    ...start,
    lime: null,
    amendments: [
      { amendment: 'lime-dolomitic', gPerL: 60 },
      { amendment: 'wood-ash', gPerL: 2 },
      { amendment: 'calcium-nitrate', gPerL: 0.2 },
    ],
  };
  const fixed = applyFix(limed, { kind: 'limeToPh', amendment: 'lime-dolomitic', ph: 5.8 }, library);
  expect(fixed.lime).toEqual({ amendment: 'lime-dolomitic', ph: 5.8 });
  expect(fixed.amendments.map((d) => d.amendment)).toEqual(['calcium-nitrate']);
  expect(applyFix(limed, { kind: 'noLime' }, library)).toMatchObject({
    lime: null,
    amendments: fixed.amendments,
  });
});

test('a dose replaces the one that is there, to what a scale can follow', () => {
  const fixed = applyFix(start, { kind: 'dose', amendment: 'calcium-nitrate', gPerL: 0.123456 }, library);
  expect(fixed.amendments).toEqual([{ amendment: 'calcium-nitrate', gPerL: 0.12 }]);
  expect(
    applyFix(start, { kind: 'dropAmendment', amendment: 'calcium-nitrate' }, library).amendments,
  ).toEqual([]);
});

test('a swap to a material that is there already adds to its parts', () => {
  const fixed = applyFix(
    start,
    { kind: 'swapMaterial', from: 'vermiculite-medium', to: 'peat-fine' },
    library,
  );
  expect(fixed.components).toEqual([
    { material: 'peat-fine', parts: 5 },
    { material: 'perlite-coarse', parts: 2 },
  ]);
});

test('a swap leaves the screens of the other parts, and takes none along to what comes in', () => {
  const screens = { ...start, components: start.components.map((c) => ({ ...c, screenedMm: 4 })) };
  const fixed = applyFix(
    screens,
    { kind: 'swapMaterial', from: 'vermiculite-medium', to: 'sand-sharp' },
    library,
  );
  expect(fixed.components.map((c) => [c.material, c.screenedMm])).toEqual([
    ['peat-fine', 4],
    ['perlite-coarse', 4],
    ['sand-sharp', undefined],
  ]);
});

test('a part more, of what is there or what is new', () => {
  const parts = (material: string): number | undefined =>
    applyFix(start, { kind: 'addPart', material }, library).components.find((c) => c.material === material)
      ?.parts;
  expect([parts('perlite-coarse'), parts('sand-sharp')]).toEqual([3, 1]);
});

/** Mixes that are wrong in one way each. */
const wrong: [string, Partial<Recipe>][] = [
  ['lime-overdose', { lime: null, amendments: [{ amendment: 'lime-dolomitic', gPerL: 100 }] }],
  ['lime-underdose', { lime: null, amendments: [] }],
  ['salts-high', { amendments: [{ amendment: 'calcium-nitrate', gPerL: 3 }] }],
  ['nitrogen-high', { amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.6 }] }],
  ['particles-large', { vessel: 'cell-288', components: [{ material: 'peat-medium', parts: 1 }] }],
  ['lime-hydrated', { lime: { amendment: 'lime-hydrated', ph: 5.8 } }],
  ['feed-idle', { amendments: [{ amendment: 'blood-meal', gPerL: 1 }] }],
];

test.each(wrong)('pressing "Do that" on %s ends it', (code, change) => {
  const recipe = { ...start, ...change };
  const flagsOf = (r: Recipe) => judgeMix(mixInputOf(r, library), { library }).flags;
  const flag = flagsOf(recipe).find((f) => f.code === code)!;
  if (!flag.fix || flag.fix.kind === 'vessel') throw new Error(`${code} has no such way out`);
  expect(flagsOf(applyFix(recipe, flag.fix, library)).map((f) => f.code)).not.toContain(code);
  expect(rules.length).toBeGreaterThan(30);
});
