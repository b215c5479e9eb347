import { computed, inject, Injectable, signal } from '@angular/core';
import { type About } from '#contract/about';
import { type EntryData } from '#contract/record';
import { replaces, subjectOf } from '#contract/record-subject';
import { type PlantEvent } from '#core/plants/planting';
import { Delivery, refusalOf, type TakenByServer } from './delivery';
import { FolderHere } from './folder-here';
import { keptNames, readKept, writeKept } from './kept';
import { NurseryService } from './nursery';
import {
  type ForMaking,
  type ForPlanting,
  type ForRecord,
  type ForUndo,
  isForMaking,
  isForPlanting,
  isForRecord,
  isForUndo,
  OUTBOX_STORE,
  type Waiting,
} from './outbox-store';
import { uuid } from './uuid';

/** Where nobody answers it is tried again after so long; where the server asks for patience ever later. */
const RETRY_MS = 3000;
const LONGEST_RETRY_MS = 60_000;
/** After so many like answers one that the server breaks on is set aside. */
const MOST_BROKEN = 5;
const MOST_OWN = 50;
/** Name of an entry that is on its way into the browser's database. */
const JUST_ENTERED = 'outbox-now.';

/** Which batch, or planting, an entry is for. */
export interface ForThing {
  id: number;
  /** Client key. */
  key: string;
  /** What its person calls it. */
  name?: string;
}

type Made = Pick<ForMaking, 'make' | 'params' | 'body' | 'called' | 'about'>;

