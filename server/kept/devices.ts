import { createHash, randomBytes } from 'node:crypto';
import { type Device } from '#contract/devices';
import { type Db } from '#server/base/database/db';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
/** Seen again is written once in so long: not at every request. */
const SEEN_EVERY_MS = 60_000;

/** Devices that may come in, each with a token of its own that can be taken away. */
export class DeviceStore {
  private readonly every;
  private readonly byHash;
  private readonly insert;
  private readonly named;
  private readonly gone;
  private readonly seen;

  constructor(db: Db) {
    const columns = 'id, name, paired_at AS pairedAt, seen_at AS seenAt';
    this.every = db.prepare<[], Device>(`SELECT ${columns} FROM devices ORDER BY id`);
    this.byHash = db.prepare<[string], Device>(`SELECT ${columns} FROM devices WHERE token_hash = ?`);
    this.insert = db.prepare(
      'INSERT INTO devices (name, token_hash, paired_at, seen_at) VALUES (@name, @hash, @now, @now)',
    );
    this.named = db.prepare('UPDATE devices SET name = ? WHERE id = ?');
    this.gone = db.prepare('DELETE FROM devices WHERE id = ?');
    this.seen = db.prepare('UPDATE devices SET seen_at = ? WHERE id = ?');
  }

  all(): Device[] {
    return this.every.all();
  }

  /** @returns a token that is told once and kept nowhere */
  add(name: string, now: Date): string {
    const token = randomBytes(32).toString('base64url');
    this.insert.run({ name, hash: hashOf(token), now: now.toISOString() });
    return token;
  }

  /** Whose token it is; null for none, and for one that was taken away. */
  of(token: string, now: Date): Device | null {
    const device = this.byHash.get(hashOf(token)) ?? null;
    if (device && now.getTime() - Date.parse(device.seenAt) > SEEN_EVERY_MS)
      this.seen.run(now.toISOString(), device.id);
    return device;
  }

  rename(id: number, name: string): boolean {
    return this.named.run(name, id).changes > 0;
  }

  takeAway(id: number): boolean {
    return this.gone.run(id).changes > 0;
  }
}
