import { type Amendment } from '#core/material/amendment';
import { type MaterialRow, materialFromRow } from '#core/material/material';
import { checkVessel } from '#core/vessel/vessel';
import { type VesselKind } from '#core/vessel/tray';
import { type NewMaterial, type NewProduct, type NewVessel } from '#contract/own';
import { type Db } from '#server/base/database/db';
import { ROW_FORMAT } from '#server/kept/library/library';
import { rowSources } from '#words/en/places/shelf/row-sources';

type Table = 'items' | 'vessels';
type Sourced<T> = T & { source: string };

/** Letters and digits of a name, for an id that people can read. */
const slugOf = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'mine';

/** An id after a name that nothing of the table has yet. */
export function freeId(db: Db, table: Table | 'crops', name: string): string {
  const taken = db.prepare<[string], number>(`SELECT 1 FROM ${table} WHERE id = ?`).pluck();
  const base = `own-${slugOf(name)}`;
  let id = base;
  for (let n = 2; taken.get(id); n++) id = `${base}-${n}`;
  return id;
}

/** What the nursery added to the library. */
export class OwnStore {
  private readonly insertMaterial;
  private readonly insertProduct;
  private readonly insertVessel;
  private readonly updateMaterial;
  private readonly updateProduct;
  private readonly updateVessel;

  constructor(private readonly db: Db) {
    const position = (table: Table): string => `(SELECT coalesce(max(position), 0) + 1 FROM ${table})`;
    this.insertMaterial = db.prepare(
      `INSERT INTO items (id, key, kind, format, row_json, source, origin, position, here, shelved_at)
       VALUES (@id, @key, 'material', ${ROW_FORMAT}, @json, @source, 'user', ${position('items')}, 1, @now)`,
    );
    this.insertProduct = db.prepare(
      `INSERT INTO items (id, key, kind, format, row_json, source, origin, position, price_per)
       VALUES (@id, @key, 'product', ${ROW_FORMAT}, @json, @source, 'user', ${position('items')}, 'kg')`,
    );
    this.insertVessel = db.prepare(
      `INSERT INTO vessels (id, key, format, row_json, source, origin, position)
       VALUES (@id, @key, ${ROW_FORMAT}, @json, @source, 'user', ${position('vessels')})`,
    );
    const update = (table: Table, kind = '') =>
      db.prepare(
        `UPDATE ${table} SET row_json = @json, source = @source, format = ${ROW_FORMAT}
         WHERE id = @id AND origin = 'user' ${kind}`,
      );
    this.updateMaterial = update('items', `AND kind = 'material'`);
    this.updateProduct = update('items', `AND kind = 'product'`);
    this.updateVessel = update('vessels');
  }

  /** What a key has made already. */
  byKey(table: Table, key: string): Sourced<{ id: string }> | null {
    const row = this.db
      .prepare<[string], { row_json: string; source: string }>(
        `SELECT row_json, source FROM ${table} WHERE key = ?`,
      )
      .get(key);
    return row ? { ...(JSON.parse(row.row_json) as { id: string }), source: row.source } : null;
  }

  /** @throws RangeError when the row contradicts itself */
  addMaterial({ key, says, row }: NewMaterial, now: string): Sourced<MaterialRow> {
    return this.db
      .transaction(() => {
        const made = { ...row, id: freeId(this.db, 'items', row.name) };
        materialFromRow(made);
        this.insertMaterial.run({ id: made.id, key, json: JSON.stringify(made), source: says, now });
        return { ...made, source: says };
      })
      .immediate();
  }

  /** @returns null where there is no own one of this id */
  changeMaterial(id: string, { says, row }: Omit<NewMaterial, 'key'>): Sourced<MaterialRow> | null {
    const made = { ...row, id };
    materialFromRow(made);
    const { changes } = this.updateMaterial.run({ id, json: JSON.stringify(made), source: says });
    return changes === 1 ? { ...made, source: says } : null;
  }

  addProduct({ key, says, row }: NewProduct): Sourced<Amendment> {
    return this.db
      .transaction(() => {
        const made = { ...row, id: freeId(this.db, 'items', row.name) };
        this.insertProduct.run({ id: made.id, key, json: JSON.stringify(made), source: says });
        return { ...made, source: says };
      })
      .immediate();
  }

  changeProduct(id: string, { says, row }: Omit<NewProduct, 'key'>): Sourced<Amendment> | null {
    const made = { ...row, id };
    const { changes } = this.updateProduct.run({ id, json: JSON.stringify(made), source: says });
    return changes === 1 ? { ...made, source: says } : null;
  }

  /** @throws RangeError for a vessel that cannot be */
  addVessel({ key, kind }: NewVessel): Sourced<VesselKind> {
    return this.db
      .transaction(() => {
        checkVessel(kind.vessel);
        const made = { ...kind, id: freeId(this.db, 'vessels', kind.name) };
        this.insertVessel.run({ id: made.id, key, json: JSON.stringify(made), source: rowSources.own });
        return { ...made, source: rowSources.own };
      })
      .immediate();
  }

  changeVessel(id: string, kind: NewVessel['kind']): Sourced<VesselKind> | null {
    checkVessel(kind.vessel);
    const made = { ...kind, id };
    const { changes } = this.updateVessel.run({ id, json: JSON.stringify(made), source: rowSources.own });
    return changes === 1 ? { ...made, source: rowSources.own } : null;
  }
}
