import { type Db } from '#server/base/database/db';

/** What was read of rows that never change, by their numbers; all is forgotten when it gets too much. */
export class ByRow<T> {
  private readonly known = new Map<number, T>();

  /** @param most so many are held at once */
  constructor(
    private readonly db: Db,
    private readonly most = 4000,
  ) {}

  get(id: number): T | undefined {
    return this.known.get(id);
  }

  /** What is known of a row, or what is read of it now. */
  of(id: number, read: (id: number) => T): T {
    return this.known.get(id) ?? this.keep(id, read(id));
  }

  /** What is not yet sure to stay is not remembered. */
  keep(id: number, it: T): T {
    if (this.db.inTransaction) return it;
    if (this.known.size >= this.most) this.known.clear();
    this.known.set(id, it);
    return it;
  }

  forget(id: number): void {
    this.known.delete(id);
  }
}
