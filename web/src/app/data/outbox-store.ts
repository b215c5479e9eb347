import { InjectionToken } from '@angular/core';
import { type IDBPDatabase, openDB } from 'idb';
import { type About } from '#contract/about';
import { type EntryData } from '#contract/record';
import { type PlantEvent } from '#core/plants/planting';

interface Written {
  /** Client key of the entry. */
  key: string;
  /** Identity of the data folder that it is for; empty for one of an earlier version that did not say. */
  folder: string;
  /** What in that folder it is about; none in those of an earlier version. */
  about?: readonly About[] | undefined;
  /** When it was written, ISO. */
  at: string;
  /**
   * Not sent yet; or its person has to decide: another wrote something else, the server would not take it, it is for
   * another state of the nursery, or the server broke on it time and again.
   */
  state: 'waiting' | 'conflict' | 'refused' | 'elsewhere' | 'stuck';
  /** What its person calls what it is for. */
  called?: string;
  /** It may be with the server: it went out at least once. */
  sent?: true;
  /** How often the server broke on it. */
  broke?: number;
  theirs?: EntryData;
  why?: string;
}

/** For the record of a batch. */
export interface ForRecord extends Written {
  /** The batch by number, and by its client key where it is known. */
  batch: number;
  batchKey: string;
  /** Newest entry of the batch that this device had seen, and its own entries on the subject by then. */
  seen: number;
  own: string[];
  data: EntryData;
}

/** For the record of a planting. Events are added side by side: none clashes with another's. */
export interface ForPlanting extends Written {
  planting: number;
  event: PlantEvent;
}

/** Takes back what this device entered for a planting, by the key of that entry: wherever it is by then. */
export interface ForUndo extends Written {
  undo: string;
  ofPlanting: number;
  /** Day of the taking back. */
  on: string;
}

/** What can be made out of reach: it is kept here and made once the nursery answers. */
export const laterNames = ['addPlanting', 'addPicture', 'keepMix', 'keepMixVersion', 'keepBatch'] as const;
export type LaterName = (typeof laterNames)[number];

/** Something that is made whole: a planting, a batch, a version of a recipe. */
export interface ForMaking extends Written {
  make: LaterName;
  params: Readonly<Record<string, string | number>> | undefined;
  /** Without its key. */
  body: object;
  /** What its person calls it. */
  called: string;
}

/** An entry that was written on this device and is not acknowledged by the server. */
export type Waiting = ForRecord | ForPlanting | ForUndo | ForMaking;

export const isForPlanting = (item: Waiting): item is ForPlanting => 'planting' in item;
export const isForUndo = (item: Waiting): item is ForUndo => 'undo' in item;
export const isForMaking = (item: Waiting): item is ForMaking => 'make' in item;
export const isForRecord = (item: Waiting): item is ForRecord => 'batch' in item;

/** Where unsent entries are kept. Every entry by itself: two tabs never overwrite each other's. */
export interface OutboxStore {
  all(): Promise<Waiting[]>;
  put(item: Waiting): Promise<void>;
  remove(key: string): Promise<void>;
}

const STORE = 'entries';

/** In the browser's own database, for all tabs of this device. */
export class IndexedStore implements OutboxStore {
  private opened: Promise<IDBPDatabase> | null = null;

  async all(): Promise<Waiting[]> {
    const found = (await (await this.open()).getAll(STORE)) as Waiting[];
    return found.sort((a, b) => a.at.localeCompare(b.at));
  }

  async put(item: Waiting): Promise<void> {
    await (await this.open()).put(STORE, item);
  }

  async remove(key: string): Promise<void> {
    await (await this.open()).delete(STORE, key);
  }

  private open(): Promise<IDBPDatabase> {
    this.opened ??= openDB('welcome', 1, {
      upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'key' }),
    });
    // One that could not be opened may be tried again.
    this.opened.catch(() => (this.opened = null));
    return this.opened;
  }
}

export const OUTBOX_STORE = new InjectionToken<OutboxStore>('where unsent entries are kept', {
  providedIn: 'root',
  factory: () => new IndexedStore(),
});
