import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export type Db = Database.Database;

const MIGRATIONS = join(import.meta.dirname, 'migrations');

/**
 * Opens the database of a data folder, makes it if need be, and brings it up to date.
 * WAL with full sync: what was acknowledged is on the disk, also when the process is killed.
 * @param folder data folder, or ':memory:'
 */
export function openDatabase(folder: string, migrations = MIGRATIONS): Db {
  const memory = folder === ':memory:';
  if (!memory) mkdirSync(folder, { recursive: true });
  const file = memory ? ':memory:' : join(folder, 'welcome.sqlite');
  const existed = !memory && existsSync(file);
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db, migrations, existed ? folder : null);
  return db;
}

/** Applies numbered SQL files past the database's own number, each in a transaction, after a backup copy. */
function migrate(db: Db, folder: string, backupTo: string | null): void {
  const at = db.pragma('user_version', { simple: true }) as number;
  const files = readdirSync(folder)
    .filter((name) => /^\d{3}-.*\.sql$/.test(name))
    .sort();
  const newest = files.length ? Number(files.at(-1)!.slice(0, 3)) : 0;
  if (at > newest) {
    throw new Error(`the data folder is of a newer Welcome (schema ${at}; this one knows ${newest})`);
  }
  const due = files.filter((name) => Number(name.slice(0, 3)) > at);
  if (due.length === 0) return;
  if (backupTo && at > 0) {
    const copy = join(backupTo, `backup-schema-${String(at).padStart(3, '0')}.sqlite`);
    if (!existsSync(copy)) db.prepare('VACUUM INTO ?').run(copy);
  }
  for (const name of due) {
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'));
      db.pragma(`user_version = ${Number(name.slice(0, 3))}`);
    })();
  }
}
