import { type Stage } from '#core/mix/stage';
import { type Recipe } from '#core/recipe/recipe';

/** A working recipe for each stage, so that nobody starts from an empty table. Common practice, no source. */
export const starterMixes: Record<Stage, Recipe> = {
  germination: {
    stage: 'germination',
    vessel: 'cell-72',
    compactionPct: 0,
    components: [
      { material: 'peat-fine', parts: 4 },
      { material: 'perlite-coarse', parts: 2 },
      { material: 'vermiculite-medium', parts: 1 },
    ],
    lime: { amendment: 'lime-dolomitic', ph: 5.8 },
    amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.2 }],
    job: { trays: 20, sparePct: 8 },
  },
  rooting: {
    stage: 'rooting',
    vessel: 'cell-24',
    compactionPct: 0,
    components: [
      { material: 'perlite-coarse', parts: 3 },
      { material: 'peat-medium', parts: 2 },
    ],
    lime: { amendment: 'lime-dolomitic', ph: 6 },
    amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.1 }],
    job: { trays: 10, sparePct: 8 },
  },
  seedling: {
    stage: 'seedling',
    vessel: 'cell-24',
    compactionPct: 0,
    components: [
      { material: 'peat-medium', parts: 6 },
      { material: 'perlite-fine', parts: 2 },
      { material: 'vermiculite-medium', parts: 1 },
    ],
    lime: { amendment: 'lime-dolomitic', ph: 5.8 },
    amendments: [
      { amendment: 'calcium-nitrate', gPerL: 0.3 },
      { amendment: 'potassium-nitrate', gPerL: 0.2 },
      { amendment: 'superphosphate-triple', gPerL: 0.3 },
    ],
    job: { trays: 12, sparePct: 8 },
  },
  potting: {
    stage: 'potting',
    vessel: 'pot-11',
    compactionPct: 0,
    components: [
      { material: 'peat-medium', parts: 5 },
      { material: 'bark-pine', parts: 3 },
      { material: 'perlite-coarse', parts: 2 },
    ],
    lime: { amendment: 'lime-dolomitic', ph: 6 },
    amendments: [
      { amendment: 'calcium-nitrate', gPerL: 0.5 },
      { amendment: 'potassium-nitrate', gPerL: 0.4 },
      { amendment: 'superphosphate-triple', gPerL: 0.5 },
    ],
    job: { trays: 200, sparePct: 8 },
  },
};
