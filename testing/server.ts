import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Express } from 'express';
import { pino } from 'pino';
import { type BodyGiven } from '#contract/endpoints';
import { starterMixes } from '#core/recipe/starter-mixes';
import { createApp } from '#server/routes/app';
import { BackupFolder } from '#server/out/backup/backups';
import { type Db } from '#server/base/database/db';
import { Folder } from '#server/base/database/folder';
import { openDatabase } from '#server/base/database/open';
import { tasks } from '#server/out/heavy/tasks';
import { Sharing } from '#server/out/door/sharing';
import { type Heavy } from '#server/out/heavy/heavy';
import { InstrumentHub } from '#server/base/instruments/hub';
import { simulatedBench } from '#server/base/simulated/instruments';
import { CropStore } from '#server/kept/season/crops';
import { LibraryStore } from '#server/kept/library/library';
import { TODAY, ZONE } from '#testing/day';

/** In the thread that asks: for tests. */
export const inPlace: Heavy = {
  run: (name, input) => (tasks[name] as (input: unknown) => Promise<never>)(input),
};

export { TODAY, ZONE };

/**
 * An application on a database in memory, without a port.
 * @param checkAnswers whether every answer is held against the contract; not where time is measured
 */
export function testApp(
  db: Db = openDatabase(':memory:'),
  instruments = new InstrumentHub(simulatedBench()),
  checkAnswers = true,
  log = pino({ level: 'silent' }),
): { app: Express; db: Db } {
  new LibraryStore(db).refreshStarter();
  new CropStore(db).refreshStarter();
  new Folder(db).timeZone = ZONE;
  const app = createApp({
    db,
    webFolder: 'dist/none',
    log,
    now: () => TODAY,
    instruments,
    heavy: inPlace,
    backups: new BackupFolder(db, mkdtempSync(join(tmpdir(), 'welcome-test-')), new Folder(db), () => TODAY),
    restore: () => Promise.reject(new Error('not here')),
    sharing: new Sharing({
      data: 'dist/none',
      port: 0,
      now: () => TODAY,
      machineNow: () => TODAY,
      listener: () => undefined,
    }),
    checkAnswers,
  });
  return { app, db };
}

/** A new batch as a client sends it. */
export const newBatch = (change: Partial<BodyGiven<'keepBatch'>> = {}): BodyGiven<'keepBatch'> => ({
  key: randomUUID(),
  name: 'Run',
  recipe: starterMixes.germination,
  madeOn: '2031-03-04',
  units: 'metric',
  scoop: 'bucket-10l',
  ...change,
});
