import { type OwnMeasure } from '#core/batch/scoops';
import { type Db } from '#server/database/open';

const SELECT = 'SELECT id, name, litres, heaped_litres AS heapedLitres FROM measures';

/** The user's own measures. */
export class Measures {
  constructor(private readonly db: Db) {}

  all(): OwnMeasure[] {
    return this.db
      .prepare<[], OwnMeasure>(`${SELECT} WHERE deleted_at IS NULL ORDER BY litres DESC, id`)
      .all();
  }

  add(measure: Omit<OwnMeasure, 'id'>, now: string): OwnMeasure {
    const { lastInsertRowid } = this.db
      .prepare(
        `INSERT INTO measures (name, litres, heaped_litres, created_at)
         VALUES (@name, @litres, @heapedLitres, @now)`,
      )
      .run({ ...measure, now });
    return { id: Number(lastInsertRowid), ...measure };
  }

  /** Puts one away (a date) or brings it back (null). @returns whether there is such a measure */
  putAway(id: number, at: string | null): boolean {
    return this.db.prepare('UPDATE measures SET deleted_at = ? WHERE id = ?').run(at, id).changes > 0;
  }
}
