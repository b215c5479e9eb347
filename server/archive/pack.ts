import Database from 'better-sqlite3';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { csvOf } from '#server/archive/csv';
import { archiveSchema } from '#server/archive/schema';
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
} from '#server/archive/form';

type Row = Record<string, string | number | null>;

const asLine = (row: Row, { columns }: Table): Record<string, unknown> =>
  Object.fromEntries(
    columns.map(({ column, name, kind }) => {
      const value = row[column] ?? null;
      return [name, kind === 'json' && value !== null ? (JSON.parse(value as string) as unknown) : value];
    }),
  );

/**
 * Everything that a data file holds, as one archive in open forms: a line of JSON for each row of each table, pictures
 * as they are, and the schema of the lines.
 * @param file a data file that nobody writes to
 * @param at ISO 8601, UTC
 */
export function pack({ file, at }: { file: string; at: string }): Uint8Array {
  const db = new Database(file, { readonly: true, fileMustExist: true });
  try {
    const tables = tablesOf(db);
    const files: Zippable = {};
    const head: Head = {
      format: ARCHIVE_FORMAT,
      schema: db.pragma('user_version', { simple: true }) as number,
      // An older one may have no identity.
      folder: tables.some(({ table }) => table === 'folder')
        ? (db.prepare<[], string>(`SELECT value FROM folder WHERE key = 'id'`).pluck().get() ?? '')
        : '',
      ...{ at, tables: {} },
    };
    for (const table of tables) {
      const lines: Record<string, unknown>[] = [];
      for (const row of db
        .prepare(
          `SELECT ${table.columns.map(({ column }) => `"${column}"`).join(', ')} FROM "${table.table}"`,
        )
        .iterate())
        lines.push(asLine(row as Row, table));
      head.tables[table.table] = lines.length;
      files[tableFile(table.table)] = strToU8(lines.map((line) => `${JSON.stringify(line)}\n`).join(''));
      files[csvFile(table.table)] = strToU8(csvOf(table, lines));
    }
    if (tables.some(({ table }) => table === PICTURES.table))
      for (const picture of db
        .prepare(`SELECT id, ${PICTURES.column} AS jpeg FROM ${PICTURES.table}`)
        .iterate()) {
        const { id, jpeg } = picture as { id: number; jpeg: Buffer };
        // A JPEG is packed already.
        files[pictureFile(id)] = [new Uint8Array(jpeg), { level: 0 }];
      }
    const json = (it: unknown): Uint8Array => strToU8(`${JSON.stringify(it, null, 2)}\n`);
    return zipSync(
      { [HEAD_FILE]: json(head), [SCHEMA_FILE]: json(archiveSchema(tables)), ...files },
      { mtime: at, level: 6 },
    );
  } finally {
    db.close();
  }
}
