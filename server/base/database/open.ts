import Database from 'better-sqlite3';
import { chmodSync, existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { type Db } from '#server/base/database/db';
import { MIGRATIONS, migrate } from '#server/base/database/migrate';

/** A folder of another user, or a disk that knows no leave, stays as it is. */
function forThisUser(path: string, mode: number): void {
  try {
    chmodSync(path, mode);
  } catch {
    // What it cannot be written to is said by who writes.
  }
}

/**
 * Opens the database of a data folder, makes it if need be, and brings it up to date.
 * WAL with full sync: what was acknowledged is on the disk, also when the process is killed.
 * @param folder data folder, or ':memory:'
 */
export function openDatabase(folder: string, migrations = MIGRATIONS): Db {
  const memory = folder === ':memory:';
  // Read by this user alone.
  if (!memory) {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    forThisUser(folder, 0o700);
  }
  const file = memory ? ':memory:' : join(folder, 'welcome.sqlite');
  const existed = !memory && existsSync(file);
  const db = new Database(file);
  // Its journal goes by it.
  if (!memory) forThisUser(file, 0o600);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db, migrations, existed ? folder : null);
  return db;
}
