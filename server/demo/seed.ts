import { addDays, formatISO } from 'date-fns';
import { fittingScoop } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { libraryOf } from '#core/mix/recipe';
import { Batches } from '#server/batches/batches';
import { type Db } from '#server/database/open';
import { demoBatches, demoMixes, demoShelf } from '#server/demo/nursery';
import { readLibrary } from '#server/library/library';
import { Mixes } from '#server/mixes/mixes';
import { Shelf } from '#server/shelf/shelf';

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
      batches.add({
        key: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
        name,
        mixVersionId: version.id,
        madeOn: formatISO(made, { representation: 'date' }),
        createdAt: made.toISOString(),
        snapshot,
      });
    });
  })();
}
