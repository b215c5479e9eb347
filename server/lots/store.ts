import { type Db } from '#server/database/open';

export interface Lot {
  id: number;
  /** Id of the material or amendment. */
  item: string;
  name: string;
  receivedOn: string;
  note: string;
}

const SELECT = 'SELECT id, item, name, received_on AS receivedOn, note FROM lots';

/** Purchases and heaps. */
export class Lots {
  constructor(private readonly db: Db) {}

  all(): Lot[] {
    return this.db.prepare<[], Lot>(`${SELECT} ORDER BY item, received_on DESC, id DESC`).all();
  }

  one(id: number): Lot | null {
    return this.db.prepare<[number], Lot>(`${SELECT} WHERE id = ?`).get(id) ?? null;
  }

  add(lot: Omit<Lot, 'id'>, now: string): Lot {
    const { lastInsertRowid } = this.db
      .prepare(
        `INSERT INTO lots (item, name, received_on, note, created_at)
         VALUES (@item, @name, @receivedOn, @note, @now)`,
      )
      .run({ ...lot, now });
    return { id: Number(lastInsertRowid), ...lot };
  }
}
