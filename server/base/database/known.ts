import { type Db } from '#server/base/database/db';

interface Held<V> {
  stands: readonly unknown[];
  value: V;
}

/**
 * What was read or reckoned, by its key, as long as all that it stands on is the same: the one cache of the server. What
 * never changes stands on nothing. All is forgotten when it gets too much.
 * @example const lines = new Known<number, Line>({ db }); lines.of(planting.id, [events, crop], () => lineOf(planting));
 */
export class Known<K, V> {
  private readonly held = new Map<K, Held<V>>();
  private readonly db: Db | undefined;
  private readonly most: number;

  /**
   * @param limits.db while it is in a transaction nothing is remembered: what is not yet sure to stay may be gone
   * @param limits.most so many are held at once, 4000 where nothing is said
   */
  constructor({ db, most = 4000 }: { db?: Db; most?: number } = {}) {
    this.db = db;
    this.most = most;
  }

  /** What is known of a key; undefined where nothing is, or where something that it stood on is another now. */
  get(key: K, stands: readonly unknown[] = []): V | undefined {
    return this.heldOf(key, stands)?.value;
  }

  /** What is known of a key, or what is made of it now. */
  of(key: K, stands: readonly unknown[], make: () => V): V {
    const held = this.heldOf(key, stands);
    return held ? held.value : this.keep(key, stands, make());
  }

  keep(key: K, stands: readonly unknown[], value: V): V {
    if (this.db?.inTransaction) return value;
    if (this.held.size >= this.most && !this.held.has(key)) this.held.clear();
    this.held.set(key, { stands, value });
    return value;
  }

  forget(key: K): void {
    this.held.delete(key);
  }

  private heldOf(key: K, stands: readonly unknown[]): Held<V> | undefined {
    const held = this.held.get(key);
    return held?.stands.every((stand, i) => Object.is(stand, stands[i])) ? held : undefined;
  }
}
