import { usualDose } from '#core/mix/usual-dose';
import { judgeMix } from '#core/judge/judge';
import { stages } from '#core/mix/stage';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { amendments, library } from '#testing/library';

test('by hand: a third of what dissolves, half of what is slow, a gram of lime', () => {
  const of = (id: string) => amendments.find((each) => each.id === id)!;
  expect(usualDose(of('calcium-nitrate'), 'seedling')).toBe(0.25);
  expect(usualDose(of('calcium-nitrate'), 'potting')).toBe(0.45);
  expect(usualDose(of('kelp-meal'), 'seedling')).toBe(0.5);
  expect(usualDose(of('greensand'), 'potting')).toBe(6);
  expect(usualDose(of('lime-dolomitic'), 'potting')).toBe(1);
  expect(usualDose(of('lime-hydrated'), 'potting')).toBe(0.6);
});

test.each(stages)(
  'nothing that is added at its usual dose stops a mix or is too much for it: %s',
  (stage) => {
    const bare: Recipe = { ...starterMixes[stage], amendments: [] };
    const judged = (recipe: Recipe) => judgeMix(mixInputOf(recipe, library), { library }).flags;
    const before = new Set(judged(bare).map(({ code }) => code));
    for (const product of amendments) {
      const gPerL = usualDose(product, stage);
      expect(gPerL).toBeGreaterThan(0);
      expect(gPerL).toBeLessThanOrEqual(
        stage === 'potting' ? product.mostPottingGPerL : product.mostYoungGPerL,
      );
      if (product.kind === 'lime') continue;
      const stops = judged({ ...bare, amendments: [{ amendment: product.id, gPerL }] }).filter(
        ({ code, severity }) =>
          !before.has(code) && (severity === 'stop' || /over-ceiling|too-much/.test(code)),
      );
      expect([product.id, stops]).toEqual([product.id, []]);
    }
  },
);
