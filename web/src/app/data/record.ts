import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type About } from '#contract/about';
import { addressOf } from '#contract/routes';
import { replaces, subjectOf } from '#contract/record-subject';
import { type Entry, type EntryData } from '#contract/record';
import { type ForThing, Outbox } from './outbox';
import { keepEntries, keptEntries } from './kept-entries';
import { isForRecord } from './outbox-store';
import { followStream } from './shared-stream';

const KEEP_AFTER_MS = 500;
/** Numbers of entries that the server has not numbered yet: after all that it has. */
export const FIRST_UNSENT = 1e15;

/**
 * The record of one batch, live. What is entered goes through the outbox of the device: a reload, a flat battery or a
 * lost network loses nothing. Provided per page.
 */
@Injectable()
export class BatchRecord {
  private readonly outbox = inject(Outbox);
  /** By id; told by `arrivals`, so that thousands at once are put in order once. */
  private readonly byId = new Map<number, Entry>();
  private readonly arrivals = signal(0);
  private readonly inOrder = computed((): readonly Entry[] => {
    this.arrivals();
    return [...this.byId.values()].sort((a, b) => a.id - b.id);
  });
  private readonly open = signal(false);
  private readonly batch = signal<ForThing | null>(null);
  private leave: (() => void) | null = null;
  private keeping: ReturnType<typeof setTimeout> | undefined;

  readonly entries = this.inOrder;
  private readonly mine = computed(() => {
    const batch = this.batch();
    const present = new Set(this.inOrder().map((entry) => entry.key));
    return (
      this.outbox
        .items()
        .filter(isForRecord)
        // A number alone may mean another batch in a folder that was put back.
        .filter((item) => (item.batchKey ? item.batchKey === batch?.key : item.batch === batch?.id))
        .filter((item) => !present.has(item.key))
    );
  });
  readonly waiting = computed(() => this.mine().filter((forRecord) => forRecord.state === 'waiting').length);
  /** Entries of this device that another device's word stands against, each to be decided on. */
  readonly conflicts = computed(() => this.mine().filter((forRecord) => forRecord.state === 'conflict'));
  /** Entries that the server would not take. */
  readonly refused = computed(() => this.mine().filter((forRecord) => forRecord.state === 'refused'));
  /** What this device entered and the server has not: told as entries that come after all it has. */
  readonly unsent = computed(() =>
    this.mine()
      .filter((forRecord) => forRecord.state === 'waiting')
      .map(({ data, at }, i) => ({ id: FIRST_UNSENT + i, data, at })),
  );
  readonly connected = this.open.asReadonly();
  /** What holds: the last word on each subject, this device's unsent words included. */
  readonly holds = computed(() => {
    const last = new Map<string, Entry['data']>();
    for (const entry of this.inOrder()) if (replaces(entry.data)) last.set(entry.subject, entry.data);
    for (const { data, state } of this.mine())
      if (replaces(data) && state === 'waiting') last.set(subjectOf(data), data);
    return last;
  });

  constructor() {
    const deaf = this.outbox.acknowledged((taken) => {
      if ('entry' in taken && taken.entry.batchId === this.batch()?.id) this.take(taken.entry);
    });
    inject(DestroyRef).onDestroy(() => {
      deaf();
      this.close();
    });
  }

  follow(batch: ForThing): void {
    this.close();
    this.batch.set(batch);
    this.byId.clear();
    this.arrivals.update((n) => n + 1);
    // What this device saw last, in case there is no network.
    void keptEntries(batch.key).then((entries) => {
      if (this.batch() === batch && this.byId.size === 0) this.take(...entries);
    });
    this.leave = followStream(addressOf('batchStream', { id: batch.id }), 'all', {
      open: (is) => {
        this.open.set(is);
        if (is) void this.outbox.send();
      },
      events: {
        entries: (data) => this.take(...(JSON.parse(data) as Entry[])),
        entry: (data) => this.take(JSON.parse(data) as Entry),
      },
    });
  }

  /** @param about lots that it names */
  enter(data: EntryData, about: readonly About[] = []): void {
    const batch = this.batch();
    if (batch) this.outbox.enter(batch, data, this.seen(), about);
  }

  /** Enters what clashed or was refused once more; what the other wrote stays in the record. */
  keepMine(key: string): void {
    this.outbox.again(key, this.seen());
  }

  leaveIt(key: string): void {
    this.outbox.drop(key);
  }

  private seen(): number {
    return this.inOrder().at(-1)?.id ?? 0;
  }

  private take(...entries: Entry[]): void {
    const fresh = entries.filter((entry) => !this.byId.has(entry.id));
    this.outbox.arrived(entries.map((entry) => entry.key));
    for (const entry of fresh) this.byId.set(entry.id, entry);
    if (fresh.length === 0) return;
    this.arrivals.update((n) => n + 1);
    clearTimeout(this.keeping);
    const batch = this.batch();
    this.keeping = setTimeout(() => void keepEntries(batch?.key ?? '', this.inOrder()), KEEP_AFTER_MS);
  }

  private close(): void {
    this.leave?.();
    this.leave = null;
  }
}

export type { Entry };
