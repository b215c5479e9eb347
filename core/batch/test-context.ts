import { type TestContext } from '#core/batch/bench-tests';
import { targetSaturation } from '#core/mix/moisture';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { phWindow } from '#core/judge/windows';
import { evaluateMix } from '#core/mix/evaluate';
import { libraryOf } from '#core/recipe/library';
import { mixInputOf } from '#core/recipe/recipe';

/** What the tests of a batch are judged against: the batch as it was made. */
export function testContextOf({
  recipe,
  materials,
  amendments,
  moisture,
  sheet,
}: BatchSnapshot): TestContext {
  const evaluation = evaluateMix(mixInputOf(recipe, libraryOf(materials, amendments)));
  return {
    stage: recipe.stage,
    ph: phWindow(recipe.stage, evaluation),
    totalPorosity: evaluation.composition.totalPorosity,
    drainedWater: evaluation.drained.water,
    dryBulkDensityGPerL: evaluation.composition.dryBulkDensityGPerL,
    targetSaturation: targetSaturation[moisture],
    looseLitres: sheet.components.reduce((sum, c) => sum + c.looseLitres, 0),
  };
}
