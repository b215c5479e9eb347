import { type NewOrder, type Order } from '#contract/orders';
import { type Db } from '#server/base/database/db';

/** What is ordered and has not come. */
export class OrderStore {
  private readonly open;
  private readonly keyed;
  private readonly byId;
  private readonly insert;
  private readonly setAway;
  private readonly arrived;

  constructor(db: Db) {
    const columns = 'SELECT id, key, kind, item, amount, ordered_on AS "on" FROM orders';
    this.open = db.prepare<[], Order>(
      `${columns} WHERE lot_id IS NULL AND deleted_at IS NULL ORDER BY ordered_on, id`,
    );
    this.keyed = db.prepare<[string], Order>(`${columns} WHERE key = ?`);
    this.byId = db.prepare<[number], Order>(`${columns} WHERE id = ?`);
    this.insert = db.prepare(
      'INSERT INTO orders (key, kind, item, amount, ordered_on) VALUES (@key, @kind, @item, @amount, @on)',
    );
    this.setAway = db.prepare('UPDATE orders SET deleted_at = ? WHERE id = ?');
    this.arrived = db.prepare('UPDATE orders SET lot_id = ? WHERE id = ?');
  }

  /** Oldest first. */
  all(): Order[] {
    return this.open.all();
  }

  one(id: number): Order | null {
    return this.byId.get(id) ?? null;
  }

  byKey(key: string): Order | null {
    return this.keyed.get(key) ?? null;
  }

  add(order: NewOrder): Order {
    this.insert.run(order);
    return this.byKey(order.key)!;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }

  /** It came: that is the delivery. */
  came(id: number, lot: number): void {
    this.arrived.run(lot, id);
  }
}
