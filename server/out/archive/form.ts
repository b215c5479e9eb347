import { type Db } from '#server/base/database/db';

/** Of how an archive is laid out; raised when that changes. Format 1 had no sums. */
export const ARCHIVE_FORMAT = 2;
/** What is taken in of one thing; as a whole what the disk has room for. */
export const ARCHIVE_LIMITS = {
  pictureBytes: 20e6,
  lineBytes: 20e6,
  depth: 60,
} as const;

/** A column as an archive holds it. */
export interface TableColumn {
  /** In the database. */
  column: string;
  /** In a line of the archive: JSON columns go as what they hold, without their ending. */
  name: string;
  kind: 'text' | 'integer' | 'real' | 'json';
  nullable: boolean;
}
export interface Table {
  table: string;
  columns: TableColumn[];
}

/** Pictures go as files of their own beside the lines. */
export const PICTURES = { table: 'plant_pictures', column: 'jpeg' } as const;
export const pictureFile = (id: number): string => `pictures/${id}.jpg`;
export const tableFile = (table: string): string => `tables/${table}.jsonl`;
/** For spreadsheets: not read when it comes back. */
export const csvFile = (table: string): string => `csv/${table}.csv`;
export const HEAD_FILE = 'welcome.json';
export const SCHEMA_FILE = 'schema.json';
/** Names that a file of an archive may have: no other is looked at. */
export const FILE_NAME =
  /^(welcome\.json|schema\.json|tables\/[a-z_]+\.jsonl|csv\/[a-z_]+\.csv|pictures\/[1-9]\d{0,15}\.jpg)$/;

/** Head of an archive. */
export interface Head {
  format: number;
  /** Number of the schema of the database that it was written from. */
  schema: number;
  /** Identity of the data folder. */
  folder: string;
  /** ISO 8601, UTC. */
  at: string;
  /** Rows by table. */
  tables: Record<string, number>;
  /** SHA-256 of every other file in it, in hex, by its name; in an archive of format 1 there are none. */
  sums?: Record<string, string>;
}

interface Info {
  name: string;
  type: string;
  notnull: 0 | 1;
  pk: number;
}

/** Every table of a database with its columns, in the order of their names; not who may come in from the network. */
export function tablesOf(db: Db): Table[] {
  return db
    .prepare<[], string>(
      `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> 'devices' ORDER BY name`,
    )
    .pluck()
    .all()
    .map((table) => ({
      table,
      columns: (db.pragma(`table_info("${table}")`) as Info[])
        .filter(({ name }) => !(table === PICTURES.table && name === PICTURES.column))
        .map(({ name, type, notnull, pk }) => ({
          ...{ column: name, name: name.replace(/_json$/, '') },
          kind: name.endsWith('_json') ? 'json' : (type.toLowerCase() as TableColumn['kind']),
          nullable: notnull === 0 && pk === 0,
        })),
    }));
}
