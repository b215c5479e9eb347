import { inject, Injectable } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { type About, type AboutKind } from '#contract/about';
import { type KeptPlantEvent } from '#contract/plants';
import { type Entry } from '#contract/record';
import { ApiClient, ApiError, type Given } from './api';
import {
  type ForMaking,
  type ForUndo,
  isForMaking,
  isForPlanting,
  isForUndo,
  type Waiting,
} from './outbox-store';
import { readdressed } from './readdressed';

/** What the server has taken. */
export type TakenByServer =
  | { entry: Entry }
  | { key: string; planting: number; event: KeptPlantEvent }
  | { make: ForMaking['make']; body: object; made: object }
  /** What was to be taken back never came about. */
  | { nothing: true };

/** What an answer that is none means for an entry. */
export type RefusedByServer =
  /** Nobody answers, or not now: all wait. */
  | { kind: 'hold'; answered: boolean; waitMs: number | null }
  /** This device is not known any more: all wait until it is paired again. */
  | { kind: 'unpaired' }
  /** The server broke on this very one. */
  | { kind: 'broke'; why: string }
  /** It will be the same tomorrow: its person decides. */
  | { kind: 'decide'; state: 'conflict' | 'refused' | 'elsewhere'; why: string; theirs?: unknown };

/** Answers that are not about this entry, but about the server at this moment. */
const NOT_NOW = new Set([0, 408, 425, 429, 502, 503, 504, 507]);

export function refusalOf(error: unknown): RefusedByServer {
  if (!(error instanceof ApiError)) return { kind: 'hold', answered: false, waitMs: null };
  const { status, message: why, waitMs } = error;
  if (NOT_NOW.has(status)) return { kind: 'hold', answered: status !== 0, waitMs };
  if (status === 401) return { kind: 'unpaired' };
  if (status >= 500) return { kind: 'broke', why };
  if (status === 409) return { kind: 'decide', state: 'conflict', why, theirs: error.issues[0]?.value };
  return { kind: 'decide', state: status === 412 ? 'elsewhere' : 'refused', why };
}

/** Takes entries of this device to the server, each with the folder that it is for and what in it. */
@Injectable({ providedIn: 'root' })
export class Delivery {
  private readonly api = inject(ApiClient);

  /** @throws ApiError, to be read by `refusalOf` */
  async deliver(item: Waiting): Promise<TakenByServer> {
    const meant = { folder: item.folder, ...(item.about && { about: item.about }) };
    if (isForUndo(item)) return this.takeBack(item, meant);
    if (isForPlanting(item)) {
      const { key, planting, event, at } = item;
      const body = { key, event, madeAt: at, sentAt: new Date().toISOString() };
      const given = { params: { id: planting }, body, meant };
      return { key, planting, event: await firstValueFrom(this.api.call('addPlantEvent', given)) };
    }
    if (isForMaking(item)) {
      const { key, make, params, body } = item;
      // Kept as it was sent: the server checks it again.
      const given = { params, body: { key, ...body }, meant } as unknown as Given<ForMaking['make']>;
      return { make, body, made: await firstValueFrom(this.api.call(make, given)) };
    }
    const { key, seen, own, data, batch, batchKey } = item;
    const body = { key, seen, own, data, ...(batchKey && { batchKey }) };
    const given = { params: { id: batch }, body, meant };
    return { entry: await firstValueFrom(this.api.call('addEntry', given)) };
  }

  private async takeBack(
    { key, undo, on, at }: ForUndo,
    meant: Given<'addPlantEvent'>['meant'],
  ): Promise<TakenByServer> {
    const found = await this.where('event', undo);
    if (found?.planting === undefined) return { nothing: true };
    const event = { kind: 'undo' as const, on, of: found.id };
    const body = { key, event, madeAt: at, sentAt: new Date().toISOString() };
    const given = { params: { id: found.planting }, body, meant };
    return {
      key,
      planting: found.planting,
      event: await firstValueFrom(this.api.call('addPlantEvent', given)),
    };
  }

  /**
   * The entry as it is for the nursery that is open: what it is about is looked for by its client keys.
   * @returns null where something of it is not there, or the entry does not say what it is about
   */
  async forHere(item: Waiting, folder: string): Promise<Waiting | null> {
    const here = new Map<string, About>();
    for (const about of item.about ?? []) {
      const found = await this.where(about.kind, about.key);
      if (!found) return null;
      here.set(`${about.kind} ${about.id}`, { ...about, id: found.id });
    }
    return readdressed({ ...item, folder }, (kind, id) => here.get(`${kind} ${id}`)?.id);
  }

  private async where(kind: AboutKind, key: string): Promise<{ id: number; planting?: number } | null> {
    try {
      const { id, planting } = await firstValueFrom(this.api.call('where', { params: { kind, key } }));
      return { id, ...(planting !== undefined && { planting }) };
    } catch (error) {
      if (error instanceof ApiError && error.status === 404) return null;
      throw error;
    }
  }
}
