import { computed, inject, Injectable, signal } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { type KeptPlantEvent } from '#contract/plants';
import { type Entry, type EntryData } from '#contract/record';
import { replaces, subjectOf } from '#contract/record-subject';
import { type PlantEvent } from '#core/plants/planting';
import { Api, ApiError, type Given } from './api';
import { keptNames, readKept, writeKept } from './kept';
import { NurseryService } from './nursery';
import {
  type ForMaking,
  type ForPlanting,
  type ForRecord,
  isForMaking,
  isForPlanting,
  isForRecord,
  OUTBOX_STORE,
  type Waiting,
} from './outbox-store';
import { uuid } from './uuid';

const RETRY_MS = 3000;
const MOST_OWN = 50;
/** Name of an entry that is on its way into the browser's database. */
const JUST_ENTERED = 'outbox-now.';

/** Which batch an entry is for. */
export interface ForBatch {
  id: number;
  key: string;
}

type Made = Omit<ForMaking, keyof Waiting>;
/** What the server has taken. */
export type Taken =
  | { entry: Entry }
  | { key: string; planting: number; event: KeptPlantEvent }
  | { make: ForMaking['make']; body: object; made: object };

/**
 * What was entered on this device and is not yet acknowledged: one queue for all batches, plantings and tabs, kept until the
 * server has it or its person has decided. It is sent from whatever page is open.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly api = inject(Api);
  private readonly store = inject(OUTBOX_STORE);
  private readonly nursery = inject(NurseryService);
  private readonly box = signal<readonly Waiting[]>([]);
  private readonly unkept = signal(false);
  /** Told of all that the server has acknowledged. */
  private readonly listeners = new Set<(taken: Taken) => void>();
  private readonly tabs =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('welcome.outbox');
  /** Being written to the device, or taken from it, at this moment. */
  private readonly coming = new Set<string>();
  private readonly going = new Set<string>();
  /** How often this page has changed what is kept: what was read before a change is out of date. */
  private changes = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private sending = false;
  private underWay = '';

  readonly items = this.box.asReadonly();
  readonly waiting = computed(() => this.box().filter((one) => one.state === 'waiting').length);
  /** Those that their person has to decide on. */
  readonly undecided = computed(() => this.box().filter((one) => one.state !== 'waiting'));
  /** The device has no room: what is entered is in this open page alone until it is sent. */
  readonly full = this.unkept.asReadonly();

  constructor() {
    this.tabs?.addEventListener('message', () => void this.load());
    globalThis.addEventListener?.('online', () => void this.send());
    void this.load().then(() => this.takeOver());
  }

  /** @returns how to stop listening */
  acknowledged(listen: (taken: Taken) => void): () => void {
    this.listeners.add(listen);
    return () => this.listeners.delete(listen);
  }

  /** @param seen newest entry of the batch that the page shows */
  enter(batch: ForBatch, data: EntryData, seen: number): void {
    const own = this.box()
      .filter(isForRecord)
      .filter((one) => one.batch === batch.id)
      .filter((one) => subjectOf(one.data) === subjectOf(data) && replaces(data))
      .map((one) => one.key);
    this.add({
      ...this.written(),
      ...{ batch: batch.id, batchKey: batch.key, seen, own: own.slice(-MOST_OWN), data },
    });
  }

  /** @returns its key */
  enterEvent(planting: number, event: PlantEvent): string {
    const item: ForPlanting = { ...this.written(), planting, event };
    this.add(item);
    return item.key;
  }

  /** @param key under which the server may have it already */
  enterMaking(key: string, what: Made): void {
    this.add({ ...this.written(), ...what, key });
  }

  /** Whether the very same thing waits to be made. */
  waitsFor({ make, params, body }: Omit<Made, 'called'>): boolean {
    const same = JSON.stringify([make, params, body]);
    return this.box()
      .filter(isForMaking)
      .some((one) => one.state === 'waiting' && JSON.stringify([one.make, one.params, one.body]) === same);
  }

  private written(): Pick<Waiting, 'key' | 'folder' | 'at' | 'state'> {
    const folder = this.nursery.it.value()?.id ?? '';
    return { key: uuid(), folder, at: new Date().toISOString(), state: 'waiting' };
  }

  private add(item: Waiting): void {
    this.box.update((all) => [...all, item]);
    void this.keep(item).then(() => this.send());
  }

  /** Enters it after all, over what the other device wrote: both stay in the record. */
  again(key: string, seen = 0): void {
    const item = this.box().find((one) => one.key === key);
    if (!item) return;
    const rest = { ...item };
    delete rest.theirs;
    delete rest.why;
    // A refused or clashed entry was never taken: under its key it still can be.
    this.change({
      ...(isForRecord(rest) ? { ...rest, seen: Math.max(seen, rest.seen) } : rest),
      state: 'waiting',
    });
  }

  /** Lets it go: theirs holds, or it was a slip. */
  drop(key: string): void {
    this.box.update((all) => all.filter((one) => one.key !== key));
    void this.forget(key);
  }

  /** Lets it go, unless it is on its way or there. @returns whether it is gone */
  withdraw(key: string): boolean {
    if (this.underWay === key || !this.box().some((one) => one.key === key)) return false;
    this.drop(key);
    return true;
  }

  /** The stream brought them: they are there. */
  arrived(keys: readonly string[]): void {
    const box = this.box();
    if (box.length === 0) return;
    const there = new Set(keys);
    for (const { key } of box) if (there.has(key)) this.drop(key);
  }

  /** Sends what waits, oldest first; tabs take turns. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    try {
      await this.inTurn(async () => {
        for (;;) {
          const next = this.box().find((one) => one.state === 'waiting' && this.isHere(one));
          if (!next || !(await this.sendOne(next))) return;
        }
      });
    } finally {
      this.sending = false;
    }
    if (this.waiting() > 0) this.timer = setTimeout(() => void this.send(), RETRY_MS);
  }

  /** @returns false when nobody answered: it is tried again later */
  private async sendOne(item: Waiting): Promise<boolean> {
    this.underWay = item.key;
    try {
      const taken = await this.deliver(item);
      for (const listen of this.listeners) listen(taken);
      this.drop(item.key);
      return true;
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0;
      if (!(error instanceof ApiError) || status === 0 || status >= 500) return false;
      this.change(
        status === 409
          ? { ...item, state: 'conflict', theirs: error.issues[0]?.value as EntryData }
          : { ...item, state: 'refused', why: error.message },
      );
      return true;
    } finally {
      this.underWay = '';
    }
  }

  private async deliver(item: Waiting): Promise<Taken> {
    if (isForPlanting(item)) {
      const { key, planting, event } = item;
      const body = { key, event };
      const made = await firstValueFrom(this.api.call('addPlantEvent', { params: { id: planting }, body }));
      return { key, planting, event: made };
    }
    if (isForMaking(item)) {
      const { key, make, params, body } = item;
      // Kept as it was sent: the server checks it again.
      const given = { params, body: { key, ...body } } as unknown as Given<ForMaking['make']>;
      return { make, body, made: await firstValueFrom(this.api.call(make, given)) };
    }
    const { key, seen, own, data, batch, batchKey } = item;
    const body = { key, seen, own, data, ...(batchKey && { batchKey }) };
    return { entry: await firstValueFrom(this.api.call('addEntry', { params: { id: batch }, body })) };
  }

  /** What was written for another data folder waits until that one is back. */
  isHere({ folder }: Waiting): boolean {
    const here = this.nursery.it.value()?.id;
    return folder === '' || here === undefined || folder === here;
  }

  private change(item: Waiting): void {
    this.box.update((all) => all.map((one) => (one.key === item.key ? item : one)));
    void this.keep(item).then(() => this.send());
  }

  private async keep(item: Waiting): Promise<void> {
    this.changes++;
    this.coming.add(item.key);
    // The browser's database takes its time: a page that is closed in that moment has the entry noted at once.
    const noted = writeKept(JUST_ENTERED + item.key, item);
    try {
      await this.store.put(item);
      writeKept(JUST_ENTERED + item.key, undefined);
      this.unkept.set(false);
      this.coming.delete(item.key);
      this.tabs?.postMessage('changed');
    } catch {
      // Unless it is noted, it is among those that only this page has.
      if (!noted) this.unkept.set(true);
    }
  }

  private async forget(key: string): Promise<void> {
    this.changes++;
    this.going.add(key);
    this.coming.delete(key);
    writeKept(JUST_ENTERED + key, undefined);
    try {
      await this.store.remove(key);
      this.going.delete(key);
      if (this.coming.size === 0) this.unkept.set(false);
      this.tabs?.postMessage('changed');
    } catch {
      // It will be sent once more; its key makes that harmless.
    }
  }

  /** What all tabs of this device have kept. */
  private async load(): Promise<void> {
    try {
      let [read, kept] = [this.changes, await this.store.all()];
      // What was let go meanwhile must not come back with what was read before.
      while (read !== this.changes) [read, kept] = [this.changes, await this.store.all()];
      this.box.update((all) => {
        // What this page is just writing, or could not write, is newer than what is kept.
        const newer = all.filter((one) => this.coming.has(one.key));
        const settled = kept.filter((one) => !this.going.has(one.key) && !this.coming.has(one.key));
        return [...settled, ...newer];
      });
    } catch {
      return;
    }
    void this.send();
  }

  /** Entries that a closed page had only noted, and those that an earlier version kept by batch number. */
  private async takeOver(): Promise<void> {
    for (const name of keptNames(/^outbox-now\./)) {
      const item = readKept(name) as Waiting | undefined;
      if (!item?.key || this.box().some((one) => one.key === item.key)) continue;
      this.box.update((all) => [...all, item]);
      await this.keep(item);
    }
    for (const name of keptNames(/^outbox\.\d+$/)) {
      const items = readKept(name) as { key: string; seen: number; data: EntryData }[] | undefined;
      const batch = Number(name.slice('outbox.'.length));
      for (const { key, seen, data } of Array.isArray(items) ? items : []) {
        const item: ForRecord = {
          ...{ ...this.written(), key, folder: '' },
          ...{ batch, batchKey: '', seen, own: [], data },
        };
        this.box.update((all) => [...all, item]);
        await this.keep(item);
      }
      if (!this.unkept()) writeKept(name, undefined);
    }
    void this.send();
  }

  private async inTurn(work: () => Promise<void>): Promise<void> {
    const locks = (globalThis.navigator as Navigator | undefined)?.locks;
    // Without locks two tabs may send the same entry: the server takes it once.
    if (locks) await locks.request('welcome.outbox', work);
    else await work();
  }
}
