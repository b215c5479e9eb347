import { keptWaterSchema, type NewWater, type OwnWater } from '#contract/water';
import { type Db } from '#server/base/database/db';

interface Row {
  id: number;
  row_json: string;
}
const read = ({ id, row_json }: Row): OwnWater => ({ id, ...keptWaterSchema.parse(JSON.parse(row_json)) });

/** The nursery's waters. */
export class WaterStore {
  private readonly here;
  private readonly keyed;
  private readonly insert;
  private readonly setAway;

  constructor(db: Db) {
    const from = 'SELECT id, row_json FROM waters';
    this.here = db.prepare<[], Row>(`${from} WHERE deleted_at IS NULL ORDER BY id`);
    this.keyed = db.prepare<[string], Row>(`${from} WHERE key = ?`);
    this.insert = db.prepare('INSERT INTO waters (key, row_json, created_at) VALUES (?, ?, ?)');
    this.setAway = db.prepare('UPDATE waters SET deleted_at = ? WHERE id = ?');
  }

  all(): OwnWater[] {
    return this.here.all().map(read);
  }

  byKey(key: string): OwnWater | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  add({ key, ...water }: NewWater, now: string): OwnWater {
    this.insert.run(key, JSON.stringify(water), now);
    return this.byKey(key)!;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }
}
