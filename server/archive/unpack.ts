import Database from 'better-sqlite3';
import { rmSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { OutOfRange } from '#core/units/check';
import { type Db } from '#server/database/db';
import { MIGRATIONS, migrate } from '#server/database/migrate';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_LIMITS,
  type Column,
  FILE_NAME,
  type Head,
  HEAD_FILE,
  PICTURES,
  pictureFile,
  type Table,
  tableFile,
  tablesOf,
} from '#server/archive/form';

const wrong = (what: string, value: unknown, allowed: string): OutOfRange =>
  new OutOfRange(`archive: ${what}`, value, allowed);

/** What lies in it, unpacked. What is not of an archive, too large, or named twice is refused before it is unpacked. */
function open(archive: Uint8Array): Record<string, Uint8Array> {
  if (archive.length > ARCHIVE_LIMITS.bytes)
    throw wrong('bytes', archive.length, `at most ${ARCHIVE_LIMITS.bytes}`);
  const names = new Set<string>();
  let bytes = 0;
  try {
    return unzipSync(archive, {
      filter: ({ name, originalSize }) => {
        if (!FILE_NAME.test(name))
          throw wrong(
            'a file in it',
            name.slice(0, 100),
            `${HEAD_FILE}, schema.json, or in tables/ or pictures/`,
          );
        if (names.has(name)) throw wrong('a file in it', name, 'a name that is there once');
        names.add(name);
        bytes += originalSize;
        if (names.size > ARCHIVE_LIMITS.files)
          throw wrong('files', names.size, `at most ${ARCHIVE_LIMITS.files}`);
        if (!(bytes <= ARCHIVE_LIMITS.unpacked))
          throw wrong('bytes when unpacked', bytes, `at most ${ARCHIVE_LIMITS.unpacked}`);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof OutOfRange) throw error;
    throw wrong('file', 'what was given', 'a zip file that is whole');
  }
}

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
    throw wrong(where, `${json.length} letters`, `at most ${ARCHIVE_LIMITS.lineBytes}`);
  if (depthOf(json) > ARCHIVE_LIMITS.depth)
    throw wrong(where, 'what was given', `nested at most ${ARCHIVE_LIMITS.depth} deep`);
  try {
    const it: unknown = JSON.parse(json);
    if (typeof it === 'object' && it !== null && !Array.isArray(it)) return it as Record<string, unknown>;
  } catch {
    // Told below.
  }
  throw wrong(where, json.slice(0, 60), 'an object of JSON');
}

/** The whole files and the schema number of an archive, or why it is none. */
function headOf(files: Record<string, Uint8Array>): Head {
  if (!files[HEAD_FILE]) throw wrong('file', 'none', `an archive of Welcome: it has ${HEAD_FILE}`);
  const head = parsed(strFromU8(files[HEAD_FILE]), HEAD_FILE) as unknown as Head;
  if (head.format !== ARCHIVE_FORMAT)
    throw wrong('format', head.format, `${ARCHIVE_FORMAT}: it is of another Welcome`);
  if (!Number.isInteger(head.schema) || head.schema < 1)
    throw wrong('schema', head.schema, 'a whole number from 1');
  if (typeof head.tables !== 'object' || head.tables === null)
    throw wrong('tables', head.tables, 'rows by table');
  return head;
}

function valueOf(value: unknown, { kind, nullable, name }: Column, where: string): string | number | null {
  if (value === null || value === undefined) {
    if (nullable && value === null) return null;
    throw wrong(`${where}, ${name}`, value ?? 'nothing', 'something');
  }
  if (kind === 'json') return JSON.stringify(value);
  if (kind === 'text' ? typeof value === 'string' : typeof value === 'number' && Number.isFinite(value))
    if (kind !== 'integer' || Number.isSafeInteger(value)) return value as string | number;
  throw wrong(
    `${where}, ${name}`,
    typeof value,
    { text: 'text', integer: 'a whole number', real: 'a number' }[kind],
  );
}

/** @returns how many rows were put in */
function fill(db: Db, table: Table, files: Record<string, Uint8Array>): number {
  const pictured = table.table === PICTURES.table;
  const columns = [...table.columns.map(({ column }) => column), ...(pictured ? [PICTURES.column] : [])];
  const put = db.prepare(
    `INSERT INTO "${table.table}" (${columns.map((one) => `"${one}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
  );
  // What a fresh one has of itself is not of the archive.
  db.exec(`DELETE FROM "${table.table}"`);
  const known = new Set(table.columns.map(({ name }) => name));
  let rows = 0;
  for (const line of strFromU8(files[tableFile(table.table)] ?? new Uint8Array()).split('\n')) {
    if (line === '') continue;
    const where = `${tableFile(table.table)}, line ${++rows}`;
    const row = parsed(line, where);
    const strange = Object.keys(row).find((name) => !known.has(name));
    if (strange !== undefined)
      throw wrong(`${where}, ${strange.slice(0, 60)}`, 'a column', `of ${[...known].join(', ')}`);
    const values: unknown[] = table.columns.map((column) => valueOf(row[column.name], column, where));
    if (pictured) {
      const jpeg = files[pictureFile(row['id'] as number)];
      if (!jpeg) throw wrong(where, 'no picture', `a picture in ${pictureFile(row['id'] as number)}`);
      values.push(Buffer.from(jpeg));
    }
    try {
      put.run(...values);
    } catch (error) {
      throw wrong(where, (error as Error).message, 'a row that the table takes');
    }
  }
  return rows;
}

/**
 * Makes a data file of an archive: of the schema that it was written from, then brought up to date when it is opened.
 * @param to path of a file that is not there yet
 * @throws OutOfRange in words for what is no whole archive
 */
export function unpack({ archive, to }: { archive: Uint8Array; to: string }): void {
  const files = open(archive);
  const head = headOf(files);
  const db = new Database(to);
  let whole = false;
  try {
    migrate(db, MIGRATIONS, null, head.schema);
    db.pragma('foreign_keys = OFF');
    const tables = tablesOf(db);
    const names = new Set(tables.map(({ table }) => tableFile(table)));
    const strange = Object.keys(files).find((name) => name.startsWith('tables/') && !names.has(name));
    if (strange !== undefined) throw wrong('a file in it', strange, 'a table of Welcome');
    db.transaction(() => {
      for (const table of tables) {
        const [rows, told] = [fill(db, table, files), head.tables[table.table]];
        if (rows !== told)
          throw wrong(tableFile(table.table), rows, `${String(told)} lines, as its head tells`);
      }
      const [loose] = db.pragma('foreign_key_check') as { table: string }[];
      if (loose) throw wrong(tableFile(loose.table), 'rows', 'rows that point to what is there');
    })();
    whole = true;
  } finally {
    db.close();
    // Half of one must not be taken for a nursery.
    if (!whole) rmSync(to, { force: true });
  }
}
