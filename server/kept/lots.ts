import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type ChangedLot, type Lot, type NewLot, newLotSchema, type NewMove } from '#contract/lots';
import { type EntryData } from '#contract/record';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { plannedOf } from '#core/batch/planned';
import { leftOf, type StockKind } from '#core/package/stock';
import { OutOfRange } from '#core/units/check';
import { type Db } from '#server/base/database/db';

type Row = Omit<Lot, 'from' | 'seed' | 'pack' | 'left'> & {
  fromJson: string | null;
  seedJson: string | null;
  packJson: string | null;
};

const moved = (kind: string): string =>
  `(SELECT total(amount) FROM stock_moves WHERE lot_id = l.id AND kind = '${kind}') AS ${kind}`;
const SELECT = `SELECT l.id, l.key, l.kind, l.item, l.name, l.received_on AS receivedOn, l.note, l.quantity, l.price,
  l.ready_on AS readyOn, l.from_json AS fromJson, l.seed_json AS seedJson, l.pack_json AS packJson,
  ${moved('came')}, ${moved('lost')}, ${moved('counted')}, ${moved('back')},
  (SELECT total(amount) FROM takes WHERE lot_id = l.id) AS took FROM lots l`;

const read = ({ fromJson, seedJson, packJson, ...row }: Row): Lot => ({
  ...row,
  from: fromJson === null ? null : newLotSchema.shape.from.parse(JSON.parse(fromJson)),
  seed: seedJson === null ? null : newLotSchema.shape.seed.parse(JSON.parse(seedJson)),
  pack: packJson === null ? null : newLotSchema.shape.pack.parse(JSON.parse(packJson)),
  left: leftOf(row),
});
const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value));

/** An amount that goes from a lot, in its unit, and what for. */
interface Take {
  lot: number;
  amount: number;
  /** YYYY-MM-DD */
  day: string;
  subject?: string;
  entry?: number;
  batch?: number;
  planting?: number;
}

interface Move {
  id: number;
  kind: NewMove['kind'];
  amount: number;
  on: string;
  note: string;
}

/** Purchases, heaps, seed and empty vessels: what came, what happened to it, what is left. */
export class LotStore {
  private readonly every;
  private readonly byId;
  private readonly keyed;
  private readonly insert;
  private readonly move;
  private readonly moveKeyed;
  private readonly movesOf;
  private readonly untake;
  private readonly take;
  private readonly undoEntry;
  private readonly undoPlanting;
  private readonly ofItem;
  private readonly takenByPlanting;
  private readonly outWith;
  private readonly backOf;
  private readonly takenBy;
  private readonly pace;
  private readonly alter;
  private readonly startCount;

