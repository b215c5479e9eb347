import { addDays, parseISO } from 'date-fns';
import { type KeptBatch } from '#server/kept/batches';
import { type NewLot } from '#contract/lots';
import { type EntryData, type KeptData } from '#contract/record';
import { fittingScoop } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { runBenchTest } from '#core/batch/tests/bench-tests';
import { figuresOf } from '#core/judge/figures';
import { mixInputOf } from '#core/recipe/recipe';
import { dayIn, daysAfter } from '#core/units/day';
import { usualKeeping } from '#core/weeks/usual-keeping';
import { BatchStore } from '#server/kept/batches';
import { Folder } from '#server/base/database/folder';
import { type Db } from '#server/base/database/db';
import { demoBatches, demoLots, demoMixes, demoRecords, demoShelf } from '#server/out/demo/nursery';
import { demoAmounts, demoStock, demoTests, demoWaters } from '#server/out/demo/stock';
import { demoPlants } from '#server/out/demo/plants';
import { demoSeason } from '#server/out/demo/season';
import { inTurn, turnOf } from '#server/out/demo/turn';
import { LearnedStore } from '#server/kept/library/learned';
import { LibraryStore } from '#server/kept/library/library';
import { Keepings } from '#server/kept/nursery/keepings';
import { LotStore } from '#server/kept/lots';
import { MixStore } from '#server/kept/mixes';
import { RecordStore } from '#server/kept/record';
import { ShelfStore } from '#server/kept/shelf';
import { WaterStore } from '#server/kept/waters';

/** A key that is the same every time: a demo folder is known by those of its batches. */
const keyOf = (kind: string, n: number): string =>
  `00000000-0000-4000-${kind}-${String(n).padStart(12, '0')}`;
const batchKey = (index: number): string => keyOf('8000', index);

/** What the demo is made of, in the order in which it grew. A demo folder gets the steps that it has not had. */
const steps: readonly ((db: Db, now: Date) => void)[] = [
  mixesAndBatches,
  shelf,
  lotsAndRecords,
  stock,
  season,
  plants,
  waters,
  care,
];

/**
 * Fills an empty data folder with the made-up nursery, and brings an older demo folder up to date. Any other folder
 * is left alone. Dates count back from `now`.
 */
export function seedDemo(db: Db, now: Date): void {
  const folder = new Folder(db);
  const done = folder.demoSteps ?? (isEmpty(db) ? 0 : steps.length);
  if (done >= steps.length) return;
  db.transaction(() => {
    for (const step of steps.slice(done)) step(db, now);
    folder.demoSteps = steps.length;
  }).immediate();
}

/** Bright most of the year, dull and cool in the dark months. */
function care(db: Db): void {
  const keepings = new Keepings(new Folder(db));
  if (keepings.isSet) return;
  const dark = [11, 12, 1, 2].map((month) => ({ month, house: 'dull' as const, tempC: 15 }));
  keepings.usual = { ...usualKeeping, months: dark.sort((a, b) => a.month - b.month) };
}

function season(db: Db, now: Date): void {
  // Its days hang on how the nursery keeps.
  care(db);
  demoSeason(db, now, (n) => keyOf('b000', n));
}

function waters(db: Db, now: Date): void {
  const store = new WaterStore(db);
  demoWaters.forEach((water, n) => store.add({ key: keyOf('d000', n), ...water }, startOf(now)));
}

function plants(db: Db, now: Date): void {
  demoPlants(db, now, (n) => keyOf('c000', n), batchesOf(db));
}

/** Ids of those that are there, by their names in spring. */
function batchesOf(db: Db): Map<string, number> {
  const store = new BatchStore(db);
  return new Map(
    demoBatches.flatMap(({ name }, index): [string, number][] => {
      const batch = store.byKey(batchKey(index));
      return batch ? [[name, batch.id]] : [];
    }),
  );
}

const isEmpty = (db: Db): boolean =>
  ['mixes', 'batches', 'lots', 'measures'].every(
    (table) => db.prepare(`SELECT 1 FROM ${table} LIMIT 1`).get() === undefined,
  );

const startOf = (now: Date): string => addDays(now, -60).toISOString();

