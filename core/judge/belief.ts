/** Something that is said of a material, and what of it holds. Each is answered in the words, with its source. */
export const beliefs = [
  'sand-in-block',
  'gravel-below',
  'lime-rot',
  'magnesium-rot',
  'shell-mould',
  'coffee-slugs',
  'bone-roots',
  'rock-dust',
] as const;
export type Belief = (typeof beliefs)[number];

const SANDS = /^(sand-|grit-)/;
const GRAVELS = /^(grit-|scoria|pumice)/;
const ACID_OR_SHELL = /^(eggshell|wood-ash|humate)/;
const CALCIUM = /^(lime-calcitic|lime-dolomitic|chalk|gypsum|eggshell)/;

/**
 * What is commonly said of what a recipe takes, by the ids of its materials and products; in the order of the list.
 * @example beliefsOf(['sand-sharp'], [], 'block') // ['sand-in-block']
 */
export function beliefsOf(
  materials: readonly string[],
  products: readonly string[],
  shape: 'block' | 'round' | 'rect',
): Belief[] {
  const part = (is: RegExp): boolean => materials.some((id) => is.test(id));
  const dose = (is: RegExp): boolean => products.some((id) => is.test(id));
  const held: Record<Belief, boolean> = {
    'sand-in-block': shape === 'block' && part(SANDS),
    'gravel-below': shape !== 'block' && part(GRAVELS),
    'lime-rot': dose(CALCIUM),
    'magnesium-rot': dose(/^magnesium-sulphate/),
    'shell-mould': dose(ACID_OR_SHELL),
    'coffee-slugs': part(/^coffee/),
    'bone-roots': dose(/^(bone-meal|rock-phosphate|superphosphate)/),
    'rock-dust': dose(/^(rock-dust|greensand)/),
  };
  return beliefs.filter((each) => held[each]);
}
