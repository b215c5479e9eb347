import { type z } from 'zod';
import { keptTrialSchema, type NewTrial } from '#contract/plants';
import { type Db } from '#server/base/database/db';

interface Row {
  id: number;
  row_json: string;
}
export type TrialFields = z.output<typeof keptTrialSchema>;

const readTrial = ({ id, row_json }: Row): TrialFields & { id: number } => ({
  ...keptTrialSchema.parse(JSON.parse(row_json)),
  id,
});

/** Trials as they were laid out. */
export class TrialStore {
  private readonly everyTrial;
  private readonly trialById;
  private readonly trialKeyed;
  private readonly insertTrial;

  constructor(db: Db) {
    this.everyTrial = db.prepare<[], Row>('SELECT id, row_json FROM trials ORDER BY id DESC');
    this.trialById = db.prepare<[number], Row>('SELECT id, row_json FROM trials WHERE id = ?');
    this.trialKeyed = db.prepare<[string], Row>('SELECT id, row_json FROM trials WHERE key = ?');
    this.insertTrial = db.prepare('INSERT INTO trials (key, row_json, created_at) VALUES (?, ?, ?)');
  }

  all(): (TrialFields & { id: number })[] {
    return this.everyTrial.all().map(readTrial);
  }

  one(id: number): (TrialFields & { id: number }) | null {
    const row = this.trialById.get(id);
    return row ? readTrial(row) : null;
  }

  byKey(key: string): (TrialFields & { id: number }) | null {
    const row = this.trialKeyed.get(key);
    return row ? readTrial(row) : null;
  }

  add({ key, ...trial }: Omit<NewTrial, 'packet'>, now: string): number {
    return Number(this.insertTrial.run(key, JSON.stringify(trial), now).lastInsertRowid);
  }
}
