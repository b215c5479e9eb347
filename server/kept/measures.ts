import { type OwnMeasure } from '#core/batch/scoops';
import { type Db } from '#server/base/database/db';

const SELECT = 'SELECT id, name, litres, heaped_litres AS heapedLitres FROM measures';

/** The user's own measures. */
export class MeasureStore {
  private readonly here;
  private readonly keyed;
  private readonly insert;
  private readonly setAway;

  constructor(db: Db) {
    this.here = db.prepare<[], OwnMeasure>(`${SELECT} WHERE deleted_at IS NULL ORDER BY litres DESC, id`);
    this.keyed = db.prepare<[string], OwnMeasure>(`${SELECT} WHERE key = ?`);
    this.insert = db.prepare(
      `INSERT INTO measures (key, name, litres, heaped_litres, created_at)
       VALUES (@key, @name, @litres, @heapedLitres, @now)`,
    );
    this.setAway = db.prepare('UPDATE measures SET deleted_at = ? WHERE id = ?');
  }

  all(): OwnMeasure[] {
    return this.here.all();
  }

  byKey(key: string): OwnMeasure | null {
    return this.keyed.get(key) ?? null;
  }

  add(measure: Omit<OwnMeasure, 'id'> & { key: string }, now: string): OwnMeasure {
    this.insert.run({ ...measure, now });
    return this.byKey(measure.key)!;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }
}