  constructor(private readonly db: Db) {
    this.every = db.prepare<[], Row>(`${SELECT} ORDER BY l.item, l.received_on DESC, l.id DESC`);
    this.byId = db.prepare<[number], Row>(`${SELECT} WHERE l.id = ?`);
    this.keyed = db.prepare<[string], Row>(`${SELECT} WHERE l.key = ?`);
    this.insert = db.prepare(
      `INSERT INTO lots (key, kind, item, name, received_on, note, quantity, price, ready_on, from_json, seed_json,
         pack_json, created_at)
       VALUES (@key, @kind, @item, @name, @receivedOn, @note, @quantity, @price, @readyOn, @from, @seed, @pack, @now)`,
    );
    this.move = db.prepare(
      `INSERT INTO stock_moves (key, lot_id, kind, amount, day, note, planting_id, at)
       VALUES (@key, @lot, @kind, @amount, @on, @note, @planting, @now)`,
    );
    this.moveKeyed = db.prepare<[string], number>('SELECT lot_id FROM stock_moves WHERE key = ?').pluck();
    this.movesOf = db.prepare<[number], Move>(
      'SELECT id, kind, amount, day AS "on", note FROM stock_moves WHERE lot_id = ? ORDER BY id',
    );
    this.untake = db.prepare('DELETE FROM takes WHERE batch_id = ? AND subject = ?');
    this.take = db.prepare(
      `INSERT INTO takes (entry_id, batch_id, planting_id, subject, lot_id, amount, day)
       VALUES (@entry, @batch, @planting, @subject, @lot, @amount, @day)`,
    );
    this.undoEntry = db.prepare<[{ entry: number; kind: StockKind | null }]>(
      `DELETE FROM takes WHERE entry_id = @entry
       AND (@kind IS NULL OR lot_id IN (SELECT id FROM lots WHERE kind = @kind))`,
    );
    this.undoPlanting = db.prepare<[number]>('DELETE FROM takes WHERE planting_id = ?');
    this.ofItem = db.prepare<[string, string], Row>(
      `${SELECT} WHERE l.item = ? AND l.kind = ? AND l.quantity IS NOT NULL ORDER BY l.received_on, l.id`,
    );
    this.takenByPlanting = db.prepare<[number], { id: number; amount: number }>(
      'SELECT planting_id AS id, sum(amount) AS amount FROM takes WHERE lot_id = ? AND planting_id IS NOT NULL GROUP BY planting_id ORDER BY planting_id DESC',
    );
    this.outWith = db.prepare<[number], { lot: number; amount: number }>(
      `SELECT t.lot_id AS lot, sum(t.amount) AS amount FROM takes t JOIN lots l ON l.id = t.lot_id
       WHERE t.planting_id = ? AND l.kind = 'vessel' GROUP BY t.lot_id ORDER BY t.lot_id`,
    );
    this.backOf = db.prepare<[number], { lot: number; amount: number }>(
      `SELECT lot_id AS lot, sum(amount) AS amount FROM stock_moves
       WHERE planting_id = ? AND kind = 'back' GROUP BY lot_id ORDER BY lot_id`,
    );
    this.takenBy = db.prepare<[number], { id: number; name: string; madeOn: string; amount: number }>(
      `SELECT b.id, b.name, b.made_on AS madeOn, sum(t.amount) AS amount
       FROM takes t JOIN batches b ON b.id = t.batch_id
       WHERE t.lot_id = ? AND t.planting_id IS NULL GROUP BY b.id ORDER BY b.made_on DESC, b.id DESC`,
    );
    this.alter = db.prepare(
      `UPDATE lots SET name = coalesce(@name, name), note = coalesce(@note, note),
         seed_json = coalesce(@seed, seed_json),
         price = iif(@hasPrice, @price, price), ready_on = iif(@hasReady, @readyOn, ready_on) WHERE id = @id`,
    );
    this.startCount = db.prepare('UPDATE lots SET quantity = 0 WHERE id = ?');
    this.pace = db.prepare<[string], { kind: StockKind; item: string; took: number }>(
      `SELECT l.kind, l.item, sum(t.amount) AS took FROM takes t JOIN lots l ON l.id = t.lot_id
       WHERE t.day >= ? GROUP BY l.kind, l.item`,
    );
  }

  all(): Lot[] {
    return this.every.all().map(read);
  }

  one(id: number): Lot | null {
    const row = this.byId.get(id);
    return row ? read(row) : null;
  }

  byKey(key: string): Lot | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  add({ from, seed, pack, order: _, ...lot }: NewLot, now: string): Lot {
    this.insert.run({ ...lot, from: json(from), seed: json(seed), pack: json(pack), now });
    return this.byKey(lot.key)!;
  }

  /** With whatever else is noted of it, or not at all. */
  addFor(lot: NewLot, now: string, note: (lot: Lot) => void): Lot {
    return this.db
      .transaction(() => {
        const made = this.add(lot, now);
        note(made);
        return made;
      })
      .immediate();
  }

  /** Changes what is named; the rest stays. */
  change(id: number, { name, note, price, readyOn, seed }: ChangedLot): Lot | null {
    this.alter.run({
      ...{ id, name: name ?? null, note: note ?? null, seed: seed ? JSON.stringify(seed) : null },
      ...{ price: price ?? null, hasPrice: Number(price !== undefined) },
      ...{ readyOn: readyOn ?? null, hasReady: Number(readyOn !== undefined) },
    });
    return this.one(id);
  }

