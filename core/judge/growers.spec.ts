import { judgeMix } from '#core/judge/judge';
import { type Stage } from '#core/mix/stage';
import { normalAt, streamOf, uniformAt } from '#core/stats/normal';
import { readOut } from '#core/units/said';
import { recipe, type RecipeSketch } from '#testing/recipe';

/**
 * Mixes as growers make them: usual shares, usual doses, vessels that fit. Common practice, no source: the shares and
 * doses of extension sheets and bags, from memory.
 */
interface Kind {
  stage: Stage;
  vessels: readonly string[];
  /** Parts of ten, from and to. */
  parts: Readonly<Record<string, readonly [number, number]>>;
  /** pH that is limed to, from and to; left out where no lime goes in. */
  ph?: readonly [number, number];
  /** g/L, from and to. */
  doses?: Readonly<Record<string, readonly [number, number]>>;
  compaction?: number;
}

const kinds: readonly Kind[] = [
  {
    ...{ stage: 'germination', vessels: ['cell-72', 'cell-128', 'flat'], ph: [5.6, 5.9] },
    parts: { 'peat-fine': [5, 7], 'perlite-fine': [1, 3], 'vermiculite-medium': [1, 3] },
    doses: { 'calcium-nitrate': [0.1, 0.25] },
  },
  {
    ...{ stage: 'germination', vessels: ['cell-72', 'cell-60'], ph: [5.6, 5.9] },
    parts: { 'peat-medium': [6, 8], 'perlite-coarse': [2, 4] },
    doses: { 'calcium-nitrate': [0.1, 0.25] },
  },
  {
    ...{ stage: 'germination', vessels: ['cell-72', 'cell-24'] },
    parts: { 'coir-pith': [6, 8], 'perlite-fine': [2, 4] },
    doses: { 'calcium-nitrate': [0.1, 0.2] },
  },
  {
    ...{ stage: 'rooting', vessels: ['cell-72', 'cell-24'] },
    parts: { 'perlite-coarse': [4, 6], 'vermiculite-medium': [4, 6] },
  },
  {
    ...{ stage: 'rooting', vessels: ['cell-24', 'pot-9'], ph: [5.7, 6.2] },
    parts: { 'peat-medium': [3, 5], 'perlite-coarse': [5, 7] },
  },
  {
    ...{ stage: 'seedling', vessels: ['cell-24', 'cell-60', 'pot-9'], ph: [5.7, 6] },
    parts: { 'peat-medium': [5, 7], 'perlite-coarse': [2, 3], 'vermiculite-medium': [0.5, 1.5] },
    doses: {
      'calcium-nitrate': [0.35, 0.5],
      'potassium-nitrate': [0.2, 0.35],
      'superphosphate-single': [0.6, 1],
    },
  },
  {
    ...{ stage: 'potting', vessels: ['pot-11', 'pot-13', 'pot-15'], ph: [5.8, 6.2] },
    parts: { 'peat-medium': [4, 6], 'perlite-coarse': [2, 3], 'bark-pine': [1, 3] },
    doses: {
      ...{ 'calcium-nitrate': [0.6, 0.8], 'potassium-nitrate': [0.3, 0.5] },
      ...{ 'superphosphate-single': [0.9, 1.4], 'trace-elements': [0.1, 0.15] },
    },
  },
  {
    ...{ stage: 'potting', vessels: ['pot-13', 'pot-15'], ph: [5.9, 6.2] },
    parts: { 'bark-pine': [6, 8], 'peat-medium': [2, 3], 'sand-sharp': [0.5, 1] },
    doses: {
      ...{ 'calcium-nitrate': [0.7, 0.9], 'potassium-nitrate': [0.4, 0.5] },
      ...{ 'superphosphate-single': [0.9, 1.4], 'trace-elements': [0.1, 0.15] },
    },
  },
  {
    // GCRI potting mix, 3:1, Bunt 1988 (from memory).
    ...{ stage: 'potting', vessels: ['pot-11', 'pot-13'], ph: [5.6, 6] },
    parts: { 'peat-medium': [7, 8], 'sand-fine': [2, 2.6] },
    doses: {
      ...{ 'calcium-nitrate': [0.5, 0.7], 'potassium-nitrate': [0.4, 0.6] },
      ...{ 'superphosphate-single': [1.2, 1.5], 'trace-elements': [0.15, 0.2] },
    },
  },
  {
    ...{ stage: 'seedling', vessels: ['block-40', 'block-50'], ph: [5.8, 6], compaction: 0.25 },
    parts: { 'peat-black': [7, 8], 'peat-medium': [2, 3] },
    doses: {
      'calcium-nitrate': [0.35, 0.5],
      'potassium-nitrate': [0.2, 0.3],
      'superphosphate-single': [0.6, 0.9],
    },
  },
];

