import { judgeRecipe } from '#core/judge/judge';
import { screenFor } from '#core/judge/flags/particles';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library, material } from '#testing/library';

test('of a mix with pieces too large for the cell the coarsest part goes over a screen, and then nothing is too large', () => {
  const vessel = library.vessels.get('cell-128')!.vessel;
  const parts = { 'peat-fine': 3, 'mulch-wood': 2, 'bark-hardwood': 1 };
  const found = screenFor(
    Object.entries(parts).map(([id, share]) => ({ material: material(id), share })),
    vessel,
  );
  expect(found.material.id).toBe('mulch-wood');
  const recipe = {
    ...starterMixes.germination,
    ...{ vessel: 'cell-128', lime: null, amendments: [] },
    components: Object.entries(parts).map(([id, n]) => ({ material: id, parts: n })),
  };
  const codes = (components: (typeof recipe)['components']): string[] =>
    judgeRecipe({ ...recipe, components }, library).flags.map(({ code }) => code);
  expect(codes(recipe.components)).toContain('particles-large');
  const screened = recipe.components.map((c) =>
    c.material === 'peat-fine' ? c : { ...c, screenedMm: found.mm },
  );
  expect(codes(screened)).not.toContain('particles-large');
});
