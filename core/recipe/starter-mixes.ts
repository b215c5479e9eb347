import { type Stage } from '#core/mix/stage';
import { type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';

/** The starter charge of a pot, g/L. Common practice, no source. */
const potCharge = { 'calcium-nitrate': 0.5, 'potassium-nitrate': 0.4, 'superphosphate-triple': 0.5 };

/** With lime, as most pots are. */
export const limedPot = { ph: 6, doses: potCharge };

/** A working recipe for each stage, so that nobody starts from an empty table. Common practice, no source. */
export const starterMixes: Record<Stage, Recipe> = {
  germination: sketch(
    'germination',
    'cell-72',
    { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
    { ph: 5.8, doses: { 'calcium-nitrate': 0.2 }, job: { trays: 20, sparePct: 8 } },
  ),
  rooting: sketch(
    'rooting',
    'cell-24',
    { 'perlite-coarse': 7, 'peat-medium': 3 },
    { ph: 6, doses: { 'calcium-nitrate': 0.1 } },
  ),
  seedling: sketch(
    'seedling',
    'cell-24',
    { 'peat-medium': 3, 'perlite-coarse': 1, 'vermiculite-medium': 1 },
    {
      ph: 5.8,
      doses: { 'calcium-nitrate': 0.3, 'potassium-nitrate': 0.2, 'superphosphate-triple': 0.3 },
      job: { trays: 12, sparePct: 8 },
    },
  ),
  potting: sketch(
    'potting',
    'pot-11',
    { 'peat-medium': 5, 'bark-pine': 3, 'perlite-coarse': 2 },
    { ...limedPot, job: { trays: 200, sparePct: 8 } },
  ),
};
