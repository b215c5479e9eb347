import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type About } from '#contract/about';
import { type KeptPlantEvent } from '#contract/plants';
import { type KeptEvent, type PlantEvent } from '#core/plants/planting';
import { type ForThing, Outbox } from './outbox';
import { type ForPlanting, isForPlanting, isForUndo } from './outbox-store';

/** Numbers of events that the server has not numbered yet: after all that it has. */
const FIRST_UNSENT = 1e15;
/** What this device entered, until the page has it from the server. */
export type OwnEvent = KeptEvent & { planting: number; key: string; sent: boolean };

/**
 * What this device enters for plantings, and takes back: through its outbox, so that a reload, a flat battery or a lost
 * network loses nothing. Provided per page.
 */
@Injectable()
export class PlantRecordService {
  private readonly outbox = inject(Outbox);
  private readonly taken = signal<readonly { key: string; planting: number; made: KeptPlantEvent }[]>([]);
  private onSaved: (() => void) | null = null;

  /** Keys of what is being taken back. */
  private readonly undone = computed(
    () =>
      new Set(
        this.outbox
          .items()
          .filter(isForUndo)
          .map(({ undo }) => undo),
      ),
  );
  /** Entries of this page that the server has taken, and what is still under way; oldest first. */
  readonly own = computed((): readonly OwnEvent[] => {
    const taken = this.taken();
    const keys = new Set(taken.map(({ key }) => key));
    const undone = this.undone();
    const present = taken.map(({ key, planting, made }) => ({
      ...{ ...made.event, id: made.id, at: made.at },
      ...{ planting, key, sent: true },
    }));
    const underWay = this.items('waiting')
      .filter(({ key }) => !keys.has(key))
      .map(({ key, planting, event, at }, i) => ({
        ...{ ...event, id: FIRST_UNSENT + i, at },
        ...{ planting, key, sent: false },
      }));
    return [...present, ...underWay].filter(({ key }) => !undone.has(key));
  });
  /** Those that the server would not take: their person decides. */
  readonly refused = computed(() => this.items('refused'));

  constructor() {
    const deaf = this.outbox.acknowledged((taken) => {
      if (!('planting' in taken)) return;
      const { key, planting, event: made } = taken;
      this.taken.update((all) => [...all, { key, planting, made }]);
      this.onSaved?.();
    });
    inject(DestroyRef).onDestroy(deaf);
  }

  /** @param result of each entry that the server has taken */
  follow(result: () => void): void {
    this.onSaved = result;
  }

  /** What is known of a planting: what the server told, and what this device entered since, but for what it takes back. */
  of(planting: number, existing: readonly KeptPlantEvent[]): KeptEvent[] {
    const undone = this.undone();
    const gone = new Set(this.taken().flatMap(({ key, made }) => (undone.has(key) ? [made.id] : [])));
    const present = new Set(existing.map(({ id }) => id));
    const own = this.own().filter((ownEvent) => ownEvent.planting === planting && !present.has(ownEvent.id));
    const result = existing
      .filter(({ id }) => !gone.has(id))
      .map(({ id, at, event }) => ({ ...event, id, at }));
    return [...result, ...own];
  }

  /** @param about what else it names @returns its key */
  enter(planting: ForThing, event: PlantEvent, about: readonly About[] = []): string {
    return this.outbox.enterEvent(planting, event, about);
  }

  /** Takes back what was entered here, wherever it is by now. @param on day of the taking back */
  takeBack(planting: ForThing, key: string, on: string): void {
    this.outbox.undoEvent(planting, key, on);
  }

  again(key: string): void {
    this.outbox.again(key);
  }

  leaveIt(key: string): void {
    this.outbox.drop(key);
  }

  private items(state: 'waiting' | 'refused'): ForPlanting[] {
    return this.outbox
      .items()
      .filter(
        (item): item is ForPlanting =>
          isForPlanting(item) && item.state === state && this.outbox.isHere(item),
      );
  }
}
