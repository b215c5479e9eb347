import { addDays, formatISO } from 'date-fns';
import { runBenchTest } from '#core/batch/bench-tests';
import { testContextOf } from '#core/batch/test-context';
import { fittingScoop } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { libraryOf } from '#core/recipe/library';
import { Batches, type Batch } from '#server/batches/store';
import { type Db } from '#server/database/open';
import { demoBatches, demoLots, demoMixes, demoRecords, demoShelf } from '#server/demo/nursery';
import { readLibrary } from '#server/library/store';
import { Mixes } from '#server/mixes/store';
import { Lots } from '#server/lots/store';
import { Record, type Entry } from '#server/record/store';
import { Shelf } from '#server/shelf/store';

/** Fills an empty data folder with the made-up nursery. Dates count back from `now`. Leaves any other folder alone. */
export function seedDemo(db: Db, now: Date): void {
  const { n } = db
    .prepare('SELECT (SELECT COUNT(*) FROM mixes) + (SELECT COUNT(*) FROM batches) AS n')
    .get() as {
    n: number;
  };
  if (n > 0) return;
  const { materials, amendments } = readLibrary(db);
  const library = libraryOf(materials, amendments);
  const mixes = new Mixes(db);
  const batches = new Batches(db);
  const started = addDays(now, -60).toISOString();
  db.transaction(() => {
    const kept = new Map(demoMixes.map((m) => [m.name, mixes.create(m.name, m.note, m.recipe, started)]));
    const lots = new Lots(db);
    const record = new Record(db);
    const lotOf = new Map(
      demoLots.map(([item, name, daysAgo]) => {
        const receivedOn = formatISO(addDays(now, -daysAgo), { representation: 'date' });
        return [item, lots.add({ item, name, receivedOn, note: '' }, started).id];
      }),
    );
    let written = 0;
    const seedRecord = (batch: Batch, at: string): void => {
      const told = demoRecords[batch.name];
      if (!told) return;
      const enter = (data: Entry['data']): void => {
        const key = `00000000-0000-4000-9000-${String(written++).padStart(12, '0')}`;
        record.add(batch.id, key, data, at);
      };
      const { snapshot } = batch;
      for (const { id } of [...snapshot.materials, ...snapshot.amendments]) {
        const lot = lotOf.get(id);
        if (lot !== undefined) enter({ kind: 'lot', item: id, lot });
      }
      for (const step of snapshot.steps.slice(0, snapshot.steps.length - told.left))
        for (let load = 0; load < (step.times ?? 1); load++)
          enter({ kind: 'tick', step: step.id, load, done: true });
      const context = testContextOf(snapshot);
      for (const data of told.entries)
        enter(
          data.kind === 'test' ? { ...data, result: runBenchTest(data.test, data.values, context) } : data,
        );
      if (told.left === 0) enter({ kind: 'use', what: batch.name, count: 60 * 8, on: batch.madeOn });
    };
    const shelf = new Shelf(db);
    for (const { material, costPerL, useUp = false } of demoShelf) {
      shelf.put({ material, here: true, costPerL, useUp }, started);
    }
    demoBatches.forEach(({ mix, name, daysAgo, job }, index) => {
      const version = kept.get(mix);
      if (!version) throw new RangeError(`demo batch ${name} names a mix that is not there: ${mix}`);
      const recipe = { ...version.recipe, job };
      const made = addDays(now, -daysAgo);
      const snapshot = snapshotBatch(recipe, library, {
        units: 'metric',
        scoop: fittingScoop(40, 'metric').id,
      });
      const batch = batches.add({
        key: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
        name,
        mixVersionId: version.id,
        madeOn: formatISO(made, { representation: 'date' }),
        createdAt: made.toISOString(),
        snapshot,
      });
      seedRecord(batch, made.toISOString());
    });
  })();
}