/**
 * What was entered on this device and is not yet acknowledged: one queue for all batches, plantings and tabs, kept until the
 * server has it or its person has decided. It is sent from whatever page is open.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly delivery = inject(Delivery);
  private readonly store = inject(OUTBOX_STORE);
  private readonly here = inject(FolderHere);
  private readonly box = signal<readonly Waiting[]>([]);
  private readonly unkept = signal(false);
  private readonly strange = signal(false);
  /** Told of all that the server has acknowledged. */
  private readonly listeners = new Set<(taken: TakenByServer) => void>();
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
  /** How often in a row the server asked for patience, and how long it wants. */
  private holds = 0;
  private waitMs = RETRY_MS;

  readonly items = this.box.asReadonly();
  readonly waiting = computed(() => this.box().filter((each) => this.willBeSent(each)).length);
  /** Those that their person has to decide on. */
  readonly undecided = computed(() => this.box().filter((waiting) => !this.willBeSent(waiting)));
  /** The server does not know this device any more: it is to be paired again; what was entered stays. */
  readonly unpaired = this.strange.asReadonly();
  /** The device has no room: what is entered is in this open page alone until it is sent. */
  readonly full = this.unkept.asReadonly();

  constructor() {
    // It tells which folder is open.
    inject(NurseryService);
    this.tabs?.addEventListener('message', () => void this.load());
    globalThis.addEventListener?.('online', () => void this.send());
    void this.load().then(() => this.takeOver());
  }

  /** @returns how to stop listening */
  acknowledged(listen: (taken: TakenByServer) => void): () => void {
    this.listeners.add(listen);
    return () => this.listeners.delete(listen);
  }

  /**
   * @param seen newest entry of the batch that the page shows
   * @param about what else it names, as lots
   */
  enter(batch: ForThing, data: EntryData, seen: number, about: readonly About[] = []): void {
    const own = this.box()
      .filter(isForRecord)
      .filter((forRecord) => forRecord.batch === batch.id)
      .filter((forRecord) => subjectOf(forRecord.data) === subjectOf(data) && replaces(data))
      .map((forRecord) => forRecord.key);
    this.add({
      ...this.written([{ kind: 'batch', ...batch }, ...about], batch.name),
      ...{ batch: batch.id, batchKey: batch.key, seen, own: own.slice(-MOST_OWN), data },
    });
  }

  /** @param about what else it names @returns its key */
  enterEvent({ id, key, name }: ForThing, event: PlantEvent, about: readonly About[] = []): string {
    const item: ForPlanting = {
      ...this.written([{ kind: 'planting', id, key }, ...about], name),
      ...{ planting: id, event },
    };
    this.add(item);
    return item.key;
  }

  /**
   * Takes back an event that this device entered, wherever it is by now: what never went out goes at once; what may be
   * with the server is taken back there, once that is known.
   * @param on day of the taking back
   */
  undoEvent(planting: ForThing, key: string, on: string): void {
    const item = this.box().find((waiting) => waiting.key === key);
    const isNowhere = item && this.underWay !== key && (!item.sent || item.state === 'refused');
    // What its person was asked about is answered by this.
    if (item && (isNowhere || item.state !== 'waiting')) this.drop(key);
    if (isNowhere) return;
    const undo: ForUndo = {
      ...this.written([{ kind: 'planting', ...planting }], planting.name),
      ...{ undo: key, ofPlanting: planting.id, on },
    };
    this.add(undo);
  }

  /** @param key under which the server may have it already */
  enterMaking(key: string, what: Made): void {
    this.add({ ...this.written(what.about ?? []), ...what, key, sent: true });
  }

  /** Whether the very same thing waits to be made. */
  waitsFor({ make, params, body }: Pick<Made, 'make' | 'params' | 'body'>): boolean {
    const same = JSON.stringify([make, params, body]);
    return this.box()
      .filter(isForMaking)
      .some(
        (forMaking) =>
          forMaking.state === 'waiting' &&
          JSON.stringify([forMaking.make, forMaking.params, forMaking.body]) === same,
      );
  }

  private written(
    about: readonly About[],
    called?: string,
  ): Pick<Waiting, 'key' | 'folder' | 'about' | 'at' | 'state' | 'called'> {
    const [at, folder] = [new Date().toISOString(), this.here.meant];
    const named = called === undefined ? {} : { called };
    return { key: uuid(), folder, about: about.map(onlyAbout), at, state: 'waiting', ...named };
  }

  private add(item: Waiting): void {
    this.box.update((all) => [...all, item]);
    void this.keep(item).then(() => this.send());
  }

  /** Enters it after all, over what the other device wrote: both stay in the record. */
  again(key: string, seen = 0): void {
    const item = this.box().find((waiting) => waiting.key === key);
    if (!item) return;
    const rest = { ...item };
    delete rest.theirs;
    delete rest.why;
    delete rest.broke;
    // A refused or clashed entry was never taken: under its key it still can be.
    this.change({
      ...(isForRecord(rest) ? { ...rest, seen: Math.max(seen, rest.seen) } : rest),
      state: 'waiting',
    });
  }

  /**
   * Enters in the nursery that is open what was written for another state of it.
   * @returns whether what it is about is there; it stays as it is where not
   * @throws ApiError where nobody answers
   */
  async enterHere(key: string): Promise<boolean> {
    const [item, folder] = [this.box().find((waiting) => waiting.key === key), this.here.id()];
    if (!item || folder === null) return false;
    const moved = await this.delivery.forHere(item, folder);
    if (!moved) return false;
    delete moved.why;
    this.change({ ...moved, state: 'waiting' });
    return true;
  }

  /** Enters an event under another day: the device's clock was ahead. */
  onDay(key: string, on: string): void {
    const item = this.box().find((waiting) => waiting.key === key);
    if (!item || !isForPlanting(item)) return;
    this.replace({ ...item, event: { ...item.event, on } });
    this.again(key);
  }

  /** Lets it go: theirs holds, or it was a slip. */
  drop(key: string): void {
    this.box.update((all) => all.filter((waiting) => waiting.key !== key));
    void this.forget(key);
  }

  /** The stream brought them: they are there. */
  arrived(keys: readonly string[]): void {
    const box = this.box();
    if (box.length === 0) return;
    const present = new Set(keys);
    for (const { key } of box) if (present.has(key)) this.drop(key);
  }

  /** Sends what waits, oldest first; tabs take turns. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    try {
      await this.inTurn(async () => {
        for (;;) {
          const next = this.next();
          if (!next || !(await this.sendOne(next))) return;
        }
      });
    } finally {
      this.sending = false;
    }
    if (this.waiting() > 0) this.timer = setTimeout(() => void this.send(), this.waitMs);
  }

  /** The oldest; what takes something back comes after it. */
  private next(): Waiting | undefined {
    const waiting = this.box().filter((each) => this.willBeSent(each));
    return waiting.find((each) => !isForUndo(each) || !waiting.some(({ key }) => key === each.undo));
  }

  /** @returns false when nobody answered, or not now: it is tried again later */
  private async sendOne(item: Waiting): Promise<boolean> {
    this.underWay = item.key;
    try {
      // Whatever comes of it, it may be there from now on.
      if (!item.sent) {
        item = { ...item, sent: true };
        this.replace(item);
        await this.keep(item);
      }
      const taken = await this.delivery.deliver(item);
      for (const listen of this.listeners) listen(taken);
      this.drop(item.key);
      this.answered();
      return true;
    } catch (error) {
      return this.refused(item, refusalOf(error));
    } finally {
      this.underWay = '';
    }
  }

  /** @returns whether the others go on */
  private refused(item: Waiting, refusal: ReturnType<typeof refusalOf>): boolean {
    if (refusal.kind === 'hold') {
      // Out of reach it may be back at any moment; one that asks for patience is asked ever later.
      this.holds = refusal.answered ? this.holds + 1 : 0;
      const later = Math.min(LONGEST_RETRY_MS, RETRY_MS * 2 ** Math.max(0, this.holds - 1));
      this.waitMs = Math.max(later, refusal.waitMs ?? 0);
      return false;
    }
    if (refusal.kind === 'unpaired') {
      this.strange.set(true);
      this.waitMs = LONGEST_RETRY_MS;
      return false;
    }
    this.answered();
    if (refusal.kind === 'broke') {
      const broke = (item.broke ?? 0) + 1;
      const isStuck = broke >= MOST_BROKEN;
      this.change({ ...item, broke, ...(isStuck && { state: 'stuck', why: refusal.why }) }, false);
      if (!isStuck) this.waitMs = Math.min(LONGEST_RETRY_MS, RETRY_MS * 2 ** (broke - 1));
      return isStuck;
    }
    const undo = this.box().find((waiting) => isForUndo(waiting) && waiting.undo === item.key);
    if (undo && refusal.state === 'refused') {
      // It was to be taken back anyway.
      this.drop(item.key);
      this.drop(undo.key);
      return true;
    }
    const { state, why, theirs } = refusal;
    this.change({ ...item, state, why, ...(state === 'conflict' && { theirs: theirs as EntryData }) }, false);
    return true;
  }

  private answered(): void {
    this.holds = 0;
    this.waitMs = RETRY_MS;
    this.strange.set(false);
  }

  private willBeSent(item: Waiting): boolean {
    return item.state === 'waiting' && this.isHere(item);
  }

  /** What was written for another state of the nursery waits for its person; the server looks at it once more. */
  isHere({ folder }: Waiting): boolean {
    const here = this.here.id();
    return folder === '' || here === null || folder === here;
  }

  private replace(item: Waiting): void {
    this.box.update((all) => all.map((waiting) => (waiting.key === item.key ? item : waiting)));
  }

  private change(item: Waiting, thenSend = true): void {
    this.replace(item);
    void this.keep(item).then(() => {
      if (thenSend) void this.send();
    });
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
        const newer = all.filter((waiting) => this.coming.has(waiting.key));
        const settled = kept.filter(
          (waiting) => !this.going.has(waiting.key) && !this.coming.has(waiting.key),
        );
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
      if (!item?.key || this.box().some((waiting) => waiting.key === item.key)) continue;
      this.box.update((all) => [...all, item]);
      await this.keep(item);
    }
    for (const name of keptNames(/^outbox\.\d+$/)) {
      const items = readKept(name) as { key: string; seen: number; data: EntryData }[] | undefined;
      const batch = Number(name.slice('outbox.'.length));
      for (const { key, seen, data } of Array.isArray(items) ? items : []) {
        const item: ForRecord = {
          ...{ ...this.written([]), key, folder: '' },
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

const onlyAbout = ({ kind, id, key }: About): About => ({ kind, id, key });
