import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type LibraryAnswer } from '#contract/library';
import { amendmentSchema } from '#contract/amendment';
import { materialRowSchema } from '#contract/material';
import { amendmentsFromCsv, materialRowsFromCsv } from '#contract/starter-tables';
import { vesselKindSchema } from '#contract/vessel';
import { familyOfId, formOfId } from '#core/batch/snapshot-upgrade';
import { type Amendment } from '#core/material/amendment';
import { materialFromRow, materialToRow, type Material, type MaterialRow } from '#core/material/material';
import { libraryOf, type Library } from '#core/recipe/library';
import { vesselKinds } from '#core/vessel/kinds';
import { type Db } from '#server/base/database/db';
import { Known } from '#server/base/database/known';
import { LearnedStore } from '#server/kept/library/learned';
import { root } from '#server/base/root';
import { rowSources } from '#words/en/places/shelf/row-sources';

const TABLES = join(root, 'core', 'material');
/** Shape of the rows that are written now. */
export const ROW_FORMAT = 2;

interface Row {
  row_json: string;
  format: number;
  source: string;
  origin: 'starter' | 'user';
}

/** Materials, products and vessels: the starter ones, refreshed at start, and the user's own, never touched. */
export class LibraryStore {
  private readonly items;
  private readonly vessels;
  private readonly kept = new Known<'all', { rows: LibraryAnswer; library: Library }>();
  readonly learned: LearnedStore;

  constructor(private readonly db: Db) {
    this.learned = new LearnedStore(db);
    this.items = db.prepare<[string], Row>(
      'SELECT row_json, format, source, origin FROM items WHERE kind = ? ORDER BY position, id',
    );
    this.vessels = db.prepare<[], Row>(
      'SELECT row_json, format, source, origin FROM vessels ORDER BY position, id',
    );
  }

  /** Something was added or changed. */
  changed(): void {
    this.kept.forget('all');
  }

  /** Writes the starter rows as this version has them. */
  refreshStarter(): void {
    const table = (name: string): string => readFileSync(join(TABLES, name), 'utf8');
    const set = `row_json = excluded.row_json, format = excluded.format, source = excluded.source,
      position = excluded.position WHERE origin = 'starter'`;
    const item = this.db.prepare(
      `INSERT INTO items (id, kind, format, row_json, source, origin, position, price_per)
       VALUES (@id, @kind, ${ROW_FORMAT}, @json, @source, 'starter', @position, @per)
       ON CONFLICT (id) DO UPDATE SET ${set}`,
    );
    const vessel = this.db.prepare(
      `INSERT INTO vessels (id, format, row_json, source, origin, position)
       VALUES (@id, ${ROW_FORMAT}, @json, @source, 'starter', @position) ON CONFLICT (id) DO UPDATE SET ${set}`,
    );
    const fill = (rows: readonly { id: string }[], write: typeof item, more: object): void =>
      rows.forEach((row, position) => {
        write.run({ id: row.id, json: JSON.stringify(row), position, ...more });
      });
    this.db
      .transaction(() => {
        const source = rowSources.starter;
        fill(materialRowsFromCsv(table('materials.csv')), item, { kind: 'material', per: 'L', source });
        fill(amendmentsFromCsv(table('amendments.csv')), item, { kind: 'product', per: 'kg', source });
        fill(vesselKinds, vessel, { source: rowSources.usualSizes });
      })
      .immediate();
    this.kept.forget('all');
  }

  /** As it stands, in shelf order, moved by the nursery's own tests. */
  rows(): LibraryAnswer {
    return this.read().rows;
  }

  /** Materials, products and vessels as the book has them, own ones included. */
  book(): LibraryAnswer {
    return {
      materials: this.items.all('material').map((row) => ({ ...readMaterial(row), ...from(row) })),
      amendments: this.items.all('product').map((row) => ({ ...readProduct(row), ...from(row) })),
      vessels: this.vessels
        .all()
        .map((row) => ({ ...vesselKindSchema.parse(JSON.parse(row.row_json)), ...from(row) })),
    };
  }

  /** For computing, read once: the fitted curves hang on to its objects. */
  library(): Library {
    return this.read().library;
  }

  private read(): { rows: LibraryAnswer; library: Library } {
    return this.kept.of('all', [], () => this.readAll());
  }

  private readAll(): { rows: LibraryAnswer; library: Library } {
    const book = this.book();
    const bare = <T extends ReturnType<typeof from>>({ source, own, ...row }: T): Omit<T, 'source' | 'own'> =>
      row;
    const named = libraryOf([], book.amendments.map(bare), book.vessels.map(bare));
    const tested = new Set(this.learned.items());
    const materials = book.materials.map((row) => {
      if (!tested.has(row.id)) return row;
      const { material, figures, misfit } = this.learned.learn(materialFromRow(bare(row)), named);
      if (misfit !== null) return { ...row, source: rowSources.misfit(row.source) };
      const tests = figures.reduce((sum, learned) => sum + learned.tests, 0);
      const result = rowSources.learned(row.source, tests);
      return { ...materialToRow(material), source: result, own: row.own };
    });
    const library = libraryOf(
      materials.map((m) => materialFromRow(bare(m))),
      book.amendments.map(bare),
      book.vessels.map(bare),
    );
    return { rows: { ...book, materials }, library };
  }
}

const from = ({ source, origin }: Row): { source: string; own: boolean } => ({
  source,
  own: origin === 'user',
});

/** Format 1 kept fractions and no family. */
export function readMaterial({ row_json, format }: Row): MaterialRow {
  const stored = JSON.parse(row_json) as object;
  if (format > 1) return materialRowSchema.parse(stored);
  const { id } = stored as { id: string };
  return materialRowSchema.parse(materialToRow({ ...(stored as Material), family: familyOfId(id) }));
}

export function readProduct({ row_json, format }: Row): Amendment {
  const stored = JSON.parse(row_json) as { id: string };
  return amendmentSchema.parse(format > 1 ? stored : { ...stored, form: formOfId(stored.id) });
}
