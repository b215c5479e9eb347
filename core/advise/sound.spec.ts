import { findingsOf } from '#core/advise/findings';
import { fastAndLimits, formulated, searchAll, takenAs } from '#core/finder/formulate';
import { judgeRecipe } from '#core/judge/judge';
import { type Stage } from '#core/mix/stage';
import { sketch } from '#core/recipe/sketch';
import { finderJob } from '#testing/finder';
import { library, vesselKind } from '#testing/library';
import { read } from '#words/read';

/** Shelves as growers have them: peat, coir, bark, loam, blocks, home compost. */
const shelves = [
  ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'sand-sharp'],
  ['peat-medium', 'perlite-coarse', 'bark-pine', 'compost'],
  ['coir-pith', 'perlite-coarse', 'vermiculite-medium', 'compost'],
  ['coir-pith', 'wood-fibre', 'bark-pine', 'sand-sharp'],
  ['peat-fine', 'perlite-fine', 'loam', 'sand-sharp'],
  ['peat-black', 'peat-fine', 'compost', 'sand-fine'],
  ['coir-pith', 'pumice', 'leaf-mould', 'castings'],
];
const into: [Stage, string[]][] = [
  ['germination', ['cell-288', 'cell-72', 'block-20']],
  ['rooting', ['cell-72', 'pot-9']],
  ['seedling', ['cell-72', 'block-50', 'pot-9']],
  ['potting', ['pot-11', 'pot-15']],
];

/** The best whole-part recipes of each shelf for each job, of those with every reading in its window. */
const sound = into.flatMap(([stage, vessels]) =>
  vessels.flatMap((vessel) =>
    shelves.flatMap((ids) => {
      const job = finderJob(ids, { ...{ stage, vessel: vesselKind(vessel).vessel, maxTotal: 8, library } });
      const { fast, limits } = fastAndLimits(job);
      return searchAll(fast, { ...limits, onlyMet: true }, 4).best.map(({ parts }) =>
        takenAs(formulated(job, fast, parts), sketch(stage, vessel, { 'peat-fine': 1 })),
      );
    }),
  ),
);

test('sound mixes are quiet: on nine of ten at most one finding, and less than forty words', () => {
  expect(sound.length).toBeGreaterThanOrEqual(200);
  const told = sound.map((recipe) => {
    const { findings } = findingsOf(judgeRecipe(recipe, library));
    const words = findings
      .map(({ cause }) => read(cause.text, { language: 'en', units: 'metric' }))
      .join(' ')
      .split(/\s+/)
      .filter(Boolean);
    return { many: findings.length, words: words.length };
  });
  const share = (of: (each: (typeof told)[number]) => boolean): number =>
    told.filter(of).length / told.length;
  expect(share(({ many }) => many <= 1)).toBeGreaterThanOrEqual(0.9);
  expect(share(({ words }) => words < 40)).toBeGreaterThanOrEqual(0.9);
});
