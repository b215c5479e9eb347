import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { csvOf } from '#server/out/archive/csv';
import { archiveSchema } from '#server/out/archive/schema';
import {
  ARCHIVE_FORMAT,
  csvFile,
  type Head,
  HEAD_FILE,
  PICTURES,
  pictureFile,
  SCHEMA_FILE,
  type Table,
  tableFile,
  tablesOf,
} from '#server/out/archive/form';
import { type Db } from '#server/base/database/db';

type Row = Record<string, string | number | null>;

const asLine = (row: Row, { columns }: Table): Record<string, unknown> =>
  Object.fromEntries(
    columns.map(({ column, name, kind }) => {
      const value = row[column] ?? null;
      return [name, kind === 'json' && value !== null ? (JSON.parse(value as string) as unknown) : value];
    }),
  );

const linesOf = (db: Db, table: Table): Record<string, unknown>[] =>
  db
    .prepare<[], Row>(
      `SELECT ${table.columns.map(({ column }) => `"${column}"`).join(', ')} FROM "${table.table}"`,
    )
    .all()
    .map((row) => asLine(row, table));

/**
 * Everything that a data file holds, as one archive in open forms: a line of JSON for each row of each table, pictures
 * as they are, the schema of the lines, and a sum of each of them in its head. Written to the disk one after the other.
 * @param file a data file that nobody writes to
 * @param at ISO 8601, UTC
 * @param to path of the archive
 */
export async function pack({ file, at, to }: { file: string; at: string; to: string }): Promise<void> {
  const db = new Database(file, { readonly: true, fileMustExist: true });
  try {
    const tables = tablesOf(db);
    const has = (name: string): boolean => tables.some(({ table }) => table === name);
    const count = (table: string): number =>
      db.prepare<[], number>(`SELECT COUNT(*) FROM "${table}"`).pluck().get()!;
    const head: Head = {
      format: ARCHIVE_FORMAT,
      schema: db.pragma('user_version', { simple: true }) as number,
      // An older one may have no identity.
      folder: has('folder')
        ? (db.prepare<[], string>(`SELECT value FROM folder WHERE key = 'id'`).pluck().get() ?? '')
        : '',
      ...{ at, tables: Object.fromEntries(tables.map(({ table }) => [table, count(table)])), sums: {} },
    };
    const zip = new ZipFile();
    const written = pipeline(zip.outputStream, createWriteStream(to));
    /** Made when its turn comes, so that one is held at a time. */
    const add = (name: string, make: () => Buffer, compress = true): void =>
      zip.addReadStreamLazy(name, { mtime: new Date(at), compress }, (give) => {
        try {
          const bytes = make();
          if (name !== HEAD_FILE) head.sums![name] = createHash('sha256').update(bytes).digest('hex');
          give(null, Readable.from([bytes]));
        } catch (error) {
          give(error, Readable.from([]));
        }
      });
    const json = (it: unknown): Buffer => Buffer.from(`${JSON.stringify(it, null, 2)}\n`);
    add(SCHEMA_FILE, () => json(archiveSchema(tables)));
    for (const table of tables) {
      add(tableFile(table.table), () =>
        Buffer.from(
          linesOf(db, table)
            .map((line) => `${JSON.stringify(line)}\n`)
            .join(''),
        ),
      );
      add(csvFile(table.table), () => Buffer.from(csvOf(table, linesOf(db, table))));
    }
    if (has(PICTURES.table)) {
      const statement = db
        .prepare<[number], Buffer>(`SELECT ${PICTURES.column} FROM ${PICTURES.table} WHERE id = ?`)
        .pluck();
      const ids = db.prepare<[], number>(`SELECT id FROM ${PICTURES.table} ORDER BY id`).pluck().all();
      // A JPEG is packed already.
      for (const id of ids) add(pictureFile(id), () => statement.get(id)!, false);
    }
    // Last, since it holds the sums of all others.
    add(HEAD_FILE, () => json(head));
    zip.end();
    await written;
  } finally {
    db.close();
  }
}
