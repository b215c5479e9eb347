import { type NewPlanting } from '#contract/plants';
import { type PlantEvent, type Planting } from '#core/plants/planting';
import { layOut } from '#core/plants/trial';
import { uniformAt } from '#core/stats/normal';
import { dayIn, daysAfter } from '#core/units/day';
import { type Db } from '#server/base/database/db';
import { Folder } from '#server/base/database/folder';
import { type ByTurn, inTurn, turnOf } from '#server/out/demo/turn';
import { Ledger } from '#server/book/tub/ledger';
import { Tubs } from '#server/book/tub/tubs';
import { storesOf } from '#server/kept/stores';
import { TrialStore } from '#server/kept/plants/trials';

type Given = Pick<NewPlanting, 'vessel' | 'cells'> & Partial<NewPlanting>;
type Sort = [crop: string, name?: string];
/** An event, so many days after the planting began. */
type After = [days: number, event: Record<string, unknown> & { kind: PlantEvent['kind'] }];
interface DemoPlanting {
  /** Days ago. */
  ago: number;
  /** Name of a batch, as in spring. */
  batch?: string;
  sort: ByTurn<Sort>;
  given: Given;
  /** None of them stands any more. */
  finished?: true;
  events: After[];
}

/** Of the made-up nursery: good ones, bad ones, a bare-root rescue. Numbers are invented. */
const demo: readonly DemoPlanting[] = [
  {
    ...{ ago: 33, batch: 'First tomatoes' },
    sort: {
      spring: ['tomato', 'Long Red'],
      summer: ['kale', 'Black Leaf'],
      autumn: ['lettuce', 'Winter Gem'],
      winter: ['lettuce', 'Winter Gem'],
    },
    given: { seed: 'Own seed', vessel: 'cell-72', cells: 288 },
    events: [
      [8, { kind: 'up', count: 241 }],
      [11, { kind: 'up', count: 268 }],
      [13, { kind: 'lost', count: 5, cause: 'damped off' }],
      [14, { kind: 'ph', value: 5.9 }],
      [14, { kind: 'ec', value: 0.9 }],
      [22, { kind: 'fed', text: 'Half strength, from below' }],
      [24, { kind: 'ph', value: 6.1 }],
      [24, { kind: 'ec', value: 0.6 }],
      [27, { kind: 'count', alive: 262 }],
    ],
  },
  {
    ...{ ago: 26, batch: 'Lettuce blocks, run 1' },
    sort: { spring: ['lettuce', 'Oak leaf'] },
    given: { seed: 'Bought, this year', vessel: 'block-50', cells: 150 },
    events: [
      [4, { kind: 'up', count: 147 }],
      [9, { kind: 'watered', litres: 12, minutes: 30 }],
      [20, { kind: 'count', alive: 146 }],
      [25, { kind: 'out', count: 96, way: 'planted' }],
    ],
  },
  {
    ...{ ago: 24, batch: 'First tomatoes' },
    sort: {
      spring: ['cabbage', 'Pointed'],
      summer: ['broccoli', 'Purple'],
      autumn: ['cauliflower', 'Late White'],
      winter: ['cauliflower', 'Early White'],
    },
    given: { seed: 'Bought, this year', vessel: 'cell-72', cells: 216 },
    events: [
      [7, { kind: 'up', count: 203 }],
      [12, { kind: 'lost', count: 9, cause: 'slugs' }],
      [16, { kind: 'cold', celsius: -1 }],
      [18, { kind: 'count', alive: 194 }],
    ],
  },
  {
    ...{ ago: 20, batch: 'Rosemary under mist' },
    sort: { spring: ['lavender'] },
    given: { start: 'strike', seed: 'Mother bed', vessel: 'cell-72', cells: 144 },
    events: [
      [10, { kind: 'lost', count: 21, cause: 'stem rot' }],
      [18, { kind: 'up', count: 102 }],
    ],
  },
  {
    ...{ ago: 13, batch: 'Peat-free peppers' },
    sort: { spring: ['pepper'], summer: ['chard'], autumn: ['coriander'], winter: ['coriander'] },
    given: { seed: 'Three years old', vessel: 'cell-72', cells: 144 },
    events: [
      [11, { kind: 'up', count: 71 }],
      [12, { kind: 'ph', value: 7.2 }],
      [12, { kind: 'ec', value: 0.3 }],
      [12, { kind: 'sign', sign: 'yellow-veins' }],
    ],
  },
  {
    ...{ ago: 40, batch: 'First tomatoes' },
    sort: {
      spring: ['onion', 'Brown Globe'],
      summer: ['parsley', 'Curled'],
      autumn: ['chives'],
      winter: ['chives'],
    },
    given: { vessel: 'cell-72', cells: 144, perCell: 6 },
    events: [
      [12, { kind: 'up', count: 742 }],
      [30, { kind: 'count', alive: 731 }],
    ],
  },
  {
    ...{ ago: 38 },
    sort: { spring: ['basil'] },
    given: { vessel: 'cell-72', cells: 72, seed: 'Bought, this year' },

    finished: true,
    events: [
      [9, { kind: 'up', count: 66 }],
      [12, { kind: 'lost', count: 48, cause: 'damped off' }],
      [14, { kind: 'lost', count: 18, cause: 'damped off' }],
    ],
  },
  {
    ...{ ago: 5, batch: 'Tomatoes pricked out' },
    sort: {
      spring: ['petunia', 'From a neighbour'],
      summer: ['cosmos', 'From a neighbour'],
      autumn: ['pansy', 'From a neighbour'],
      winter: ['pansy', 'From a neighbour'],
    },
    given: {
      start: 'pot',
      vessel: 'pot-9',
      cells: 60,
      bareRoot: true,
    },
    events: [
      [0, { kind: 'note', text: 'Came with wet feet in heavy soil; washed off.' }],
      [5, { kind: 'lost', count: 4, cause: 'weak' }],
    ],
  },
  {
    ...{ ago: 50, batch: 'First pots' },
    sort: { spring: ['pelargonium', 'Red balcony'] },
    given: { start: 'pot', vessel: 'pot-9', cells: 80 },
    events: [
      [7, { kind: 'size', mm: 55 }],
      [20, { kind: 'size', mm: 82 }],
      [21, { kind: 'weight', grams: 5200 }],
      [24, { kind: 'weight', grams: 3900 }],
      [34, { kind: 'size', mm: 120 }],
      [40, { kind: 'count', alive: 79 }],
      [44, { kind: 'out', count: 30, way: 'sold' }],
    ],
  },
  {
    ...{ ago: 16, batch: 'First pots' },
    sort: {
      spring: ['tomato', 'Tall'],
      summer: ['cucumber', 'Tall'],
      autumn: ['fuchsia', 'Tall'],
      winter: ['fuchsia', 'Tall'],
    },
    given: { start: 'pot', vessel: 'pot-9', cells: 48, halfFilled: true },
    events: [[9, { kind: 'size', mm: 140 }]],
  },
  {
    ...{ ago: 22 },
    sort: {
      spring: ['celery'],
      summer: ['parsley', 'Flat'],
      autumn: ['parsley', 'Flat'],
      winter: ['parsley', 'Flat'],
    },
    given: { vessel: 'cell-72', cells: 72, perCell: 3, seed: 'Two years old' },
    events: [
      [19, { kind: 'up', count: 58 }],
      [20, { kind: 'sign', sign: 'uneven' }],
    ],
  },
  {
    ...{ ago: 9, batch: 'Lettuce blocks, run 1' },
    sort: { spring: ['spinach'], summer: ['lettuce', 'Cos'] },
    given: { vessel: 'block-50', cells: 100, seed: 'Bought, this year' },
    events: [],
  },
];

