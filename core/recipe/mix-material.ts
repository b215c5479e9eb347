import { type MaterialRow } from '#core/material/material';
import { type Age, asMaterial } from '#core/mix/as-material';
import { compose } from '#core/mix/composition';
import { evaluateMix, type Measured } from '#core/mix/evaluate';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';

/**
 * A recipe as a material that can be a part of another.
 * @param measured own tests of that very mix; each takes the place of an estimate
 * @throws OutOfRange for what is not in the library, or an age out of range
 */
export function materialOfRecipe(
  recipe: Recipe,
  library: Library,
  named: { id: string; name: string },
  age: Age,
  measured?: Measured,
): MaterialRow {
  const { measured: _, ...bare } = mixInputOf(recipe, library);
  const input = { ...bare, ...(measured && { measured }) };
  const evaluation = evaluateMix(input);
  const { ph = evaluation.ph, ecSaturatedMSPerCm } = measured ?? {};
  const salts =
    ecSaturatedMSPerCm === undefined
      ? evaluation.saltsMeqPerL
      : ecSaturatedMSPerCm * 10 * evaluation.composition.totalPorosity;
  const loose = compose(input.components, 0, measured?.shrinkage);
  return asMaterial({ ...evaluation, ph, saltsMeqPerL: salts }, loose, named, age);
}
