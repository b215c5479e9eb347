import { type EntryData } from '#contract/record';
import { type HowMuch, type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type ByTurn } from '#server/out/demo/turn';
import { gPerLInPoundPerCubicYard as lbPerYd3 } from '#core/units/factors';

/** The made-up nursery of the demo. Names, crops and numbers are invented, but for mix A of 1967. */
const rounded = (poundsPerCubicYard: number): number =>
  Math.round(poundsPerCubicYard * lbPerYd3 * 1000) / 1000;

interface DemoMix {
  name: string;
  note: string;
  recipe: Recipe;
}

export const demoMixes: readonly DemoMix[] = [
  { name: 'Seed mix, house', note: 'For tomatoes, peppers and brassicas.', recipe: starterMixes.germination },
  { name: 'Cutting mix, open', note: 'Herbs and fuchsias under mist.', recipe: starterMixes.rooting },
  {
    name: 'Growing-on mix',
    note: 'After pricking out, to two pairs of leaves.',
    recipe: starterMixes.seedling,
  },
  { name: 'Potting mix, bark', note: 'To planting size.', recipe: starterMixes.potting },
  {
    name: 'Block mix, lettuce',
    note: 'Lettuce and beet. Pressed wet, carries the plant to the field.',
    recipe: sketch(
      'seedling',
      'block-50',
      { 'peat-black': 3, 'peat-fine': 3, compost: 1, 'sand-sharp': 1 },
      { ph: 5.9, doses: { 'blood-meal': 1 }, firmPct: 25, job: { trays: 20, sparePct: 8 } },
    ),
  },
  {
    name: 'Seed mix, no peat',
    note: 'Coir for customers who ask.',
    recipe: sketch(
      'germination',
      'cell-72',
      { 'coir-pith': 4, 'perlite-fine': 1 },
      { doses: { 'calcium-nitrate': 0.1 } },
    ),
  },
  {
    name: 'Peat-lite mix A (1967)',
    note: 'Worked example: Boodley & Sheldrake, Cornell Peat-Lite Mixes, per cubic yard 11 bushels each of sphagnum peat and vermiculite, 5 lb dolomitic limestone, 2 lb superphosphate, 1 lb calcium nitrate (from memory).',
    recipe: sketch(
      'potting',
      'pot-15',
      { 'peat-medium': 11, 'vermiculite-medium': 11 },
      {
        doses: {
          'lime-dolomitic': rounded(5),
          'superphosphate-single': rounded(2),
          'calcium-nitrate': rounded(1),
        },
        job: { litres: 764.555 },
      },
    ),
  },
];

interface DemoBatch {
  mix: string;
  /** In spring; the rest of the demo knows it by that. */
  name: string;
  /** In the other parts of the year. */
  called?: ByTurn<string>;
  daysAgo: number;
  job: HowMuch;
}

export const demoBatches: readonly DemoBatch[] = [
  {
    mix: 'Seed mix, house',
    name: 'First tomatoes',
    called: {
      spring: 'First tomatoes',
      summer: 'Summer kale',
      autumn: 'Winter lettuce',
      winter: 'Winter lettuce',
    },
    daysAgo: 41,
    job: { trays: 17, sparePct: 8 },
  },
  { mix: 'Block mix, lettuce', name: 'Lettuce blocks, run 1', daysAgo: 27, job: { trays: 16, sparePct: 10 } },
  { mix: 'Cutting mix, open', name: 'Rosemary under mist', daysAgo: 20, job: { trays: 6, sparePct: 8 } },
  {
    mix: 'Seed mix, no peat',
    name: 'Peat-free peppers',
    called: {
      spring: 'Peat-free peppers',
      summer: 'Peat-free chard',
      autumn: 'Peat-free coriander',
      winter: 'Peat-free coriander',
    },
    daysAgo: 31,
    job: { trays: 8, sparePct: 8 },
  },
  {
    mix: 'Growing-on mix',
    name: 'Tomatoes pricked out',
    called: {
      spring: 'Tomatoes pricked out',
      summer: 'Cucumbers potted on',
      autumn: 'Fuchsias potted on',
      winter: 'Fuchsias potted on',
    },
    daysAgo: 6,
    job: { trays: 30, sparePct: 8 },
  },
  { mix: 'Peat-lite mix A (1967)', name: 'One yard of mix A', daysAgo: 2, job: { litres: 764.555 } },
  { mix: 'Growing-on mix', name: 'First pots', daysAgo: 52, job: { trays: 12, sparePct: 8 } },
];

/** What the made-up nursery has standing, with invented prices per litre. */
export const demoShelf: readonly { material: string; costPerL: number; useUp?: boolean }[] = [
  { material: 'peat-fine', costPerL: 0.09 },
  { material: 'peat-medium', costPerL: 0.07, useUp: true },
  { material: 'coir-pith', costPerL: 0.12 },
  { material: 'perlite-fine', costPerL: 0.21 },
  { material: 'perlite-coarse', costPerL: 0.19 },
  { material: 'vermiculite-medium', costPerL: 0.26 },
  { material: 'sand-sharp', costPerL: 0.05 },
  { material: 'compost', costPerL: 0.03 },
];

/** Lots of the made-up nursery: item, name, days ago. */
export const demoLots: readonly [item: string, name: string, daysAgo: number][] = [
  ['peat-fine', 'Bale, second delivery', 50],
  ['perlite-coarse', 'Sack from the large order', 45],
  ['coir-pith', 'Pallet of bricks', 40],
  ['lime-dolomitic', 'Bag opened first', 70],
];

/** What the made-up nursery wrote down, by batch; good tests and bad. Ticks are all but the last so many steps. */
export const demoRecords: Readonly<Record<string, { left: number; entries: readonly EntryData[] }>> = {
  'First tomatoes': {
    left: 0,
    entries: [
      { kind: 'test', test: 'drain', values: { pondS: 1, throughS: 4 } },
      { kind: 'test', test: 'ph', values: { ph: 5.7 } },
      { kind: 'test', test: 'air', values: { volumeMl: 400, drainedMl: 27 } },
    ],
  },
  'Lettuce blocks, run 1': { left: 0, entries: [] },
  'Rosemary under mist': { left: 1, entries: [] },
  'First pots': { left: 0, entries: [] },
  'Peat-free peppers': {
    left: 0,
    entries: [
      { kind: 'test', test: 'ph', values: { ph: 6.5 } },
      { kind: 'test', test: 'ec', values: { ec: 0.42, method: 'oneToTwo' } },
      { kind: 'note', text: 'Salts high: that pallet of bricks wants washing.' },
    ],
  },
  'Tomatoes pricked out': {
    left: 2,
    entries: [{ kind: 'test', test: 'squeeze', values: { grade: 'clump' } }],
  },
};
