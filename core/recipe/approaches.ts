import { type None } from '#core/units/message';
import { type FlagCode } from '#core/recipe/flag-code';
import { type Family } from '#core/material/family';
import { type Stage } from '#core/mix/stage';
import { type AskedWindow, type AskedWindows } from '#core/mix/windows-asked';
import { type OwnHabits } from '#core/recipe/habits';
import { type WindowsAsked } from '#core/recipe/windows-wanted';
import { type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { limedPot, starterMixes } from '#core/recipe/starter-mixes';

/** How loudly a rule speaks that does not stop. */
export type Loudness = 'warn' | 'note';

export const approachIds = [
  'acid-peat',
  'limed-peat-perlite',
  'coir',
  'living-compost',
  'loam',
  'aged-bark',
  'gritty-mineral',
  'old-mix',
  'compost-blocks',
  'hardwood-bark',
  'young-trees',
  'meals',
] as const;
export type ApproachId = (typeof approachIds)[number];
/** What the screen calls each approach, and what it is like. */
export type ApproachFacts = Record<
  `approach.${ApproachId}.${'name' | 'says' | 'goodAt' | 'costs' | 'risks'}`,
  None
>;

/**
 * An approach, as the screen calls it, with a starting mix for each stage that it serves. It changes what a recipe starts from and how
 * loudly some rules speak; it never silences a `stop`.
 */
export interface Approach {
  id: ApproachId;
  mixes: Partial<Record<Stage, Recipe>>;
  /** Where it wants other windows than the trade at large. */
  windows?: Partial<Record<Stage, AskedWindows>>;
  /** Shares that it finds usual. */
  habits?: OwnHabits;
  /** What it would never reach for. */
  never?: readonly Family[];
  /** Rules that this approach takes more or less to heart. */
  loudness: Partial<Record<FlagCode, Loudness>>;
}

/** Trade practice, no source. Words and mixes are ours. */
/** For cuttings, limed, with a little nitrate. */
const inPot9 = (parts: Readonly<Record<string, number>>, ph: number, nitrate: number): Recipe =>
  sketch('rooting', 'pot-9', parts, { ph, doses: { 'calcium-nitrate': nitrate } });

const wants =
  (source: string) =>
  (low: number, high: number): AskedWindow => ({
    low,
    high,
    source: `${source}: common practice, no source`,
  });
const sour = wants('sown acid against damping off');
const alive = wants('fed by compost, which holds much that is not yet free');
const pressedCompost = wants('compost pressed into blocks, watered through before sowing');

export const approaches: readonly Approach[] = [
  {
    id: 'acid-peat',
    mixes: {
      germination: sketch(
        'germination',
        'pot-9',
        { 'peat-fine': 4, 'perlite-coarse': 1 },
        { doses: { 'calcium-nitrate': 0.1 } },
      ),
    },
    windows: { germination: { ph: sour(3.5, 5) } },
    loudness: { 'lime-underdose': 'note', 'nitrogen-low': 'note' },
  },
  {
    id: 'limed-peat-perlite',
    mixes: starterMixes,
    loudness: {},
  },
  {
    id: 'coir',
    mixes: {
      germination: sketch(
        'germination',
        'cell-72',
        { 'coir-pith': 1 },
        { doses: { 'calcium-nitrate': 0.1 } },
      ),
      rooting: sketch(
        'rooting',
        'cell-24',
        { 'coir-pith': 1, 'perlite-coarse': 3 },
        { doses: { 'calcium-nitrate': 0.1 } },
      ),
      seedling: sketch(
        'seedling',
        'cell-24',
        { 'coir-pith': 5, 'perlite-fine': 2 },
        { doses: { 'calcium-nitrate': 0.4, 'superphosphate-triple': 0.2 } },
      ),
      potting: sketch(
        'potting',
        'pot-11',
        { 'coir-pith': 4, 'bark-pine': 1, 'perlite-coarse': 2 },
        { ph: 5.9, doses: { 'calcium-nitrate': 0.7, 'superphosphate-triple': 0.4 } },
      ),
    },
    never: ['peat', 'black-peat'],
    loudness: { 'coir-calcium': 'warn', 'coir-salty': 'warn' },
  },
  {
    id: 'living-compost',
    mixes: {
      seedling: sketch('seedling', 'pot-9', {
        ...{ 'leaf-mould': 5, compost: 1, castings: 1, 'rice-hulls': 2, 'sand-sharp': 1 },
      }),
      potting: sketch('potting', 'pot-13', {
        ...{ compost: 3, castings: 1, 'leaf-mould': 3, 'rice-hulls': 4, 'sand-sharp': 1 },
      }),
    },
    windows: {
      seedling: {
        ...{ ph: alive(5.8, 7.2), ecSaturatedMSPerCm: alive(0.75, 4), nMgPerL: alive(20, 160) },
      },
      potting: {
        ...{ ph: alive(5.8, 7.4), ecSaturatedMSPerCm: alive(0.75, 5), nMgPerL: alive(20, 200) },
      },
    },
    habits: { livingAtLeast: 0.15, edges: { compost: 0.5, castings: 0.3, sand: 0.3 } },
    never: ['perlite', 'vermiculite'],
    loudness: { 'living-at-germination': 'note', 'feed-idle': 'note', legionella: 'warn' },
  },
  {
    id: 'loam',
    mixes: {
      seedling: sketch(
        'seedling',
        'pot-9',
        { loam: 2, 'peat-medium': 4, 'perlite-coarse': 3 },
        {
          ph: 5.9,
          doses: { 'calcium-nitrate': 0.3, 'potassium-nitrate': 0.2, 'superphosphate-triple': 0.2 },
        },
      ),
      potting: sketch(
        'potting',
        'pot-15',
        { loam: 3, 'peat-coarse': 3, 'perlite-coarse': 3 },
        {
          ph: 6.3,
          doses: {
            'hoof-and-horn': 1,
            'potassium-nitrate': 0.4,
            'calcium-nitrate': 0.3,
            'superphosphate-triple': 0.3,
          },
        },
      ),
    },
    loudness: { 'air-low': 'warn', 'living-at-germination': 'note' },
  },
  {
    id: 'aged-bark',
    mixes: {
      rooting: inPot9({ 'bark-pine': 2, 'perlite-coarse': 2, 'peat-medium': 1 }, 5.8, 0.1),
      potting: sketch(
        'potting',
        'pot-13',
        { 'bark-pine': 6, 'peat-medium': 2, 'perlite-coarse': 1 },
        { ph: 5.8, doses: { 'calcium-nitrate': 0.6, 'coated-14-14-14': 2, 'superphosphate-triple': 0.3 } },
      ),
    },
    loudness: { 'bark-rest': 'warn', 'air-high': 'note' },
  },
  {
    id: 'gritty-mineral',
    mixes: {
      rooting: inPot9({ pumice: 5, 'perlite-coarse': 3, 'peat-medium': 1 }, 6, 0.1),
      potting: sketch(
        'potting',
        'pot-15',
        { pumice: 3, 'bark-pine': 2, 'coir-pith': 2 },
        { ph: 5.8, doses: { 'coated-13-13-13': 3, 'calcium-nitrate': 0.7 } },
      ),
    },
    habits: { noBaseNeeded: true, edges: { sand: 0.5 } },
    loudness: { 'air-high': 'note', 'too-light': 'note' },
  },
  {
    id: 'old-mix',
    mixes: {
      seedling: sketch('seedling', 'pot-9', { 'mix-reused': 5, compost: 1, 'perlite-coarse': 2 }),
      potting: sketch('potting', 'pot-13', { 'mix-reused': 5, compost: 2, 'perlite-coarse': 2 }),
    },
    windows: {
      seedling: {
        ...{ ph: alive(5.8, 7.2), ecSaturatedMSPerCm: alive(0.75, 4), nMgPerL: alive(20, 160) },
      },
      potting: {
        ...{ ph: alive(5.8, 7.4), ecSaturatedMSPerCm: alive(0.75, 5), nMgPerL: alive(20, 200) },
      },
    },
    habits: { edges: { compost: 0.5 } },
    loudness: { 'reused-mix': 'note', 'feed-idle': 'note' },
  },
  {
    id: 'compost-blocks',
    mixes: {
      seedling: sketch(
        'seedling',
        'block-50',
        { compost: 8, 'sand-sharp': 1 },
        { firmPct: 25, doses: { 'eggshell-crushed': 2 } },
      ),
    },
    windows: {
      seedling: {
        ...{ ph: pressedCompost(6, 8), ecSaturatedMSPerCm: pressedCompost(0.75, 12) },
        ...{ nMgPerL: pressedCompost(20, 300), blockAirPct: pressedCompost(3, 25) },
      },
    },
    habits: { livingAtLeast: 0.5, edges: { compost: 0.95, sand: 0.25 } },
    never: ['peat', 'black-peat', 'perlite', 'vermiculite'],
    loudness: { 'feed-idle': 'note', 'lime-wrong-direction': 'note', legionella: 'warn' },
  },
  {
    id: 'hardwood-bark',
    mixes: {
      rooting: inPot9({ 'bark-pine': 2, 'bark-hardwood': 1, 'perlite-coarse': 1 }, 6, 0.2),
      potting: sketch(
        'potting',
        'pot-15',
        { 'bark-pine': 2, 'bark-hardwood': 1, 'peat-medium': 1 },
        limedPot,
      ),
    },
    loudness: { 'bark-rest': 'warn', 'air-high': 'note' },
  },
  {
    id: 'young-trees',
    mixes: {
      potting: sketch('potting', 'pot-15', { 'peat-coarse': 11, 'grit-granite': 5, scoria: 4 }, limedPot),
    },
    windows: {
      potting: {
        wetDensityKgPerL: wants('weight is wished for')(0, 1.6),
        airPct: wants('deep pots that are watered by hand')(8, 35),
      },
    },
    habits: { edges: { sand: 0.3, 'peat-and-coir': 0.7 } },
    never: ['perlite', 'vermiculite'],
    loudness: { 'too-light': 'warn' },
  },
  {
    id: 'meals',
    mixes: {
      seedling: sketch(
        'seedling',
        'cell-24',
        { 'peat-medium': 5, compost: 1, 'perlite-coarse': 2 },
        { ph: 6, doses: { 'blood-meal': 0.3, 'bone-meal': 0.8, 'kelp-meal': 0.5 } },
      ),
      potting: sketch(
        'potting',
        'pot-13',
        { 'peat-medium': 5, compost: 2, 'perlite-coarse': 3 },
        { ph: 6.2, doses: { 'blood-meal': 0.6, 'bone-meal': 1.5, 'kelp-meal': 1 } },
      ),
    },
    windows: {
      seedling: { ecSaturatedMSPerCm: alive(0.5, 3), nMgPerL: alive(10, 120) },
      potting: { ecSaturatedMSPerCm: alive(0.75, 3.5), nMgPerL: alive(20, 200) },
    },
    loudness: { 'feed-idle': 'note', 'feed-not-ready': 'note' },
  },
];

export function approachOf(id: string): Approach | undefined {
  return approaches.find((s) => s.id === id);
}

/** The windows of an approach, as a library carries them. */
export const windowsOfApproach = ({ windows = {} }: Approach): WindowsAsked => ({
  stages: windows,
  crops: {},
});
