import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import Database from 'better-sqlite3';
import { rmSync, statfsSync } from 'node:fs';
import { dirname } from 'node:path';
import { type Db } from '#server/base/database/db';
import { settle } from '#server/base/database/copy';
import { leaveMachineBehind } from '#server/base/database/folder';
import { MIGRATIONS, migrate, newestSchema } from '#server/base/database/migrate';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_LIMITS,
  type TableColumn,
  type Head,
  HEAD_FILE,
  PICTURES,
  pictureFile,
  type Table,
  tableFile,
  tablesOf,
} from '#server/out/archive/form';
import { checkRows } from '#server/out/archive/held';
import { Members, wrong } from '#server/out/archive/members';

/** The head holds a sum to each picture. */
const HEAD_BYTES = 200e6;

/** How deep brackets stand in each other, outside of words. */
function depthOf(json: string): number {
  let [depth, most, quoted] = [0, 0, false];
  for (let i = 0; i < json.length; i++) {
    const sign = json[i];
    if (quoted) {
      if (sign === '\\') i++;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === '{' || sign === '[') most = Math.max(most, ++depth);
    else if (sign === '}' || sign === ']') depth--;
  }
  return most;
}

function parsed(json: string, where: string): Record<string, unknown> {
  if (json.length > ARCHIVE_LIMITS.lineBytes)
    throw wrong(where, json.length, allow('allowed.most-bytes', { most: ARCHIVE_LIMITS.lineBytes }));
  if (depthOf(json) > ARCHIVE_LIMITS.depth)
    throw wrong(where, depthOf(json), allow('allowed.nested', { most: ARCHIVE_LIMITS.depth }));
  try {
    const it: unknown = JSON.parse(json);
    if (typeof it === 'object' && it !== null && !Array.isArray(it)) return it as Record<string, unknown>;
  } catch {
    // Told below.
  }
  throw wrong(where, json.slice(0, 60), allow('allowed.json-object', none));
}

async function headOf(members: Members): Promise<Head> {
  if (!members.names.includes(HEAD_FILE))
    throw wrong('file', 'none', allow('allowed.archive-with', { head: HEAD_FILE }));
  const head = parsed(
    (await members.whole(HEAD_FILE, HEAD_BYTES)).toString('utf8'),
    HEAD_FILE,
  ) as unknown as Head;
  if (head.format !== ARCHIVE_FORMAT && head.format !== 1)
    throw wrong('format', head.format, allow('allowed.of-formats', { newest: ARCHIVE_FORMAT }));
  const newest = newestSchema();
  if (!Number.isInteger(head.schema) || head.schema < 1 || head.schema > newest)
    throw wrong('schema', head.schema, allow('allowed.schema-here', { newest }));
  for (const [name, it] of [
    ['tables', head.tables],
    // Format 1 had none.
    ...(head.format === 1 ? [] : [['sums', head.sums] as const]),
  ] as const)
    if (typeof it !== 'object' || it === null)
      throw wrong(name, String(it), allow('allowed.list-by-name', none));
  return head;
}

/** The sum that the head tells of a file; where it tells sums it must tell all. */
function sumOf({ format, sums }: Head, name: string): string | undefined {
  if (format === 1) return undefined;
  const sum = sums?.[name];
  if (typeof sum !== 'string') throw wrong(name, 'no sum', allow('allowed.sum-in', { head: HEAD_FILE }));
  return sum;
}

function valueOf(
  value: unknown,
  { kind, nullable, name }: TableColumn,
  where: string,
): string | number | null {
  if (value === null || value === undefined) {
    if (nullable && value === null) return null;
    throw wrong(`${where}, ${name}`, value ?? 'nothing', allow('allowed.something', none));
  }
  if (kind === 'json') return JSON.stringify(value);
  if (kind === 'text' ? typeof value === 'string' : typeof value === 'number' && Number.isFinite(value))
    if (kind !== 'integer' || Number.isSafeInteger(value)) return value as string | number;
  throw wrong(
    `${where}, ${name}`,
    typeof value,
    allow('allowed.of-kind', { kind: { text: 'string', integer: 'int', real: 'number' }[kind] }),
  );
}

