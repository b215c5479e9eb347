import { type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { backupFolder, backupsIn } from '#server/out/backup/backups';
import { lookAt } from '#server/out/backup/checked';
import { begin, serve, type Served } from '#testing/serve';

/** What came of it. */
export interface FileTally {
  backups: number;
  restores: number;
  upgrades: number;
  /** Backups that were there after a kill: each was looked at. */
  looked: number;
  /** Restores that had come about when the server died. */
  restored: number;
  /** What was not as it must be, in words. */
  wrong: string[];
}

const quiet = { WELCOME_DEMO: '0', LOG_LEVEL: 'silent' };

async function kill(process: ChildProcess): Promise<void> {
  const gone = new Promise((done) => process.once('exit', done));
  process.kill('SIGKILL');
  await gone;
}
const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const post = (at: Served, path: string, body: object): Promise<Response | null> =>
  fetch(`${at.address}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);

/** Fillings that the upgrade made of earlier plantings: that many entries came with it. */
function reckonedIn(folder: string): number {
  const db = new Database(join(folder, 'welcome.sqlite'));
  const count = db
    .prepare<[], number>(`SELECT count(*) FROM entries WHERE data_json ->> '$.reckoned'`)
    .pluck()
    .get();
  db.close();
  return count!;
}

/**
 * Kills a server in the middle of backups, restores and upgrades by turns. A backup is whole or is none; after a restore
 * the nursery is the one before or the one put back, and what was there is aside; an upgrade loses no row.
 * @param folder empty
 * @param old data files of earlier versions
 * @param random from 0 to 1, for the moment of each kill
 */
export async function killFiles(
  folder: string,
  kills: number,
  old: readonly string[],
  random: () => number,
): Promise<FileTally> {
  const tally: FileTally = { backups: 0, restores: 0, upgrades: 0, looked: 0, restored: 0, wrong: [] };
  const data = join(folder, 'nursery');
  const file = join(data, 'welcome.sqlite');
  const lotsNow = (): number => {
    const looked = lookAt(file);
    if (!looked.good) tally.wrong.push(`the data file: ${looked.why.say}`);
    return looked.good ? looked.counts.lots : -1;
  };
  let lots = 0;

  const backup = async (): Promise<void> => {
    tally.backups++;
    const served = await serve(data, 0, quiet);
    const lot = { key: randomUUID(), item: 'peat-fine', name: 'Bale', receivedOn: '2026-01-02' };
    if ((await post(served, '/lots', lot))?.ok) lots++;
    const asked = post(served, '/backups', {});
    // The first one is let through, so that there is one to put back.
    if (tally.backups === 1) await asked;
    await wait(1200 * random());
    await kill(served.process);
    await asked;
    for (const { name, counts } of backupsIn(backupFolder(data))) {
      const looked = lookAt(join(backupFolder(data), name));
      tally.looked++;
      if (!looked.good || JSON.stringify(looked.counts) !== JSON.stringify(counts))
        tally.wrong.push(`${name}: ${looked.good ? 'other counts than its note' : looked.why.say}`);
    }
    if (lotsNow() !== lots) tally.wrong.push(`${lotsNow()} lots where ${lots} were acknowledged`);
  };

  const restore = async (): Promise<void> => {
    const [newest] = backupsIn(backupFolder(data));
    if (!newest) return;
    tally.restores++;
    const served = await serve(data, 0, quiet);
    const lot = { key: randomUUID(), item: 'peat-fine', name: 'Later', receivedOn: '2026-01-02' };
    if ((await post(served, '/lots', lot))?.ok) lots++;
    const asides = readdirSync(data).filter((name) => name.startsWith('aside-')).length;
    const asked = post(served, '/backups/restore', { name: newest.name });
    await wait(1500 * random());
    await kill(served.process);
    await asked;
    // The next start finishes what was begun.
    await kill((await serve(data, 0, quiet)).process);
    const now = lotsNow();
    const aside = readdirSync(data)
      .filter((name) => name.startsWith('aside-'))
      .sort();
    if (aside.length > asides) {
      tally.restored++;
      const before = lookAt(join(data, aside.at(-1)!, 'welcome.sqlite'));
      if (now !== newest.counts.lots)
        tally.wrong.push(`${now} lots after a restore of ${newest.counts.lots}`);
      // A file with its journal beside it: opened by who wants it, counted as it is.
      if (!before.good && !existsSync(join(data, aside.at(-1)!, 'welcome.sqlite-wal')))
        tally.wrong.push(`aside: ${before.why.say}`);
    } else if (now !== lots) tally.wrong.push(`${now} lots where ${lots} were, and nothing was restored`);
    lots = now;
  };

  const upgrade = async (): Promise<void> => {
    const from = old[tally.upgrades++ % old.length]!;
    const to = join(folder, `old-${tally.upgrades}`);
    mkdirSync(to, { recursive: true });
    copyFileSync(from, join(to, 'welcome.sqlite'));
    // The copy: to look at one with a journal leaves traces beside it.
    const before = lookAt(join(to, 'welcome.sqlite'));
    const starting = begin(to, 0, quiet);
    await wait(150 + 700 * random());
    await kill(starting);
    await kill((await serve(to, 0, quiet)).process);
    const after = lookAt(join(to, 'welcome.sqlite'));
    if (!before.good || !after.good)
      tally.wrong.push(`${from}: ${after.good ? 'no such file' : after.why.say}`);
    else if (
      JSON.stringify(before.counts) !==
      JSON.stringify({ ...after.counts, entries: after.counts.entries - reckonedIn(to) })
    )
      tally.wrong.push(`${from}: other counts after its upgrade`);
    rmSync(to, { recursive: true, force: true });
  };

  for (let i = 0; i < kills; i++) await [backup, restore, upgrade][i % 3]!();
  return tally;
}
