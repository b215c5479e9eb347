import { type Cutting, type LeafKind, type Wood } from '#core/plants/cuttings';

type Row = readonly [
  id: string,
  name: string,
  wood: Wood,
  leaves: LeafKind,
  callusDays: number,
  rootDays: readonly [number, number],
  baseC: number,
  hormonePpm: readonly [number, number],
];
const rows: readonly Row[] = [
  ['coleus', 'Coleus', 'softwood', 'leafy', 4, [7, 14], 22, [0, 500]],
  ['chrysanthemum', 'Chrysanthemum', 'softwood', 'leafy', 6, [10, 18], 21, [0, 1500]],
  ['fuchsia', 'Fuchsia', 'softwood', 'leafy', 7, [14, 21], 21, [0, 1000]],
  ['pelargonium', 'Pelargonium', 'softwood', 'grey', 7, [14, 28], 22, [0, 1000]],
  ['petunia', 'Petunia', 'softwood', 'leafy', 6, [12, 21], 22, [0, 1000]],
  ['salvia', 'Sage, shrubby', 'softwood', 'grey', 7, [14, 21], 22, [0, 1000]],
  ['lavender', 'Lavender', 'semi-ripe', 'grey', 12, [21, 42], 21, [500, 2500]],
  ['rosemary', 'Rosemary', 'semi-ripe', 'grey', 12, [21, 42], 22, [500, 2500]],
  ['hydrangea', 'Hydrangea', 'softwood', 'leafy', 10, [18, 35], 22, [500, 3000]],
  ['weigela', 'Weigela', 'softwood', 'leafy', 10, [18, 35], 22, [500, 3000]],
  ['forsythia', 'Forsythia', 'softwood', 'leafy', 9, [16, 30], 21, [500, 3000]],
  ['rose', 'Rose, shrub', 'softwood', 'leafy', 10, [18, 35], 22, [500, 3000]],
  ['viburnum', 'Viburnum, leaf-losing', 'semi-ripe', 'leafy', 14, [25, 50], 22, [1000, 5000]],
  ['camellia', 'Camellia', 'semi-ripe', 'leafy', 25, [45, 90], 23, [2000, 8000]],
  ['box', 'Box', 'semi-ripe', 'leafy', 25, [45, 90], 21, [1000, 5000]],
  ['privet', 'Privet', 'semi-ripe', 'leafy', 12, [20, 40], 21, [500, 3000]],
  ['holly', 'Holly, evergreen', 'semi-ripe', 'leafy', 20, [40, 80], 22, [2500, 8000]],
  ['yew', 'Yew', 'hardwood', 'leafy', 30, [60, 120], 20, [3000, 10000]],
  ['willow', 'Willow', 'hardwood', 'bare', 7, [14, 28], 18, [0, 1000]],
  ['currant', 'Currant', 'hardwood', 'bare', 20, [40, 80], 16, [0, 2500]],
  ['fig', 'Fig', 'hardwood', 'bare', 20, [40, 80], 18, [1000, 5000]],
  ['grape', 'Grape', 'hardwood', 'bare', 21, [42, 84], 18, [1000, 5000]],
];

/**
 * A first list: ranges of Hartmann & Kester, Plant Propagation, and Dole & Gibson, Cutting Propagation (from memory). Own
 * counts are better.
 */
export const cuttings: readonly Cutting[] = rows.map(
  ([id, name, wood, leaves, callusDays, rootDays, baseC, hormonePpm]) => ({
    ...{ id, name, wood, leaves, callusDays, rootDays, baseC, hormonePpm },
  }),
);
