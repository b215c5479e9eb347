import Database from 'better-sqlite3';
import { closeSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import { type Db } from '#server/base/database/db';

/**
 * A whole copy of the database in one file, as it stands: written aside, checked, and only then given its name.
 * @throws Error when the copy is not whole, or cannot be written
 */
export function backUp(db: Db, file: string): void {
  const aside = `${file}.part`;
  rmSync(aside, { force: true });
  db.prepare('VACUUM INTO ?').run(aside);
  const copy = new Database(aside, { readonly: true });
  const [found] = copy.pragma('integrity_check(1)') as { integrity_check: string }[];
  copy.close();
  if (found?.integrity_check !== 'ok')
    throw new Error(`the backup before the upgrade is not whole: ${found?.integrity_check ?? 'no answer'}`);
  renameSync(aside, file);
}

/** Puts a file on the disk for good: it is not only on its way there. */
export function settle(file: string): void {
  const handle = openSync(file, 'r+');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
