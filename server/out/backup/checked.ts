import { none } from '#core/units/message';
import { fault, type FaultMessage } from '#words/problem-facts';
import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { closeSync, existsSync, openSync, readFileSync, readSync, statSync } from 'node:fs';
import { type CountedTable, countedTables } from '#contract/backups';
import { newestSchema } from '#server/base/database/migrate';

export type Counts = Record<CountedTable, number>;

/** How many rows there are, of tables that an older schema may not have yet. */
export function countsOf(db: Database.Database): Counts {
  const present = new Set(
    db.prepare<[], string>(`SELECT name FROM sqlite_master WHERE type = 'table'`).pluck().all(),
  );
  const count = (table: string): number =>
    present.has(table) ? db.prepare<[], number>(`SELECT COUNT(*) FROM "${table}"`).pluck().get()! : 0;
  return Object.fromEntries(countedTables.map((table) => [table, count(table)])) as Counts;
}

export type Checked =
  { good: true; counts: Counts; schema: number; id: string } | { good: false; why: FaultMessage };

const PIECE = 1 << 20;

/** Of a file, read a piece at a time. */
export function sha256(file: string): string {
  const [sum, piece, handle] = [createHash('sha256'), Buffer.alloc(PIECE), openSync(file, 'r')];
  try {
    for (let read = 1; read > 0;) {
      read = readSync(handle, piece, 0, PIECE, null);
      sum.update(piece.subarray(0, read));
    }
    return sum.digest('hex');
  } finally {
    closeSync(handle);
  }
}

/** Why a file is not what it was when it was made, by the note beside it; null where it is, or there is none. */
function altered(file: string): FaultMessage | null {
  const note = `${file}.json`;
  if (!existsSync(note)) return null;
  const { sha256: noted } = JSON.parse(readFileSync(note, 'utf8')) as { sha256?: unknown };
  if (typeof noted !== 'string') return null;
  const is = sha256(file);
  return is === noted ? null : fault('fault.altered', { is, noted });
}

/**
 * Whether a file is a whole data file of Welcome, by the database's own check of every page and of every pointer, and whether it
 * is unaltered, by the note beside it where it has one.
 * Nothing is written to it, nor beside it.
 */
export function lookAt(file: string): Checked {
  if (!existsSync(file)) return { good: false, why: fault('fault.not-there', none) };
  if (statSync(file).size === 0) return { good: false, why: fault('fault.empty', none) };
  let db: Database.Database | undefined;
  try {
    const why = altered(file);
    if (why !== null) return { good: false, why };
    db = new Database(file, { readonly: true, fileMustExist: true });
    const faults = db.pragma('integrity_check(3)', { simple: false }) as { integrity_check: string }[];
    if (faults[0]?.integrity_check !== 'ok')
      return { good: false, why: fault('fault.damaged', { says: faults[0]?.integrity_check ?? null }) };
    const loose = db.pragma('foreign_key_check') as { table: string }[];
    if (loose[0]) return { good: false, why: fault('fault.loose', { table: loose[0].table }) };
    const schema = db.pragma('user_version', { simple: true }) as number;
    if (schema > newestSchema()) return { good: false, why: fault('fault.newer', { schema }) };
    if (schema < 1) return { good: false, why: fault('fault.not-of-welcome', none) };
    const named = db.prepare(`SELECT 1 FROM sqlite_master WHERE name = 'folder'`).get() !== undefined;
    const id = named
      ? (db.prepare<[], string>(`SELECT value FROM folder WHERE key = 'id'`).pluck().get() ?? '')
      : '';
    return { good: true, counts: countsOf(db), schema, id };
  } catch (error) {
    return { good: false, why: fault('fault.unreadable', { says: (error as Error).message }) };
  } finally {
    db?.close();
  }
}
