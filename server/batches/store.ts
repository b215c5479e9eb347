import { type BatchSnapshot } from '#core/batch/snapshot';
import { type Db } from '#server/database/open';

export interface BatchLine {
  id: number;
  name: string;
  madeOn: string;
  createdAt: string;
  stage: string;
  vessel: string;
  litres: number;
}

export interface Batch {
  id: number;
  key: string;
  name: string;
  mixVersionId: number | null;
  /** The mix of that version. */
  mixId: number | null;
  mixName: string | null;
  madeOn: string;
  createdAt: string;
  snapshot: BatchSnapshot;
}

type Row = Omit<Batch, 'snapshot'> & { snapshot_json: string };

const read = ({ snapshot_json, ...row }: Row): Batch => ({
  ...row,
  snapshot: JSON.parse(snapshot_json) as BatchSnapshot,
});
const SELECT = `SELECT id, key, name, mix_version_id AS mixVersionId,
  (SELECT mix_id FROM mix_versions WHERE id = mix_version_id) AS mixId,
  (SELECT m.name FROM mix_versions v JOIN mixes m ON m.id = v.mix_id WHERE v.id = mix_version_id) AS mixName,
  made_on AS madeOn, created_at AS createdAt,
  snapshot_json FROM batches`;

/** What was made, each with all it was made from. */
export class Batches {
  constructor(private readonly db: Db) {}

  all(): BatchLine[] {
    return this.db
      .prepare<[], BatchLine>(
        `SELECT id, name, made_on AS madeOn, created_at AS createdAt,
           snapshot_json ->> '$.recipe.stage' AS stage,
           snapshot_json ->> '$.vessel.name' AS vessel,
           snapshot_json ->> '$.sheet.litres' AS litres
         FROM batches WHERE deleted_at IS NULL ORDER BY made_on DESC, id DESC LIMIT 500`,
      )
      .all();
  }

  one(id: number): Batch | null {
    const row = this.db.prepare<[number], Row>(`${SELECT} WHERE id = ?`).get(id);
    return row ? read(row) : null;
  }

  byKey(key: string): Batch | null {
    const row = this.db.prepare<[string], Row>(`${SELECT} WHERE key = ?`).get(key);
    return row ? read(row) : null;
  }

  add(batch: Omit<Batch, 'id' | 'mixId' | 'mixName'>): Batch {
    const { lastInsertRowid } = this.db
      .prepare(
        `INSERT INTO batches (key, name, mix_version_id, made_on, snapshot_json, created_at)
         VALUES (@key, @name, @mixVersionId, @madeOn, @snapshot, @createdAt)`,
      )
      .run({ ...batch, snapshot: JSON.stringify(batch.snapshot) });
    return this.one(Number(lastInsertRowid))!;
  }

  /** Puts a batch away (a date) or brings it back (null). @returns whether there is such a batch */
  putAway(id: number, at: string | null): boolean {
    return this.db.prepare('UPDATE batches SET deleted_at = ? WHERE id = ?').run(at, id).changes > 0;
  }
}
