import { evaluateMix } from '#core/mix/evaluate';
import { takesOf } from '#core/mix/takes';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { changeOver } from '#core/season/change-over';
import { library } from '#testing/library';

const peat = starterMixes.germination.components.find(({ material }) =>
  material.startsWith('peat'),
)!.material;
const mixes = new Map([
  ['seed', { key: 'seed', name: 'Seed mix', recipe: starterMixes.germination }],
  ['pot', { key: 'pot', name: 'Potting mix', recipe: starterMixes.potting }],
]);
const each = takesOf(evaluateMix(mixInputOf(starterMixes.germination, library))).find(
  ({ item }) => item === peat,
)!.perLitre;
const day = (on: string, litres: number, mix = 'seed') =>
  ({ mix, on, litres }) as Parameters<typeof changeOver>[0][number];

test('peat is used while it lasts, then the mix goes over to coir, and what changes is told', () => {
  const days = [day('2031-03-01', 40), day('2031-02-01', 50), day('2031-04-01', 60)];
  // For 100 litres of mix: two of the three days, in the order of the days.
  const [over] = changeOver(days, mixes, [peat, 'coir-pith'], 100 * each, library);
  expect(over).toMatchObject({ from: '2031-04-01', beforeL: 90, afterL: 60 });
  expect(over!.recipe.components.map(({ material }) => material)).toContain('coir-pith');
  expect(over!.recipe.components.map(({ material }) => material)).not.toContain(peat);
  expect(over!.changes.length).toBeGreaterThan(0);
  for (const { from, to } of over!.changes) expect(to.value).not.toBe(from.value);
});

test('with none left it goes over at once; with enough it never does; mixes without it are left alone', () => {
  const days = [day('2031-02-01', 50), day('2031-03-01', 40)];
  expect(changeOver(days, mixes, [peat, 'coir-pith'], 0, library)[0]).toMatchObject({
    from: '2031-02-01',
    beforeL: 0,
    afterL: 90,
  });
  expect(changeOver(days, mixes, [peat, 'coir-pith'], 91 * each, library)).toEqual([]);
  expect(changeOver([day('2031-02-01', 50)], mixes, ['loam', 'compost'], 0, library)).toEqual([]);
});
