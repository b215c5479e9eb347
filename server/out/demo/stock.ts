import { type LotTestGiven, type NewLot } from '#contract/lots';
import { type NewWater } from '#contract/water';

/** What came of the lots that the made-up nursery has had from the start, and what each cost. */
export const demoAmounts: Readonly<
  Record<string, { quantity: number; price: number; kind?: NewLot['kind']; pack?: NewLot['pack'] }>
> = {
  'peat-fine': { quantity: 300, price: 36, pack: { kind: 'bale', amount: 150 } },
  // Runs short within days.
  'perlite-coarse': { quantity: 62, price: 9.4 },
  'coir-pith': { quantity: 70, price: 6.3, pack: { kind: 'brick', amount: 70 } },
  'lime-dolomitic': { quantity: 2.5, price: 2.9, kind: 'product' },
};

type DemoLot = Pick<NewLot, 'item' | 'name' | 'kind'> &
  Partial<Pick<NewLot, 'quantity' | 'price' | 'from' | 'seed' | 'note' | 'pack'>> & {
    daysAgo: number;
    readyInDays?: number;
  };

export const demoStock: readonly DemoLot[] = [
  {
    ...{ kind: 'material', item: 'bark-pine', name: 'Load from the mill, still warm', daysAgo: 9 },
    ...{ quantity: 2000, price: 60, readyInDays: 19, note: 'Steams when it is opened.' },
  },
  {
    ...{ kind: 'material', item: 'compost', name: 'Heap by the gate', daysAgo: 120 },
    ...{ quantity: 640, price: null, from: { batch: null, what: 'heap' } },
  },
  {
    ...{ kind: 'material', item: 'mix-reused', name: 'Emptied trays of the autumn', daysAgo: 60 },
    ...{ quantity: 180, from: { batch: null, what: 'emptied', round: 1 }, readyInDays: -2 },
  },
  { ...{ kind: 'product', item: 'calcium-nitrate', name: 'Tub', daysAgo: 80 }, quantity: 2, price: 3.6 },
  {
    ...{ kind: 'vessel', item: 'cell-72', name: 'Stack of trays', daysAgo: 90 },
    quantity: 4896,
    price: 78,
    pack: { kind: 'box', amount: 720 },
  },
  {
    ...{ kind: 'seed', item: 'Tomato, round red', name: 'Packet', daysAgo: 30 },
    ...{ quantity: 500, price: 14, seed: { year: null, germination: 0.91 } },
  },
  {
    ...{ kind: 'seed', item: 'Onion, brown', name: 'Tin of last year', daysAgo: 380 },
    ...{ quantity: 3000, price: 9, seed: { year: null, germination: 0.72 } },
  },
];

/** Tests of the heap that differ from the book. */
export const demoTests: readonly { item: string; daysAgo: number; values: LotTestGiven }[] = [
  { item: 'compost', daysAgo: 40, values: { test: 'dry', wetG: 520, dryG: 290 } },
  { item: 'compost', daysAgo: 40, values: { test: 'weigh', litres: 10, kg: 7.4 } },
  { item: 'compost', daysAgo: 39, values: { test: 'ph', ph: 7.1, method: 'oneToFive' } },
  { item: 'compost', daysAgo: 39, values: { test: 'ec', ec: 1.15, method: 'oneToFive' } },
];

/** What the made-up nursery waters with. */
export const demoWaters: readonly Omit<NewWater, 'key'>[] = [
  {
    ...{ name: 'Yard well', kind: 'well', on: null, alkalinityMgPerL: 212, ecMSPerCm: 0.56, ph: 7.5 },
    ...{ caMgPerL: 74, mgMgPerL: 14, naMgPerL: 17, clMgPerL: 23 },
  },
  {
    ...{ name: 'Rain barrel', kind: 'rain', on: null, alkalinityMgPerL: 6, ecMSPerCm: 0.03, ph: 6.2 },
    ...{ caMgPerL: 1, mgMgPerL: 0, naMgPerL: 1, clMgPerL: 2 },
  },
];
