import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type KeptPlantEvent } from '#contract/plants';
import { type KeptEvent, type PlantEvent } from '#core/plants/planting';
import { Outbox } from './outbox';
import { type ForPlanting, isForPlanting } from './outbox-store';

/** Numbers of events that the server has not numbered yet: after all that it has. */
const FIRST_UNSENT = 1e15;
/** What this device entered, until the page has it from the server. */
export type OwnEvent = KeptEvent & { planting: number; key: string; sent: boolean };

/**
 * What this device enters for plantings: through its outbox, so that a reload, a flat battery or a lost network loses
 * nothing. Provided per page.
 */
@Injectable()
export class PlantRecord {
  private readonly outbox = inject(Outbox);
  private readonly taken = signal<readonly { key: string; planting: number; made: KeptPlantEvent }[]>([]);
  /** Taken back while they were under way. */
  private readonly unwanted = new Map<string, string>();
  private told: (() => void) | null = null;

  /** Entries of this page that the server has taken, and what is still under way; oldest first. */
  readonly own = computed((): readonly OwnEvent[] => {
    const taken = this.taken();
    const keys = new Set(taken.map(({ key }) => key));
    return [
      ...taken.map(({ key, planting, made }) => ({ ...made.event, id: made.id, planting, key, sent: true })),
      ...this.items('waiting')
        .filter(({ key }) => !keys.has(key))
        .map(({ key, planting, event }, i) => ({
          ...{ ...event, id: FIRST_UNSENT + i },
          ...{ planting, key, sent: false },
        })),
    ];
  });
  /** Those that the server would not take: their person decides. */
  readonly refused = computed(() => this.items('refused'));

  constructor() {
    const deaf = this.outbox.acknowledged((taken) => {
      if (!('planting' in taken)) return;
      const { key, planting, event: made } = taken;
      this.taken.update((all) => [...all, { key, planting, made }]);
      const on = this.unwanted.get(key);
      if (on !== undefined) this.undo(planting, made.id, on);
      this.told?.();
    });
    inject(DestroyRef).onDestroy(deaf);
  }

  /** @param told of each entry that the server has taken */
  follow(told: () => void): void {
    this.told = told;
  }

  /** What is known of a planting: what the server told, and what this device entered since. */
  of(planting: number, known: readonly KeptPlantEvent[]): KeptEvent[] {
    const there = new Set(known.map(({ id }) => id));
    const own = this.own().filter((one) => one.planting === planting && !there.has(one.id));
    return [...known.map(({ id, event }) => ({ ...event, id })), ...own];
  }

  /** @returns its key */
  enter(planting: number, event: PlantEvent): string {
    return this.outbox.enterEvent(planting, event);
  }

  /** Takes back what was entered here, wherever it is by now. @param on day of the taking back */
  takeBack(key: string, on: string): void {
    const sent = this.taken().find((one) => one.key === key);
    if (sent) this.undo(sent.planting, sent.made.id, on);
    else if (!this.outbox.withdraw(key)) this.unwanted.set(key, on);
  }

  again(key: string): void {
    this.outbox.again(key);
  }

  leaveIt(key: string): void {
    this.outbox.drop(key);
  }

  private undo(planting: number, of: number, on: string): void {
    this.enter(planting, { kind: 'undo', on, of });
  }

  private items(state: 'waiting' | 'refused'): ForPlanting[] {
    return this.outbox
      .items()
      .filter(
        (one): one is ForPlanting => isForPlanting(one) && one.state === state && this.outbox.isHere(one),
      );
  }
}
