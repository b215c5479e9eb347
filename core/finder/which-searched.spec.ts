import { whichSearched } from '#core/finder/which-searched';
import { materials } from '#testing/library';

const shelf = materials.map((material) => ({ material, useUp: material.id === 'leaf-mould' }));
const ids = (most: number, inRecipe: string[] = []): string[] =>
  whichSearched(shelf, new Set(inRecipe), most).map(({ material }) => material.id);

test('of a full shelf the search takes what the recipe has, what is to be used up, and some of every role', () => {
  const ten = ids(10, ['loam', 'sand-fine', 'rice-hulls']);
  expect(ten).toHaveLength(10);
  expect(ten).toEqual(expect.arrayContaining(['loam', 'sand-fine', 'rice-hulls', 'leaf-mould']));
  const roles = new Set(ten.map((id) => materials.find((m) => m.id === id)!.role));
  expect(roles).toEqual(new Set(materials.map(({ role }) => role)));
  const families = ten.map((id) => materials.find((m) => m.id === id)!.family);
  expect(new Set(families).size).toBeGreaterThanOrEqual(8);
});

test('a shelf that fits is taken whole, in its own order', () => {
  expect(whichSearched(shelf.slice(0, 10), new Set(), 10)).toEqual(shelf.slice(0, 10));
  const order = materials.map(({ id }) => id);
  const ten = ids(10);
  expect(ten).toEqual(order.filter((id) => ten.includes(id)));
});
