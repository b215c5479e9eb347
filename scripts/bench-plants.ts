import { randomUUID } from 'node:crypto';
import { type ServerResponse } from 'node:http';
import { type AddressInfo } from 'node:net';
import { snapshotBatch } from '#core/batch/snapshot';
import { starterMixes } from '#core/recipe/starter-mixes';
import { BatchStore } from '#server/kept/batches';
import { type Db } from '#server/base/database/db';
import { LibraryStore } from '#server/kept/library/library';
import { PlantEventStore } from '#server/kept/plants/plant-events';
import { PlantStore } from '#server/kept/plants/plants';
import { daysAfter } from '#core/units/day';
import { testApp } from '#testing/server';

const TODAY = '2031-03-04';
const SOWINGS = 20_000;
const STANDING = 500;
const READINGS = 13;
const BATCHES = 10_000;
/** So many answers a page, with an entry between them now and then, after which all is reckoned anew. */
const ROUNDS = 400;
const ENTER_EVERY = 20;
const pages = [
  '/api/plants?finished=no',
  '/api/plants/care',
  '/api/plants/tender',
  '/api/today',
  '/api/batches',
];
const sums = ['/api/plants/groups?by=vessel', '/api/plants/groups?by=vessel&crop=tomato'];
const crops = ['tomato', 'lettuce', 'leek', 'pepper'];

interface Took {
  median: number;
  p99: number;
  /** Median and p99 of the first answers after an entry. */
  anew: [median: number, p99: number];
}

/** What the server takes to answer with ten years of batches and sowings behind it, and with none. */
export async function plantYears(row: (what: string, value: string) => void): Promise<void> {
  const { app, db } = testApp(undefined, undefined, false);
  const server = app.listen(0);
  // Filling takes longer than an idle connection is kept.
  server.keepAliveTimeout = 600_000;
  const address = `http://localhost:${(server.address() as AddressInfo).port}`;
  // On the server: from a request's coming to its answer's going, packed as for a browser.
  let took = 0;
  server.on('request', (_req, res: ServerResponse) => {
    const start = performance.now();
    res.on('finish', () => (took = performance.now() - start));
  });
  const get = async (path: string): Promise<void> => {
    const answer = await fetch(address + path);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  };
  const enter = async (planting: number): Promise<void> => {
    const body = JSON.stringify({ key: randomUUID(), event: { kind: 'note', on: TODAY, text: 'Looked at' } });
    const headers = { 'content-type': 'application/json' };
    await fetch(`${address}/api/plants/${planting}/events`, { method: 'POST', headers, body });
  };
  const ask = async (path: string, entered: number): Promise<Took> => {
    const [known, anew]: [number[], number[]] = [[], []];
    for (let i = 0; i < ROUNDS; i++) {
      const first = i % ENTER_EVERY === 0;
      if (first) await enter(entered);
      await get(path);
      (first ? anew : known).push(took);
    }
    const [median, p99] = ends(known);
    return { median, p99, anew: ends(anew) };
  };
  // An empty nursery has one planting, so that there is something to enter on.
  const [only] = fill(db, 1, 1, fillBatches(db, 1));
  for (const path of pages) await ask(path, only!);
  const empty = new Map<string, Took>();
  for (const path of pages) empty.set(path, await ask(path, only!));
  const plantings = fill(db, SOWINGS, STANDING, fillBatches(db, BATCHES));
  row(`${BATCHES} batches, ${SOWINGS} sowings, ${SOWINGS * (READINGS + 2)} events of ten years`, '');
  for (const path of pages) {
    await get(path);
    const start = took;
    const [none, full] = [empty.get(path)!, await ask(path, plantings.at(-1)!)];
    row(
      `  … ${path}`,
      `${beside([full.median, full.p99], [none.median, none.p99])}; first after an entry ${beside(full.anew, none.anew)}; first after start ${start.toFixed(0)} ms`,
    );
  }
  for (const path of sums) {
    const times: number[] = [];
    for (let i = 0; i < 15; i++) {
      await enter(plantings.at(-1)!);
      await get(path);
      times.push(took);
    }
    row(`  … ${path}`, `${ends(times)[0].toFixed(0)} ms after an entry`);
  }
  server.close();
}

function ends(times: readonly number[]): [median: number, p99: number] {
  const sorted = [...times].sort((a, b) => a - b);
  return [sorted[sorted.length >> 1]!, sorted[Math.floor(sorted.length * 0.99)]!];
}

const beside = ([median, p99]: readonly [number, number], [m, p]: readonly [number, number]): string =>
  `${median.toFixed(1)} ms, p99 ${p99.toFixed(1)} (empty ${m.toFixed(1)}, ${p.toFixed(1)}: p99 ${(p99 / p).toFixed(1)}×)`;

/** @returns their numbers */
function fillBatches(db: Db, many: number): number[] {
  const store = new BatchStore(db);
  const library = new LibraryStore(db).library();
  const snapshot = snapshotBatch(starterMixes.potting, library, { units: 'metric', scoop: 'bucket-10l' });
  return db.transaction(() =>
    Array.from({ length: many }, (_, i) => {
      const madeOn = daysAfter(TODAY, -Math.round((3650 * (many - i)) / many));
      const createdAt = `${madeOn}T08:00:00Z`;
      const name = `Batch ${i}`;
      return store.add({ key: randomUUID(), name, mixVersionId: null, madeOn, createdAt, snapshot }).id;
    }),
  )();
}

/** @returns their numbers */
function fill(db: Db, sowings: number, standing: number, batches: readonly number[]): number[] {
  const [store, events] = [new PlantStore(db), new PlantEventStore(db)];
  const ids: number[] = [];
  const at = '2031-01-01T00:00:00Z';
  const usual = {
    vessel: 'cell-72',
    cells: 72,
    perCell: 1,
    bareRoot: false,
    halfFilled: false,
    season: null,
    seedLot: null,
  };
  store.within(() => {
    for (let i = 0; i < sowings; i++) {
      const on = daysAfter(TODAY, -Math.round((3650 * (sowings - i)) / sowings));
      const { id } = store.add(
        {
          ...{ ...usual, key: randomUUID(), start: 'sow', crop: crops[i % 4]!, name: `No ${i}`, seed: '' },
          ...{ on, from: [], trial: null, batch: batches[Math.floor((i * batches.length) / sowings)]! },
        },
        at,
      );
      events.add(id, randomUUID(), { kind: 'up', on, count: 60 }, at);
      for (let n = 0; n < READINGS; n++) events.add(id, randomUUID(), { kind: 'ph', on, value: 6 }, at);
      if (i < sowings - standing) {
        events.add(id, randomUUID(), { kind: 'out', on, count: 60, way: 'sold' }, at);
        store.finish(id, true);
      }
      ids.push(id);
    }
  });
  return ids;
}
