import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { problem } from '#words/problem-facts';
import { Problem } from '#server/base/http/problem';
import { lookAt } from '#server/out/backup/checked';

export const dataFile = (data: string): string => join(data, 'welcome.sqlite');
const coming = (data: string): string => join(data, 'welcome.sqlite.coming');
const BESIDE = ['', '-wal', '-shm'];

/**
 * Puts a backup in the place of the data file. The database must be closed. What was there, with its journal, is moved
 * aside and stays; the folder gets a new identity, so that what a device still has to send waits for its person and
 * does not land on other batches.
 * @returns the folder in which the present was put aside; null where there was none
 * @throws Problem where the file is not a whole one: nothing is touched then
 */
export function restoreInto(data: string, backup: string, now: Date): string | null {
  prepareRestore(data, backup);
  return putInPlace(data, now);
}

/** The longer half of it, which touches nothing that is there. @throws Problem where the file is not a whole one */
export function prepareRestore(data: string, backup: string): void {
  const looked = lookAt(backup);
  if (!looked.good) throw new Problem(409, problem('problem.not-whole', { why: looked.why }));
  mkdirSync(data, { recursive: true });
  clearComing(data);
  try {
    prepare(backup, coming(data), looked.id !== '');
  } catch (error) {
    // Half a copy must not be taken for a restore that is to be finished.
    clearComing(data);
    throw error;
  }
}

/** A copy in one file without a journal, with an identity of its own where it has one. */
function prepare(backup: string, to: string, named: boolean): void {
  copyFileSync(backup, to);
  const copy = new Database(to);
  copy.pragma('journal_mode = DELETE');
  if (named) copy.exec(`UPDATE folder SET value = lower(hex(randomblob(16))) WHERE key = 'id'`);
  // A phone that was taken away since must not come in again: devices are paired anew.
  if (copy.prepare(`SELECT 1 FROM sqlite_master WHERE name = 'devices'`).get())
    copy.exec('DELETE FROM devices');
  copy.close();
  const again = lookAt(to);
  if (!again.good) throw new Problem(409, problem('problem.not-whole', { why: again.why }));
}

/** What a restore that was cut short left: its journal must not be played into the next one. */
function clearComing(data: string): void {
  for (const end of [...BESIDE, '-journal']) rmSync(`${coming(data)}${end}`, { force: true });
}

/** Finishes a restore that was cut short between its two steps, and clears what an earlier one left. @returns whether there was one */
export function finishRestore(data: string, now: Date): boolean {
  if (existsSync(dataFile(data))) {
    clearComing(data);
    return false;
  }
  if (!existsSync(coming(data)) || !lookAt(coming(data)).good) return false;
  putInPlace(data, now);
  return true;
}

/** The shorter half: what was prepared takes the place of what is there. @returns where that was put aside */
export function putInPlace(data: string, now: Date): string | null {
  const present = BESIDE.map((end) => `${dataFile(data)}${end}`).filter((file) => existsSync(file));
  let aside: string | null = null;
  if (present.length > 0) {
    aside = join(data, `aside-${now.toISOString().replaceAll(':', '-').replace('.', '-')}`);
    mkdirSync(aside, { recursive: true });
    // The file first: cut short here there is none, and the start finishes this; a journal never meets another's file.
    for (const file of present) renameSync(file, join(aside, basename(file)));
  }
  renameSync(coming(data), dataFile(data));
  return aside;
}
