import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { replaces, subjectOf } from '#contract/record-subject';
import { addressOf } from '#contract/routes';
import { type Entry, type EntryData } from '#contract/record';
import { uuid } from './uuid';
import { Api, ApiError } from './api';

/** Written here, not yet acknowledged by the server. */
interface Waiting {
  key: string;
  seen: number;
  data: EntryData;
}

export interface Conflict {
  mine: EntryData;
  theirs: EntryData;
}

const RETRY_MS = 3000;
const boxKey = (batch: number): string => `welcome.outbox.${batch}`;

/**
 * The record of one batch, live. What is entered goes into an outbox on this device first and is sent until the
 * server has it: a reload, a flat battery or a lost network loses nothing. Provided per page.
 */
@Injectable()
export class BatchRecord {
  private readonly api = inject(Api);
  private readonly known = signal<readonly Entry[]>([]);
  private readonly outbox = signal<readonly Waiting[]>([]);
  private readonly clash = signal<Conflict | null>(null);
  private readonly refused = signal('');
  private readonly open = signal(false);
  private batch = 0;
  private source: EventSource | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private sending = false;

  readonly entries = this.known.asReadonly();
  readonly waiting = computed(() => this.outbox().length);
  readonly conflict = this.clash.asReadonly();
  readonly problem = this.refused.asReadonly();
  readonly connected = this.open.asReadonly();
  /** What holds: the last word on each subject, this device's unsent words included. */
  readonly holds = computed(() => {
    const last = new Map<string, Entry['data']>();
    for (const entry of this.known()) if (replaces(entry.data)) last.set(entry.subject, entry.data);
    for (const { data } of this.outbox()) if (replaces(data)) last.set(subjectOf(data), data);
    return last;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.close());
  }

  follow(batch: number): void {
    this.close();
    this.batch = batch;
    this.known.set([]);
    this.outbox.set(readBox(batch));
    const source = new EventSource(addressOf('batchStream', { id: batch }));
    source.addEventListener('open', () => {
      this.open.set(true);
      this.send();
    });
    source.addEventListener('error', () => this.open.set(false));
    source.addEventListener('entry', ({ data }: MessageEvent<string>) =>
      this.take(JSON.parse(data) as Entry),
    );
    this.source = source;
    this.send();
  }

  enter(data: EntryData): void {
    const seen = this.known().at(-1)?.id ?? 0;
    this.refused.set('');
    this.setBox([...this.outbox(), { key: uuid(), seen, data }]);
    this.send();
  }

  /** Enters what was refused because another device wrote meanwhile; both stay in the record. */
  keepMine(): void {
    const clash = this.clash();
    this.clash.set(null);
    if (clash) this.enter(clash.mine);
  }

  keepTheirs(): void {
    this.clash.set(null);
  }

  private take(entry: Entry): void {
    if (this.known().some((one) => one.id === entry.id)) return;
    this.known.update((all) => [...all, entry].sort((a, b) => a.id - b.id));
    this.setBox(this.outbox().filter((one) => one.key !== entry.key));
  }

  /** One after the other, so that the order stays. */
  private send(): void {
    const next = this.outbox()[0];
    if (!next || this.sending) return;
    clearTimeout(this.timer);
    this.sending = true;
    this.api.call('addEntry', { params: { id: this.batch }, body: next }).subscribe({
      next: (entry) => {
        this.sending = false;
        this.take(entry);
        this.send();
      },
      error: (error: unknown) => {
        this.sending = false;
        const status = error instanceof ApiError ? error.status : 0;
        if (status === 0 || status >= 500) {
          this.timer = setTimeout(() => this.send(), RETRY_MS);
          return;
        }
        this.setBox(this.outbox().filter((one) => one.key !== next.key));
        if (status === 409 && error instanceof ApiError)
          this.clash.set({ mine: next.data, theirs: error.issues[0]?.value as EntryData });
        else this.refused.set(error instanceof Error ? error.message : 'not kept');
        this.send();
      },
    });
  }

  private setBox(box: readonly Waiting[]): void {
    this.outbox.set(box);
    try {
      if (box.length > 0) localStorage.setItem(boxKey(this.batch), JSON.stringify(box));
      else localStorage.removeItem(boxKey(this.batch));
    } catch {
      // A browser that keeps nothing still sends.
    }
  }

  private close(): void {
    clearTimeout(this.timer);
    this.source?.close();
    this.source = null;
  }
}

function readBox(batch: number): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(boxKey(batch)) ?? '[]') as Waiting[];
  } catch {
    return [];
  }
}

export type { Entry };
