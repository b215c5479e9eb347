import { type Lot } from '#contract/record';
import { type Db } from '#server/database/db';

const SELECT = 'SELECT id, item, name, received_on AS receivedOn, note FROM lots';

/** Purchases and heaps. */
export class LotStore {
  private readonly every;
  private readonly byId;
  private readonly keyed;
  private readonly insert;

  constructor(db: Db) {
    this.every = db.prepare<[], Lot>(`${SELECT} ORDER BY item, received_on DESC, id DESC`);
    this.byId = db.prepare<[number], Lot>(`${SELECT} WHERE id = ?`);
    this.keyed = db.prepare<[string], Lot>(`${SELECT} WHERE key = ?`);
    this.insert = db.prepare(
      `INSERT INTO lots (key, item, name, received_on, note, created_at)
       VALUES (@key, @item, @name, @receivedOn, @note, @now)`,
    );
  }

  all(): Lot[] {
    return this.every.all();
  }

  one(id: number): Lot | null {
    return this.byId.get(id) ?? null;
  }

  byKey(key: string): Lot | null {
    return this.keyed.get(key) ?? null;
  }

  add(lot: Omit<Lot, 'id'> & { key: string }, now: string): Lot {
    this.insert.run({ ...lot, now });
    return this.byKey(lot.key)!;
  }
}