const SEED = 4128;
const drawn = (name: string, i: number, [from, to]: readonly [number, number]): number =>
  from + (to - from) * uniformAt(SEED, streamOf(name), i);
const pick = <T>(name: string, i: number, from: readonly T[]): T =>
  from[Math.min(from.length - 1, Math.floor(drawn(name, i, [0, from.length])))]!;

interface Mix {
  parts: Record<string, number>;
  sketch: RecipeSketch;
}

function mixAt(i: number): Mix {
  const kind = kinds[i % kinds.length]!;
  const of = (range: Kind['doses']): Record<string, number> =>
    Object.fromEntries(Object.entries(range ?? {}).map(([id, ends]) => [id, drawn(id, i, ends)]));
  return {
    parts: of(kind.parts),
    sketch: {
      stage: kind.stage,
      vessel: pick('vessel', i, kind.vessels),
      doses: of(kind.doses),
      ...(kind.ph && { limeToPh: drawn('ph', i, kind.ph) }),
      ...(kind.compaction !== undefined && { compaction: kind.compaction }),
    },
  };
}

const judged = ({ parts, sketch }: Mix) => judgeMix(recipe(parts, sketch));
const loud = (mix: Mix): string[] =>
  judged(mix)
    .flags.filter((f) => f.severity !== 'note')
    .map((f) => `${f.severity} ${f.code}: ${readOut(f.text, 'metric')}`);

test('of 200 sound mixes none is a stop, and under one in ten a warning', () => {
  const said = Array.from({ length: 200 }, (_, i) => loud(mixAt(i)));
  expect(said.flat().filter((each) => each.startsWith('stop'))).toEqual([]);
  expect(said.filter((each) => each.length > 0).length).toBeLessThan(20);
});

/** A factor of three somewhere: in the lime, in a dose, or in the firming. */
function spoiled(mix: Mix, i: number): Mix {
  const { limeToPh: _, ...sketch } = mix.sketch;
  const doses = { ...sketch.doses };
  const lime = judged(mix).evaluation.lime?.gPerL;
  if (lime !== undefined) doses['lime-dolomitic'] = lime;
  const can = Object.keys(doses).filter((id) => id !== 'trace-elements' || doses[id]! > 0);
  const id = pick('spoil', i, can);
  // Too little of a starter is a matter of feeding, not a fault; of lime it is one.
  const third = id === 'lime-dolomitic' && normalAt(SEED, streamOf('way'), i) < 0;
  return {
    parts: mix.parts,
    sketch: { ...sketch, doses: { ...doses, [id]: doses[id]! * (third ? 1 / 3 : 3) } },
  };
}

test('of 200 that are spoiled by a factor of three nine in ten are told', () => {
  const mixes = Array.from({ length: 250 }, (_, i) => [mixAt(i), i] as const)
    .filter(([{ sketch }]) => Object.keys(sketch.doses ?? {}).length > 0 || sketch.limeToPh !== undefined)
    .slice(0, 200);
  expect(mixes).toHaveLength(200);
  const silent = mixes.map(([mix, i]) => spoiled(mix, i)).filter((mix) => loud(mix).length === 0);
  expect(silent.length).toBeLessThanOrEqual(20);
});
