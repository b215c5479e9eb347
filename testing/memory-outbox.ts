import { type OutboxStore, type Waiting } from '../web/src/app/data/outbox-store';

/** Unsent entries of a device, kept in memory: shared by the tabs of a test. */
export class MemoryOutbox implements OutboxStore {
  readonly items = new Map<string, Waiting>();
  /** No more room. */
  full = false;

  all(): Promise<Waiting[]> {
    return Promise.resolve([...this.items.values()].sort((a, b) => a.at.localeCompare(b.at)));
  }

  put(item: Waiting): Promise<void> {
    if (this.full) return Promise.reject(new Error('QuotaExceededError'));
    this.items.set(item.key, item);
    return Promise.resolve();
  }

  remove(key: string): Promise<void> {
    this.items.delete(key);
    return Promise.resolve();
  }
}
