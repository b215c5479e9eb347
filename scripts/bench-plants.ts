import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { PlantStore } from '#server/plants/store';
import { daysAfter } from '#core/units/day';
import { testApp } from '#testing/server';

const TODAY = '2031-03-04';
const SOWINGS = 20_000;
const STANDING = 500;
const FIRST = 100;
const READINGS = 13;
const ROUNDS = 15;
const pages = ['/api/plants?finished=no', '/api/plants/care', '/api/today', '/api/batches'];
const sums = ['/api/plants/groups?by=vessel', '/api/plants/groups?by=vessel&crop=tomato'];
const crops = ['tomato', 'lettuce', 'leek', 'pepper'];

/** What the server takes to answer with ten years of sowings behind it, and with none. */
export async function plantYears(row: (what: string, value: string) => void): Promise<void> {
  const { app, db } = testApp(undefined, undefined, false);
  const store = new PlantStore(db);
  const ask = async (path: string): Promise<number> => {
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      const start = performance.now();
      await request(app).get(path).expect(200);
      times.push(performance.now() - start);
    }
    return times.sort((a, b) => a - b)[ROUNDS >> 1]!;
  };
  await ask(pages[0]!);
  const empty = new Map<string, number>();
  for (const path of pages) empty.set(path, await ask(path));
  // A page of them, as a nursery has after its first weeks.
  fill(store, FIRST, FIRST);
  const few = new Map<string, number>();
  for (const path of pages) few.set(path, await ask(path));
  fill(store, SOWINGS - FIRST, STANDING - FIRST);
  row(`${SOWINGS} sowings of ten years, ${SOWINGS * (READINGS + 2)} events`, '');
  for (const path of pages)
    row(
      `  … ${path}`,
      `${(await ask(path)).toFixed(1)} ms; ${few.get(path)!.toFixed(1)} with ${FIRST} sowings, ${empty.get(path)!.toFixed(1)} with none`,
    );
  for (const path of sums) row(`  … ${path}`, `${(await ask(path)).toFixed(0)} ms`);
}

function fill(store: PlantStore, sowings: number, standing: number): void {
  const at = '2031-01-01T00:00:00Z';
  const usual = {
    vessel: 'cell-72',
    cells: 72,
    perCell: 1,
    batch: null,
    bareRoot: false,
    halfFilled: false,
    season: null,
  };
  store.within(() => {
    for (let i = 0; i < sowings; i++) {
      const on = daysAfter(TODAY, -Math.round((3650 * (sowings - i)) / sowings));
      const { id } = store.add(
        {
          ...{ ...usual, key: randomUUID(), start: 'sow', crop: crops[i % 4]!, name: `No ${i}`, seed: '' },
          ...{ on, from: [], trial: null },
        },
        at,
      );
      store.addEvent(id, randomUUID(), { kind: 'up', on, count: 60 }, at);
      for (let n = 0; n < READINGS; n++) store.addEvent(id, randomUUID(), { kind: 'ph', on, value: 6 }, at);
      if (i < sowings - standing) {
        store.addEvent(id, randomUUID(), { kind: 'out', on, count: 60, way: 'sold' }, at);
        store.finish(id, true);
      }
    }
  });
}
