import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { amendmentsFromCsv, materialsFromCsv } from '#contract/library-tables';
import { type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { libraryOf, type Library } from '#core/recipe/library';
import { type Db } from '#server/database/open';

const REFERENCE = join(import.meta.dirname, '..', '..', 'core', 'material');
const STARTER_SOURCE =
  'starter library: typical figures from memory of Bunt 1988, Raviv & Lieth 2008, Reed 1996 and Argo & Fisher 2002; your own tests replace them';

/** Puts the starter tables into an empty library. */
export function seedLibrary(db: Db): void {
  const table = (name: string): string => readFileSync(join(REFERENCE, name), 'utf8');
  const fill = (into: 'materials' | 'amendments', rows: readonly { id: string }[]): void => {
    const insert = db.prepare(
      `INSERT INTO ${into} (id, row_json, source, origin, position) VALUES (?, ?, ?, 'starter', ?)
       ON CONFLICT (id) DO NOTHING`,
    );
    rows.forEach((row, position) => insert.run(row.id, JSON.stringify(row), STARTER_SOURCE, position));
  };
  db.transaction(() => {
    fill('materials', materialsFromCsv(table('materials.csv')));
    fill('amendments', amendmentsFromCsv(table('amendments.csv')));
  })();
}

interface Row {
  row_json: string;
  source: string;
}

export interface LibraryRows {
  materials: (Material & { source: string })[];
  amendments: (Amendment & { source: string })[];
}

/** The library as it stands, in shelf order. */
export function readLibrary(db: Db): LibraryRows {
  const rows = <T>(from: 'materials' | 'amendments'): (T & { source: string })[] =>
    db
      .prepare<[], Row>(`SELECT row_json, source FROM ${from} ORDER BY position, id`)
      .all()
      .map((row) => ({ ...(JSON.parse(row.row_json) as T), source: row.source }));
  return { materials: rows<Material>('materials'), amendments: rows<Amendment>('amendments') };
}

/**
 * The library for computing, read once: nothing writes to it while the server runs, and the fitted curves
 * hang on to its objects.
 */
export function libraryReader(db: Db): () => Library {
  let library: Library | null = null;
  return () => {
    if (!library) {
      const { materials, amendments } = readLibrary(db);
      library = libraryOf(materials, amendments);
    }
    return library;
  };
}
