import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { backUp } from '#server/base/database/copy';
import { type Db } from '#server/base/database/db';
import { root } from '#server/base/root';

export const MIGRATIONS = join(root, 'server', 'base', 'database', 'migrations');

const filesIn = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) => /^\d{3}-.*\.sql$/.test(name))
    .sort();
const numberOf = (name: string): number => Number(name.slice(0, 3));

/** Number of the newest schema that this Welcome knows. */
export const newestSchema = (folder = MIGRATIONS): number => {
  const newest = filesIn(folder).at(-1);
  return newest ? numberOf(newest) : 0;
};

/**
 * Applies numbered SQL files past the database's own number, each in a transaction, after a backup copy. Foreign keys
 * rest meanwhile, so that a file can rebuild a table that others point to; they must hold again before it counts.
 * @param data folder of the database where there was one before, for the backup
 * @param upTo number of the last file to apply
 * @throws Error for a database, or a number, that is of a newer Welcome
 */
export function migrate(db: Db, folder: string, data: string | null, upTo = Infinity): void {
  const at = db.pragma('user_version', { simple: true }) as number;
  const files = filesIn(folder);
  const newest = newestSchema(folder);
  const wanted = Math.max(at, upTo === Infinity ? at : upTo);
  if (wanted > newest) {
    throw new Error(`the data folder is of a newer Welcome (schema ${wanted}; this one knows ${newest})`);
  }
  const due = files.filter((name) => numberOf(name) > at && numberOf(name) <= upTo);
  if (due.length === 0) return;
  if (data && at > 0) {
    const copy = join(data, `backup-schema-${String(at).padStart(3, '0')}.sqlite`);
    if (!existsSync(copy)) backUp(db, copy);
  }
  // Has no effect inside a transaction: it must stand around them.
  db.pragma('foreign_keys = OFF');
  try {
    for (const name of due) {
      db.transaction(() => {
        db.exec(readFileSync(join(folder, name), 'utf8'));
        const loose = db.pragma('foreign_key_check') as { table: string; parent: string }[];
        if (loose[0]) throw new Error(`${name} would leave ${loose[0].table} without its ${loose[0].parent}`);
        db.pragma(`user_version = ${numberOf(name)}`);
      }).immediate();
    }
  } finally {
    db.pragma('foreign_keys = ON');
  }
}
