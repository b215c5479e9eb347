import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cropSchema, cropsFromCsv, type NewCrop, type SourcedCrop } from '#contract/crop';
import { type Crop } from '#core/season/crop';
import { type Db } from '#server/base/database/db';
import { Known } from '#server/base/database/known';
import { freeId } from '#server/kept/library/own';
import { root } from '#server/base/root';

interface Row {
  row_json: string;
  source: string;
  origin: 'starter' | 'user';
}
const read = ({ row_json, source, origin }: Row): SourcedCrop => ({
  ...cropSchema.parse(JSON.parse(row_json)),
  ...{ source, own: origin === 'user' },
});

/** Crops: the starter ones, refreshed at start, and the user's own, never touched. */
export class CropStore {
  private readonly every;
  private readonly keyed;
  private readonly insert;
  private readonly update;
  private readonly kept = new Known<'all', readonly SourcedCrop[]>();
  private readonly named = new Known<'all', ReadonlyMap<string, Crop>>();

  constructor(private readonly db: Db) {
    const columns = 'row_json, source, origin';
    this.every = db.prepare<[], Row>(
      `SELECT ${columns} FROM crops ORDER BY origin = 'starter', position, id`,
    );
    this.keyed = db.prepare<[string], Row>(`SELECT ${columns} FROM crops WHERE key = ?`);
    this.insert = db.prepare(
      `INSERT INTO crops (id, key, row_json, source, origin, position)
       VALUES (@id, @key, @json, @source, 'user', (SELECT coalesce(max(position), 0) + 1 FROM crops))`,
    );
    this.update = db.prepare(
      `UPDATE crops SET row_json = @json, source = @source WHERE id = @id AND origin = 'user'`,
    );
  }

  /** Writes the starter rows as this version has them. */
  refreshStarter(): void {
    const rows = cropsFromCsv(readFileSync(join(root, 'core', 'season', 'crops.csv'), 'utf8'));
    const put = this.db.prepare(
      `INSERT INTO crops (id, row_json, source, origin, position) VALUES (@id, @json, @source, 'starter', @position)
       ON CONFLICT (id) DO UPDATE SET row_json = excluded.row_json, source = excluded.source,
         position = excluded.position WHERE origin = 'starter'`,
    );
    this.db
      .transaction(() => {
        rows.forEach(({ crop, source }, position) =>
          put.run({ id: crop.id, json: JSON.stringify(crop), source, position }),
        );
      })
      .immediate();
    this.changed();
  }

  /** Own ones first. */
  all(): readonly SourcedCrop[] {
    return this.kept.of('all', [], () => this.every.all().map(read));
  }

  byId(): ReadonlyMap<string, Crop> {
    const all = this.all();
    return this.named.of(
      'all',
      [all],
      () => new Map(all.map(({ source: _, own: __, ...crop }) => [crop.id, crop])),
    );
  }

  /** Forgets what was read: rows may have gone with a transaction. */
  changed(): void {
    this.kept.forget('all');
  }

  byKey(key: string): SourcedCrop | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  add({ key, says, crop }: NewCrop): SourcedCrop {
    return this.db
      .transaction(() => {
        const made = { ...crop, id: freeId(this.db, 'crops', crop.name) };
        this.insert.run({ id: made.id, key, json: JSON.stringify(made), source: says });
        this.changed();
        return { ...made, source: says, own: true };
      })
      .immediate();
  }

  /** @returns null where there is no own one of this id */
  change(id: string, { says, crop }: Omit<NewCrop, 'key'>): SourcedCrop | null {
    const made = { ...crop, id };
    const { changes } = this.update.run({ id, json: JSON.stringify(made), source: says });
    this.changed();
    return changes === 1 ? { ...made, source: says, own: true } : null;
  }
}