/** A trial: arms, chance of a plant, cells a tray. */
const trials = [
  {
    ...{ name: 'Peat against coir', ago: 30, blocks: 6, cells: 72 },
    crop: { spring: 'tomato', summer: 'kale', autumn: 'lettuce', winter: 'lettuce' } as ByTurn<string>,
    arms: [
      { name: 'House seed mix', batch: 'First tomatoes', chance: 0.91 },
      { name: 'No peat', batch: 'Peat-free peppers', chance: 0.8 },
    ],
  },
  {
    ...{ name: 'Grit on top', ago: 16, blocks: 2, cells: 18 },
    crop: { spring: 'lettuce' } as ByTurn<string>,
    arms: [
      { name: 'Plain', batch: 'First tomatoes', chance: 0.66 },
      { name: 'Grit', batch: 'First tomatoes', chance: 0.95 },
    ],
  },
];

/** Where the draws of the trays begin: whatever stands beside them, they come out alike. */
const FIRST_STREAM = 9;

/** A dozen plantings, one clear trial and one that says too few. */
export function demoPlants(
  db: Db,
  now: Date,
  key: (n: number) => string,
  batches: ReadonlyMap<string, number>,
): void {
  const today = dayIn(now, new Folder(db).timeZone);
  const turn = turnOf(today);
  const stores = storesOf(db, () => now);
  const ledger = new Ledger(stores, new Tubs(stores));
  const { plants: store, plantEvents } = stores;
  const at = now.toISOString();
  const batchOf = (name: string | undefined): number | null => (name && batches.get(name)) || null;
  let used = 0;
  const usual: Omit<Planting, 'id' | 'crop' | 'vessel' | 'cells' | 'on' | 'from'> = {
    ...{
      start: 'sow',
      name: '',
      seed: '',
      perCell: 1,
      batch: null,
      bareRoot: false,
      halfFilled: false,
      season: null,
      seedLot: null,
    },
    trial: null,
  };
  const enter = (planting: Planting, events: readonly After[]): void => {
    for (const [days, event] of events) {
      const on = daysAfter(planting.on, days);
      if (on <= today)
        plantEvents.add(planting.id, key(used++), { ...event, on } as unknown as PlantEvent, at);
    }
  };
  for (const { ago, batch, sort, given, events, finished } of demo) {
    const [crop, name = ''] = inTurn(sort, turn);
    const on = daysAfter(today, -ago);
    const planting = store.add(
      { ...usual, ...given, crop, name, from: [], on, batch: batchOf(batch), key: key(used++) },
      at,
    );
    ledger.begin(planting, at);
    enter(planting, events);
    if (finished) store.finish(planting.id, true);
  }
  let stream = FIRST_STREAM;
  trials.forEach(({ name, ago, blocks, cells, crop: crops, arms }, t) => {
    const crop = inTurn(crops, turn);
    const on = daysAfter(today, -ago);
    const seed = 4711 + t;
    const id = new TrialStore(db).add(
      {
        ...{
          key: key(used++),
          name,
          seed,
          blocks,
          crop,
          cells,
          on,
          perCell: 1,
          vessel: 'cell-72',
          seedLot: '',
        },
        arms: arms.map((arm) => ({ name: arm.name, batch: batchOf(arm.batch) })),
      },
      at,
    );
    for (const { arm, block } of layOut(seed, arms.length, blocks)) {
      const of = arms[arm]!;
      const planting = store.add(
        {
          ...{ ...usual, crop, vessel: 'cell-72', cells, on, from: [], batch: batchOf(of.batch) },
          ...{ key: key(used++), name: `${name}, ${of.name}, block ${block}`, trial: { id, arm, block } },
        },
        at,
      );
      ledger.begin(planting, at);
      const count = Array.from({ length: cells }, (_, cell) =>
        Number(uniformAt(seed, stream, cell) < of.chance),
      ).reduce((sum, each) => sum + each, 0);
      enter(planting, [[10, { kind: 'up', count }]]);
      stream++;
    }
  });
}