/** @returns how many rows were put in */
async function fill(db: Db, table: Table, members: Members, head: Head): Promise<number> {
  const pictured = table.table === PICTURES.table;
  const columns = [...table.columns.map(({ column }) => column), ...(pictured ? [PICTURES.column] : [])];
  const put = db.prepare(
    `INSERT INTO "${table.table}" (${columns.map((each) => `"${each}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
  );
  // What a fresh one has of itself is not of the archive.
  db.exec(`DELETE FROM "${table.table}"`);
  const file = tableFile(table.table);
  if (!members.names.includes(file)) return 0;
  const existing = new Set(table.columns.map(({ name }) => name));
  let rows = 0;
  for await (const line of members.lines(file, sumOf(head, file))) {
    if (line === '') continue;
    const where = `${file}, line ${++rows}`;
    const row = parsed(line, where);
    const strange = Object.keys(row).find((name) => !existing.has(name));
    if (strange !== undefined)
      throw wrong(
        `${where}, ${strange.slice(0, 60)}`,
        'a column',
        allow('allowed.one-of', { ids: [...existing] }),
      );
    const values: unknown[] = table.columns.map((column) => valueOf(row[column.name], column, where));
    if (pictured) {
      const picture = pictureFile(row['id'] as number);
      if (!members.names.includes(picture))
        throw wrong(where, 'no picture', allow('allowed.file-there', none));
      values.push(await members.whole(picture, ARCHIVE_LIMITS.pictureBytes, sumOf(head, picture)));
    }
    try {
      put.run(...values);
    } catch (error) {
      throw wrong(where, (error as Error).message, allow('allowed.row-taken', none));
    }
  }
  return rows;
}

export interface Unpacking {
  archive: string;
  to: string;
  /** Bytes; what the disk has where nothing is said. */
  room?: number;
}

function roomAt(to: string): number {
  const { bavail, bsize } = statfsSync(dirname(to));
  return bavail * bsize;
}

/**
 * Makes a data file of an archive, member by member from disk to disk: in the schema that it was written from, then
 * brought up to date, and every row looked at.
 * @param archive path of the archive
 * @param to path of a file that is not there yet
 * @throws OutOfRange in words for what is no whole and unaltered archive: nothing is left then
 */
export async function unpack({ archive, to, room = roomAt(to) }: Unpacking): Promise<void> {
  const members = await Members.of(archive, room);
  const db = new Database(to);
  // Nobody sees it before it is whole: one sync at its end, not one after each step.
  db.pragma('synchronous = OFF');
  let whole = false;
  try {
    const head = await headOf(members);
    migrate(db, MIGRATIONS, null, head.schema);
    db.pragma('foreign_keys = OFF');
    const tables = tablesOf(db);
    const names = new Set(tables.map(({ table }) => tableFile(table)));
    const strange = members.names.find((name) => name.startsWith('tables/') && !names.has(name));
    if (strange !== undefined) throw wrong('file in it', strange, allow('allowed.table-of-welcome', none));
    const read = new Set([HEAD_FILE, ...names]);
    db.exec('BEGIN IMMEDIATE');
    for (const table of tables) {
      const [rows, told] = [await fill(db, table, members, head), head.tables[table.table]];
      if (rows !== told)
        throw wrong(tableFile(table.table), rows, allow('allowed.lines-of-head', { lines: told ?? 0 }));
    }
    const [loose] = db.pragma('foreign_key_check') as { table: string }[];
    if (loose) throw wrong(tableFile(loose.table), 'rows', allow('allowed.points-there', none));
    leaveMachineBehind(db);
    db.exec('COMMIT');
    // What is not taken in must be what it was too: who packed it may have meant it.
    for (const name of members.names)
      if (!read.has(name) && !name.startsWith('pictures/'))
        for await (const _ of members.pieces(name, sumOf(head, name))) void _;
    migrate(db, MIGRATIONS, null);
    checkRows(db);
    db.close();
    settle(to);
    whole = true;
  } finally {
    members.close();
    db.close();
    // Half of one must not be taken for a nursery.
    if (!whole) for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${to}${end}`, { force: true });
  }
}
