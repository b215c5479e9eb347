import { type Stage } from '#core/mix/stage';
import { type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { starterMixes } from '#core/recipe/starter-mixes';

/** How loudly a rule speaks that does not stop. */
export type Loudness = 'warn' | 'note';

/**
 * A way of working, as the screen calls it, with a starting mix for each stage that it serves. It changes what a recipe starts from and how
 * loudly some rules speak; it never silences a `stop`.
 */
export interface School {
  id: string;
  name: string;
  says: string;
  goodAt: string;
  costs: string;
  risks: string;
  mixes: Partial<Record<Stage, Recipe>>;
  /** Rules that this school takes more or less to heart. */
  loudness: Partial<Record<string, Loudness>>;
}

/** Trade practice, no source. Words and mixes are ours. */
export const schools: readonly School[] = [
  {
    id: 'acid-peat',
    name: 'Fine acid peat',
    says: 'Sow in nearly bare, sour, fine peat. Acid keeps mould down; the seed brings its own food.',
    goodAt: 'Small seed, even moisture, little damping off.',
    costs: 'Prick out early: there is nothing to eat and little lime.',
    risks: 'Too sour for cabbages, lettuce and beet if they stay.',
    mixes: {
      germination: sketch(
        'germination',
        'pot-9',
        { 'peat-fine': 8, 'sand-sharp': 1 },
        { ph: 5.5, doses: { 'calcium-nitrate': 0.1 } },
      ),
    },
    loudness: { 'lime-underdose': 'note', 'nitrogen-low': 'note' },
  },
  {
    id: 'limed-peat-perlite',
    name: 'Limed peat with perlite',
    says: 'Peat for water, perlite for air, lime to a set pH, a small charge of feed. The same every time.',
    goodAt: 'Uniform trays, clean, easy to feed by liquid.',
    costs: 'Peat and perlite are bought in; feed must follow within weeks.',
    risks: 'Once dry it repels water.',
    mixes: starterMixes,
    loudness: {},
  },
  {
    id: 'coir',
    name: 'Coir',
    says: 'Coir pith in place of peat: wets at once, near neutral, no lime to get wrong.',
    goodAt: 'Rewetting, long standing, peat-free sales.',
    costs: 'Wash it and give it calcium first; feed more nitrogen than in peat.',
    risks: 'Salt and potassium from a bad lot.',
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
    loudness: { 'coir-calcium': 'warn', 'coir-salty': 'warn' },
  },
  {
    id: 'living-compost',
    name: 'Living compost and sand',
    says: 'Compost from the heap carries the plant; sand opens it. Nothing is sterilised, the life is the point.',
    goodAt: 'Cost, pot-ups and blocks that go straight to the field.',
    costs: 'Weight, weeds to pull, every heap is different: test each one.',
    risks: 'Salt and weeds under seed; gnats indoors.',
    mixes: {
      seedling: sketch(
        'seedling',
        'pot-9',
        { 'peat-medium': 4, compost: 2, castings: 1, 'sand-sharp': 1, 'perlite-coarse': 2 },
        { ph: 6.2 },
      ),
      potting: sketch(
        'potting',
        'pot-13',
        { compost: 3, castings: 1, 'peat-medium': 6, 'perlite-coarse': 4, 'sand-sharp': 1 },
        { doses: { 'calcium-nitrate': 0.3 } },
      ),
    },
    loudness: { 'living-at-germination': 'note', legionella: 'warn' },
  },
  {
    id: 'loam',
    name: 'Compost with loam',
    says: 'Sterilised loam gives body and a buffer, peat holds the water, sand drains. Pots that stand and forgive.',
    goodAt: 'Weight against wind, steady feed, blocks that hold.',
    costs: 'Heavy to carry; loam must be found and sterilised.',
    risks: 'Little air in small cells; heated too far it gives off ammonium and manganese.',
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
    name: 'Aged bark',
    says: 'Half to two thirds aged pine bark from the local mill, the rest peat. Air that lasts.',
    goodAt: 'Shrubs, long crops, outdoor pots in rain.',
    costs: 'Water more often; more nitrogen, since bark takes some.',
    risks: 'Fresh bark heats and starves; too coarse for small cells.',
    mixes: {
      rooting: sketch(
        'rooting',
        'pot-9',
        { 'bark-pine': 2, 'perlite-coarse': 2, 'peat-medium': 1 },
        { ph: 5.8, doses: { 'calcium-nitrate': 0.1 } },
      ),
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
    name: 'Gritty mineral',
    says: 'Pumice, grit and bark, screened of fines: drains at once, stands for years. For trees in warm climates.',
    goodAt: 'Deep pots, long standing, roots that hate wet feet.',
    costs: 'Weight; water daily in heat; feed from the top.',
    risks: 'Dries out; useless in small cells.',
    mixes: {
      rooting: sketch(
        'rooting',
        'pot-9',
        { pumice: 4, 'peat-medium': 1 },
        { ph: 5.8, doses: { 'calcium-nitrate': 0.1 } },
      ),
      potting: sketch(
        'potting',
        'pot-15',
        { pumice: 3, 'bark-pine': 2, 'coir-pith': 2 },
        { ph: 5.8, doses: { 'coated-13-13-13': 3, 'calcium-nitrate': 0.7 } },
      ),
    },
    loudness: { 'air-high': 'note', 'too-light': 'note' },
  },
];

export function school(id: string): School | undefined {
  return schools.find((s) => s.id === id);
}
