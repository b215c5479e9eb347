import { EventEmitter } from 'node:events';
import { type TestResult } from '#core/batch/bench-tests';
import { replaces, subjectOf } from '#contract/record-subject';
import { type EntryData } from '#contract/record';
import { type Db } from '#server/database/open';

export interface Entry {
  id: number;
  batchId: number;
  key: string;
  subject: string;
  data: EntryData & { result?: TestResult };
  at: string;
}

interface Row {
  id: number;
  batchId: number;
  key: string;
  subject: string;
  dataJson: string;
  at: string;
}

const SELECT = 'SELECT id, batch_id AS batchId, key, subject, data_json AS dataJson, at FROM entries';
const read = ({ dataJson, ...row }: Row): Entry => ({ ...row, data: JSON.parse(dataJson) as Entry['data'] });

/** The record of every batch: entries are added and told to whoever listens. */
export class Record {
  private readonly told = new EventEmitter().setMaxListeners(0);

  constructor(private readonly db: Db) {}

  /** Entries after one, oldest first. */
  of(batchId: number, after = 0): Entry[] {
    return this.db
      .prepare<[number, number], Row>(`${SELECT} WHERE batch_id = ? AND id > ? ORDER BY id`)
      .all(batchId, after)
      .map(read);
  }

  byKey(key: string): Entry | null {
    const row = this.db.prepare<[string], Row>(`${SELECT} WHERE key = ?`).get(key);
    return row ? read(row) : null;
  }

  /** An entry on the same subject that the writer has not seen and that says something else. */
  unseen(batchId: number, data: EntryData, seen: number): Entry | null {
    if (!replaces(data)) return null;
    const row = this.db
      .prepare<[number, string, number], Row>(
        `${SELECT} WHERE batch_id = ? AND subject = ? AND id > ? ORDER BY id DESC LIMIT 1`,
      )
      .get(batchId, subjectOf(data), seen);
    if (!row) return null;
    const entry = read(row);
    const bare = { ...entry.data };
    delete bare.result;
    return JSON.stringify(bare) === JSON.stringify(data) ? null : entry;
  }

  add(batchId: number, key: string, data: Entry['data'], at: string): Entry {
    const { lastInsertRowid } = this.db
      .prepare(
        `INSERT INTO entries (batch_id, key, kind, subject, data_json, at)
         VALUES (@batchId, @key, @kind, @subject, @json, @at)`,
      )
      .run({ batchId, key, kind: data.kind, subject: subjectOf(data), json: JSON.stringify(data), at });
    const entry = { id: Number(lastInsertRowid), batchId, key, subject: subjectOf(data), data, at };
    this.told.emit(String(batchId), entry);
    return entry;
  }

  /** @returns how to stop listening */
  listen(batchId: number, hear: (entry: Entry) => void): () => void {
    this.told.on(String(batchId), hear);
    return () => this.told.off(String(batchId), hear);
  }

  /** For tests: nobody may be left behind. */
  listeners(batchId: number): number {
    return this.told.listenerCount(String(batchId));
  }

  /** Batches into which a lot went, by their newest word on that item. */
  batchesOfLot(lotId: number): { id: number; name: string; madeOn: string }[] {
    return this.db
      .prepare<[number], { id: number; name: string; madeOn: string }>(
        `SELECT b.id, b.name, b.made_on AS madeOn FROM entries e JOIN batches b ON b.id = e.batch_id
         WHERE e.kind = 'lot' AND e.data_json ->> '$.lot' = ?
           AND e.id = (SELECT MAX(id) FROM entries WHERE batch_id = e.batch_id AND subject = e.subject)
         ORDER BY b.made_on DESC, b.id DESC`,
      )
      .all(lotId);
  }

  usesOf(batchIds: readonly number[]): Entry[] {
    return batchIds.flatMap((id) => this.of(id).filter((e) => e.data.kind === 'use'));
  }
}
