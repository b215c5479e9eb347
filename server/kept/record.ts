import { EventEmitter } from 'node:events';
import { ENTRY_FORMAT, readEntryData, type Entry, type EntryData, type KeptData } from '#contract/record';
import { replaces, subjectOf } from '#contract/record-subject';
import { type Db } from '#server/base/database/db';

/** How many of the newest a page is told first, and how many of the older at once after that. */
const NEWEST = 500;
const OLDER = 2000;

type Row = Omit<Entry, 'data'> & { dataJson: string; format: number };

const SELECT = 'SELECT id, batch_id AS batchId, key, subject, format, data_json AS dataJson, at FROM entries';
const read = ({ dataJson, format, ...row }: Row): Entry => ({
  ...row,
  data: readEntryData(JSON.parse(dataJson), format),
});

/** The record of every batch: entries are added and told to whoever listens. */
export class RecordStore {
  private readonly arrivals = new EventEmitter().setMaxListeners(0);
  private readonly after;
  private readonly head;
  private readonly between;
  private readonly keyed;
  private readonly newer;
  private readonly insert;
  private readonly ofLot;
  private readonly ofKind;
  private readonly kindAfter;
  private readonly newest;
  private readonly tub;

  constructor(private readonly db: Db) {
    this.after = db.prepare<[number, number], Row>(`${SELECT} WHERE batch_id = ? AND id > ? ORDER BY id`);
    this.head = db.prepare<{ batchId: number; after: number }, Row>(
      `${SELECT} WHERE batch_id = @batchId AND id > @after AND (
         id IN (SELECT id FROM entries WHERE batch_id = @batchId ORDER BY id DESC LIMIT ${NEWEST})
         OR id IN (SELECT MAX(id) FROM entries WHERE batch_id = @batchId GROUP BY subject))
       ORDER BY id`,
    );
    this.between = db.prepare<[number, number, number], Row>(
      `${SELECT} WHERE batch_id = ? AND id > ? AND id < ? ORDER BY id LIMIT ${OLDER}`,
    );
    this.keyed = db.prepare<[string], Row>(`${SELECT} WHERE key = ?`);
    this.newer = db.prepare<[number, string, number], Row>(
      `${SELECT} WHERE batch_id = ? AND subject = ? AND id > ? ORDER BY id DESC`,
    );
    this.insert = db.prepare(
      `INSERT INTO entries (batch_id, key, kind, subject, format, data_json, at)
       VALUES (@batchId, @key, @kind, @subject, ${ENTRY_FORMAT}, @json, @at)`,
    );
    this.ofLot = db.prepare<[number], { id: number; name: string; madeOn: string }>(
      `SELECT b.id, b.name, b.made_on AS madeOn FROM entries e JOIN batches b ON b.id = e.batch_id
       WHERE e.kind = 'lot' AND e.data_json ->> '$.lot' = ?
         AND e.id = (SELECT MAX(id) FROM entries WHERE batch_id = e.batch_id AND subject = e.subject)
       ORDER BY b.made_on DESC, b.id DESC`,
    );
    this.newest = db
      .prepare<[number], number | null>('SELECT max(id) FROM entries WHERE batch_id = ?')
      .pluck();
    this.tub = db.prepare<[number], Row>(
      `${SELECT} INDEXED BY entries_of_kind
       WHERE kind IN ('use', 'left', 'made', 'undo', 'same', 'tick', 'test') AND batch_id = ? ORDER BY id`,
    );
    this.kindAfter = db.prepare<[string, number], Row>(`${SELECT} WHERE kind = ? AND id > ? ORDER BY id`);
    this.ofKind = db.prepare<[string, number], Row>(`${SELECT} WHERE kind = ? AND batch_id = ? ORDER BY id`);
  }

  /** Entries after one, oldest first. */
  of(batchId: number, after = 0): Entry[] {
    return this.after.all(batchId, after).map(read);
  }

  /**
   * Entries after one, in portions: first the newest with the last word on each subject, so that what holds is known
   * at once, then the older ones. Some come twice.
   */
  *portions(batchId: number, after: number): Generator<Entry[], void> {
    const head = this.head.all({ batchId, after });
    if (head.length === 0) return;
    yield head.map(read);
    const newest = head.at(-1)!.id;
    for (let from = after; ;) {
      const some = this.between.all(batchId, from, newest);
      if (some.length === 0 || (from === after && some.length < Math.min(head.length, OLDER))) return;
      yield some.map(read);
      from = some.at(-1)!.id;
    }
  }

  /** Number of its newest entry; 0 where it has none. */
  newestOf(batchId: number): number {
    return this.newest.get(batchId) ?? 0;
  }

  /** What tells how a batch stands and what its tub holds, oldest first. */
  ofTub(batchId: number): Entry[] {
    return this.tub.all(batchId).map(read);
  }

  /** Entries of one kind, oldest first. */
  ofBatch(kind: EntryData['kind'], batchId: number): Entry[] {
    return this.ofKind.all(kind, batchId).map(read);
  }

  /** Entries of one kind of all batches after one, oldest first. */
  newOf(kind: EntryData['kind'], after: number): Entry[] {
    return this.kindAfter.all(kind, after).map(read);
  }

  byKey(key: string): Entry | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  /**
   * An entry on the same subject that the writer has not seen and that says something else.
   * @param own keys of the writer's own entries
   */
  unseen(batchId: number, data: EntryData, seen: number, own: readonly string[] = []): Entry | null {
    if (!replaces(data)) return null;
    const row = this.newer.all(batchId, subjectOf(data), seen).find(({ key }) => !own.includes(key));
    if (!row) return null;
    const entry = read(row);
    const { result, ...bare } = entry.data as KeptData & { result?: unknown };
    void result;
    return JSON.stringify(bare) === JSON.stringify(data) ? null : entry;
  }

  /** @param within what has to be written with it or not at all */
  add(
    batchId: number,
    key: string,
    data: KeptData,
    at: string,
    within: (entry: Entry) => void = () => undefined,
  ): Entry {
    const subject = subjectOf(data);
    const entry = this.db
      .transaction(() => {
        const json = JSON.stringify(data);
        const { lastInsertRowid } = this.insert.run({ batchId, key, kind: data.kind, subject, json, at });
        const made = { id: Number(lastInsertRowid), batchId, key, subject, data, at };
        within(made);
        return made;
      })
      .immediate();
    // Within a larger act it is told once that is whole, and not at all where it comes to nothing.
    if (this.listeners(batchId) === 0) return entry;
    if (this.db.inTransaction)
      queueMicrotask(() => {
        if (this.db.open && this.byKey(key)) this.arrivals.emit(String(batchId), entry);
      });
    else this.arrivals.emit(String(batchId), entry);
    return entry;
  }

  /** @returns how to stop listening */
  listen(batchId: number, hear: (entry: Entry) => void): () => void {
    this.arrivals.on(String(batchId), hear);
    return () => this.arrivals.off(String(batchId), hear);
  }

  /** How many listen to a batch. */
  listeners(batchId: number): number {
    return this.arrivals.listenerCount(String(batchId));
  }

  /** Batches into which a lot went, by their newest word on that item. */
  batchesOfLot(lotId: number): { id: number; name: string; madeOn: string }[] {
    return this.ofLot.all(lotId);
  }

  usesOf(batchIds: readonly number[]): Entry[] {
    return batchIds.flatMap((id) => this.ofBatch('use', id));
  }
}