  /** The lot that a move of this key was of. */
  moveKnown(key: string): number | null {
    return this.moveKeyed.get(key) ?? null;
  }

  moves(lot: number): Move[] {
    return this.movesOf.all(lot);
  }

  /**
   * Adds a move. A count is kept as the difference that it makes, so that sums add up whatever comes later.
   * @throws OutOfRange where more is lost than there is, or nobody ever said how much there was
   */
  addMove(lot: number, { key, kind, amount, on, note, planting }: NewMove, now: string): Lot {
    return this.db
      .transaction(() => {
        const present = this.one(lot)!;
        if (present.left === null && kind === 'counted') {
          // What nobody counted is counted now: that is what there is of it, and what batches took came before.
          this.startCount.run(lot);
        } else if (present.left === null) {
          throw new OutOfRange('kind', kind, allow('allowed.counted-before', none));
        }
        const { left } = this.one(lot)!;
        if (kind === 'lost' && amount > Math.max(0, left!) + 1e-9)
          throw new OutOfRange('amount', amount, allow('allowed.most-left', { left: Math.max(0, left!) }));
        this.move.run({
          ...{ key, lot, kind, on, note, now, planting: planting ?? null },
          amount: kind === 'counted' ? amount - left! : amount,
        });
        return this.one(lot)!;
      })
      .immediate();
  }

  /**
   * What an entry on a batch takes from lots; of two on one item the later one holds. To be called within the
   * transaction that adds the entry.
   */
  noteTakes(
    entry: { id: number; subject: string; day: string },
    batch: { id: number; snapshot: BatchSnapshot },
    data: EntryData,
  ): void {
    if (data.kind !== 'lot') return;
    const { id, subject, day } = entry;
    const take = (lot: number, amount: number): void =>
      this.addTake({ entry: id, batch: batch.id, subject, day, lot, amount });
    this.untake.run(batch.id, subject);
    const planned = plannedOf(batch.snapshot, data.item);
    const first = data.amount ?? planned;
    take(data.lot, first);
    if (data.rest !== undefined) take(data.rest, Math.max(0, planned - first));
  }

  /** Takes an amount from a lot, for an entry on a batch or for a planting. */
  addTake({ amount, ...take }: Take): void {
    if (amount > 0)
      this.take.run({ entry: null, batch: null, planting: null, subject: 'use', ...take, amount });
  }

  /** Gives back what an entry took; of one kind of thing where that is named. */
  untakeEntry(entry: number, kind: StockKind | null = null): void {
    this.undoEntry.run({ entry, kind });
  }

  untakePlanting(planting: number): void {
    this.undoPlanting.run(planting);
  }

  /** Lots of an item of which it is known how much is left, the oldest first. */
  countedOf(kind: StockKind, item: string): { id: number; left: number }[] {
    return this.ofItem.all(item, kind).map((row) => ({ id: row.id, left: leftOf(row) ?? 0 }));
  }

  /** Vessels that went out with a planting, by their lots. */
  outWithPlanting(planting: number): { lot: number; amount: number }[] {
    return this.outWith.all(planting);
  }

  /** Vessels of a planting that came back empty, by their lots. */
  backFromPlanting(planting: number): { lot: number; amount: number }[] {
    return this.backOf.all(planting);
  }

  /** Plantings that took of a lot, and how much, newest first. */
  plantingsOf(lot: number): { id: number; amount: number }[] {
    return this.takenByPlanting.all(lot);
  }

  /** Batches that took from a lot, and how much, newest first. */
  takers(lot: number): { id: number; name: string; madeOn: string; amount: number }[] {
    return this.takenBy.all(lot);
  }

  /** What was taken of every item since a day. */
  takenSince(day: string): { kind: StockKind; item: string; took: number }[] {
    return this.pace.all(day);
  }
}
