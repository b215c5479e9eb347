import { type Cutting, type Wood } from '#core/plants/cuttings';

type Row = readonly [
  id: string,
  name: string,
  wood: Wood,
  callusDays: number,
  rootDays: readonly [number, number],
  baseC: number,
  hormonePpm: readonly [number, number],
];
const rows: readonly Row[] = [
  ['coleus', 'Coleus', 'softwood', 4, [7, 14], 22, [0, 500]],
  ['chrysanthemum', 'Chrysanthemum', 'softwood', 6, [10, 18], 21, [0, 1500]],
  ['fuchsia', 'Fuchsia', 'softwood', 7, [14, 21], 21, [0, 1000]],
  ['pelargonium', 'Pelargonium', 'softwood', 7, [14, 28], 22, [0, 1000]],
  ['petunia', 'Petunia', 'softwood', 6, [12, 21], 22, [0, 1000]],
  ['salvia', 'Sage, shrubby', 'softwood', 7, [14, 21], 22, [0, 1000]],
  ['lavender', 'Lavender', 'semi-ripe', 12, [21, 42], 21, [500, 2500]],
  ['rosemary', 'Rosemary', 'semi-ripe', 12, [21, 42], 22, [500, 2500]],
  ['hydrangea', 'Hydrangea', 'softwood', 10, [18, 35], 22, [500, 3000]],
  ['weigela', 'Weigela', 'softwood', 10, [18, 35], 22, [500, 3000]],
  ['forsythia', 'Forsythia', 'softwood', 9, [16, 30], 21, [500, 3000]],
  ['rose', 'Rose, shrub', 'softwood', 10, [18, 35], 22, [500, 3000]],
  ['viburnum', 'Viburnum, leaf-losing', 'semi-ripe', 14, [25, 50], 22, [1000, 5000]],
  ['camellia', 'Camellia', 'semi-ripe', 25, [45, 90], 23, [2000, 8000]],
  ['box', 'Box', 'semi-ripe', 25, [45, 90], 21, [1000, 5000]],
  ['privet', 'Privet', 'semi-ripe', 12, [20, 40], 21, [500, 3000]],
  ['holly', 'Holly, evergreen', 'semi-ripe', 20, [40, 80], 22, [2500, 8000]],
  ['yew', 'Yew', 'hardwood', 30, [60, 120], 20, [3000, 10000]],
  ['willow', 'Willow', 'hardwood', 7, [14, 28], 18, [0, 1000]],
  ['currant', 'Currant', 'hardwood', 20, [40, 80], 16, [0, 2500]],
  ['fig', 'Fig', 'hardwood', 15, [30, 60], 22, [1000, 5000]],
  ['grape', 'Grape', 'hardwood', 14, [28, 56], 24, [1000, 5000]],
];

/**
 * A first list: ranges of Hartmann & Kester, Plant Propagation, and Dole & Gibson, Cutting Propagation (from memory). Own
 * counts are better.
 */
export const cuttings: readonly Cutting[] = rows.map(
  ([id, name, wood, callusDays, rootDays, baseC, hormonePpm]) => ({
    ...{ id, name, wood, callusDays, rootDays, baseC, hormonePpm },
  }),
);