function mixesAndBatches(db: Db, now: Date): void {
  const [mixes, batches, library] = [new MixStore(db), new BatchStore(db), new LibraryStore(db).library()];
  const kept = new Map(
    demoMixes.map(({ name, note, recipe }, i) => {
      const figures = figuresOf(mixInputOf(recipe, library));
      return [name, mixes.create(keyOf('a000', i), name, note, recipe, figures, startOf(now))];
    }),
  );
  const turn = turnOf(dayIn(now, new Folder(db).timeZone));
  demoBatches.forEach(({ mix, name, called, daysAgo, job }, index) => {
    const version = kept.get(mix);
    if (!version) throw new RangeError(`demo batch ${name} names a mix that is not there: ${mix}`);
    const made = addDays(now, -daysAgo);
    batches.add({
      key: batchKey(index),
      name: called ? inTurn(called, turn) : name,
      mixVersionId: version.id,
      madeOn: daysAfter(dayIn(now, new Folder(db).timeZone), -daysAgo),
      createdAt: made.toISOString(),
      snapshot: snapshotBatch({ ...version.recipe, job }, library, {
        units: 'metric',
        scoop: fittingScoop(40, 'metric').id,
      }),
    });
  });
}

function shelf(db: Db, now: Date): void {
  const store = new ShelfStore(db);
  for (const { material, costPerL, useUp = false } of demoShelf) {
    store.put({ material, here: true, costPerL, useUp }, startOf(now));
  }
}

function lotsAndRecords(db: Db, now: Date): void {
  const [batches, lots, record] = [new BatchStore(db), new LotStore(db), new RecordStore(db)];
  // An older demo folder stands at the day on which it was filled.
  const first = batches.byKey(batchKey(0));
  const filled = first ? addDays(parseISO(first.madeOn), demoBatches[0]!.daysAgo) : now;
  const lotOf = new Map(
    demoLots.map(([item, name, daysAgo], i) => {
      const receivedOn = daysAfter(dayIn(filled, 'UTC'), -daysAgo);
      return [item, lots.add(lotOfDemo(keyOf('b000', i), item, name, receivedOn), startOf(filled)).id];
    }),
  );
  let written = 0;
  for (const [name, id] of batchesOf(db)) {
    const [batch, told] = [batches.one(id), demoRecords[name]];
    if (!batch || !told) continue;
    for (const data of recordOf(batch, lotOf, told)) {
      const result = data.kind === 'test' && runBenchTest(data.test, data.values, batch.snapshot.context);
      record.add(
        ...([
          batch.id,
          keyOf('9000', written++),
          { ...data, ...(result && { result }) },
          batch.createdAt,
        ] as const),
        ({ id, subject }) => lots.noteTakes({ id, subject, day: batch.madeOn }, batch, data),
      );
    }
  }
}

const lotOfDemo = (key: string, item: string, name: string, receivedOn: string): NewLot => ({
  ...{ key, kind: 'material', item, name, receivedOn, note: '' },
  ...{ quantity: null, price: null, readyOn: null, from: null, seed: null, pack: null, order: null },
});

/** How much of everything came and what it cost; seed, empty trays, a heap that rests, and tests of the compost. */
function stock(db: Db, now: Date): void {
  const lots = new LotStore(db);
  const learned = new LearnedStore(db);
  const today = dayIn(now, new Folder(db).timeZone);
  const priced = db.prepare(
    'UPDATE lots SET quantity = ?, price = ?, kind = ?, pack_json = ? WHERE key = ? AND quantity IS NULL',
  );
  demoLots.forEach(([item], i) => {
    const result = demoAmounts[item];
    if (!result) return;
    const pack = result.pack ? JSON.stringify(result.pack) : null;
    priced.run(result.quantity, result.price, result.kind ?? 'material', pack, keyOf('b000', i));
  });
  demoStock.forEach(({ daysAgo, readyInDays, ...lot }, i) => {
    const readyOn = readyInDays === undefined ? null : daysAfter(today, readyInDays);
    const base = lotOfDemo(keyOf('b100', i), lot.item, lot.name, daysAfter(today, -daysAgo));
    lots.add({ ...base, ...lot, readyOn }, startOf(now));
  });
  demoTests.forEach(({ item, daysAgo, values }, i) =>
    learned.add(
      item,
      { key: keyOf('b200', i), lot: null, on: daysAfter(today, -daysAgo), values },
      startOf(now),
    ),
  );
}

/** What was written down on a batch: lots, ticks of all steps but the last ones, and tests. */
function recordOf(
  { snapshot }: KeptBatch,
  lotOf: ReadonlyMap<string, number>,
  result: { left: number; entries: readonly EntryData[] },
): KeptData[] {
  const lots = [...snapshot.materials, ...snapshot.amendments].flatMap(({ id }): EntryData[] => {
    const lot = lotOf.get(id);
    return lot === undefined ? [] : [{ kind: 'lot', item: id, lot }];
  });
  const ticks = snapshot.steps.slice(0, snapshot.steps.length - result.left).flatMap((step) =>
    Array.from({ length: step.times ?? 1 }, (_, load): EntryData => ({
      kind: 'tick',
      step: step.id,
      load,
      done: true,
    })),
  );
  return [...lots, ...ticks, ...result.entries];
}
