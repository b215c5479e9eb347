import { type MixInput } from '#core/mix/evaluate';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';

/**
 * The mix in which a planting stands, in its own vessel; what was drained in another is left out.
 * @throws RangeError where a material or the vessel is there no more
 */
export function mixOfPlanting({ vessel }: { vessel: string }, recipe: Recipe, library: Library): MixInput {
  const { measured, ...rest } = recipe;
  if (!measured || vessel === recipe.vessel) return mixInputOf({ ...recipe, vessel }, library);
  const { airPct: _, ...more } = measured;
  return mixInputOf({ ...rest, measured: more, vessel }, library);
}
