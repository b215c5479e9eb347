import fc from 'fast-check';
import { partsKey } from '#core/recipe/parts-key';
import { sketch } from '#core/recipe/sketch';
import { anyMix } from '#testing/any-mix';
import { vesselKinds } from '#core/vessel/kinds';

const mix = (parts: Record<string, number>, more = {}) => sketch('seedling', 'pot-9', parts, more);
const key = (...of: Parameters<typeof mix>): string => partsKey(mix(...of));

test('four to two is two to one, in any order, in any vessel and amount', () => {
  const one = key({ 'peat-fine': 4, 'perlite-coarse': 2 }, { ph: 5.8, doses: { 'calcium-nitrate': 0.2 } });
  expect(key({ 'perlite-coarse': 1, 'peat-fine': 2 }, { ph: 5.8, doses: { 'calcium-nitrate': 0.2 } })).toBe(
    one,
  );
  const recipe = mix({ 'peat-fine': 4, 'perlite-coarse': 2 }, { ph: 5.8, doses: { 'calcium-nitrate': 0.2 } });
  const job = { ...recipe, ...{ vessel: 'cell-72', stage: 'rooting' as const, job: { litres: 400 } } };
  expect(partsKey({ ...job, compactionPct: 5, tinySeed: true } as typeof job)).toBe(one);
});

test('another share, screen, dose, layer or lime is another mix', () => {
  const recipe = mix({ 'peat-fine': 4, 'perlite-coarse': 2 }, { ph: 5.8, doses: { 'calcium-nitrate': 0.2 } });
  const [peat, perlite] = recipe.components;
  const others = [
    { ...recipe, components: [peat!, { ...perlite!, parts: 3 }] },
    { ...recipe, components: [peat!, { ...perlite!, screenedMm: 6 }] },
    { ...recipe, components: [peat!] },
    { ...recipe, amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.25 }] },
    { ...recipe, amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.2, layerPct: 20 }] },
    { ...recipe, amendments: [] },
    { ...recipe, lime: { ...recipe.lime!, ph: 6 } },
    { ...recipe, lime: null },
  ];
  expect(new Set([recipe, ...others].map(partsKey)).size).toBe(others.length + 1);
  // Nothing of a dose is no dose.
  const none = { ...recipe, amendments: [...recipe.amendments, { amendment: 'gypsum', gPerL: 0 }] };
  expect(partsKey(none)).toBe(partsKey(recipe));
});

test('of any recipe, however it is counted and ordered', () => {
  fc.assert(
    fc.property(
      anyMix({ kinds: vesselKinds.slice(0, 4), materials: 5, parts: 9, doses: 3 }),
      fc.integer({ min: 2, max: 7 }),
      (recipe, times) => {
        const same = {
          ...recipe,
          components: [...recipe.components].reverse().map((c) => ({ ...c, parts: c.parts * times })),
          amendments: [...recipe.amendments].reverse(),
        };
        expect(partsKey(same)).toBe(partsKey(recipe));
      },
    ),
    { numRuns: 60 },
  );
});
