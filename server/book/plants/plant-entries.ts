import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { randomUUID } from 'node:crypto';
import { type KeptPlantEvent, type NewPicture, type NewPlanting, type PlantingLine } from '#contract/plants';
import {
  checkEvent,
  type KeptEvent,
  type PlantEvent,
  type Planting,
  standing,
  tallyOf,
} from '#core/plants/planting';
import { lookUp } from '#core/recipe/library';
import { OutOfRange } from '#core/units/check';
import { notFound } from '#server/base/http/problem';
import { type Ledger } from '#server/book/tub/ledger';
import { type PlantStates } from '#server/book/plants/plant-states';
import { sizeOfJpeg } from '#server/kept/plants/pictures';

/** What is entered of plants: begun, happened, pictured, archived; each in one transaction. */
export class PlantEntries {
  constructor(
    private readonly stores: Stores,
    private readonly states: PlantStates,
    private readonly ledger: Ledger,
  ) {}

  private recordOf(id: number): KeptEvent[] {
    return this.stores.plantEvents.of(id).map(({ id: number, at, event }) => ({ ...event, id: number, at }));
  }

  /**
   * Keeps a picture, and that it was taken.
   * @throws OutOfRange for what is no JPEG, or too large a one
   */
  addPicture(id: number, { key, on, jpeg, text }: NewPicture, now: string): KeptPlantEvent {
    const bytes = Buffer.from(jpeg, 'base64');
    const { width, height } = sizeOfJpeg(bytes);
    return this.stores.plants.within(() => {
      const planting = this.stores.plants.one(id);
      if (!planting) throw notFound('planting', id);
      this.stores.calendar.notLaterThanToday('on', on);
      const picture = this.stores.pictures.add({
        key,
        planting: id,
        jpeg: bytes,
        width,
        height,
        at: now,
      });
      return this.enter(planting, key, { kind: 'picture', on, picture, text }, now);
    });
  }

  /** @throws OutOfRange or Problem 404 for what is not there, or more plants than stand */
  add(given: NewPlanting, now: string): PlantingLine {
    this.checkPlace(given);
    this.checkSplit(given);
    return this.stores.plants.within(() => {
      const planting = this.stores.plants.add({ ...given, trial: null }, now);
      given.from.forEach(({ planting: parent, plants }, i) => {
        const from = this.stores.plants.one(parent);
        if (!from) throw notFound('planting', parent);
        const event: PlantEvent = { kind: 'moved', on: given.on, count: plants, to: planting.id };
        this.enter(from, randomUUID(), event, now, `from.${i}.plants`);
      });
      this.ledger.begin(planting, now);
      return this.states.lines([planting])[0]!;
    });
  }

  /** A tray of a trial, with what it takes; within the transaction of the trial. */
  begin(given: NewPlanting & Pick<Planting, 'trial'>, now: string): void {
    this.ledger.begin(this.stores.plants.add(given, now), now);
  }

  /**
   * Takes one out of the lists, or brings it back. What was potted by mistake gives its plants back to where they came
   * from; brought back, it takes them again.
   * @throws OutOfRange where its plants are in others by now, or are no longer where they came from
   */
  putAway(id: number, at: string | null, now: string): boolean {
    const planting = this.stores.plants.one(id);
    if (!planting) return false;
    if ((at !== null) === this.stores.plants.isAway(id)) return true;
    if (at !== null && standing(this.recordOf(id)).some(({ kind }) => kind === 'moved'))
      throw new OutOfRange('id', id, allow('allowed.in-no-other', none));
    const on = this.stores.calendar.today();
    return this.stores.plants.within(() => {
      if (at !== null) this.ledger.takeBack(planting, now);
      planting.from.forEach(({ planting: parent }) => {
        const from = this.stores.plants.one(parent);
        if (!from) return;
        const kept = this.recordOf(parent);
        const moved = kept.filter((event) => event.kind === 'moved' && event.to === id);
        if (at !== null) {
          const stands = standing(kept);
          const keptEvent = moved.find((event) => stands.some((each) => each.id === event.id));
          if (keptEvent) this.write(from, kept, randomUUID(), { kind: 'undo', on, of: keptEvent.id }, now);
        } else if (moved[0]) {
          const { id: _, at: __, ...again } = moved[0];
          this.enter(from, randomUUID(), again, now, 'id');
        }
      });
      const changed = this.stores.plants.putAway(id, at);
      if (at === null) this.ledger.again(planting, now);
      return changed;
    });
  }

  /** Set apart are plants of one planting that is counted, in the vessel in which they stand. */
  private checkSplit({ start, from, vessel }: NewPlanting): void {
    if (start !== 'split') return;
    if (from.length !== 1) throw new OutOfRange('from', from.length, allow('allowed.one-to-split', none));
    const parent = this.stores.plants.one(from[0]!.planting);
    if (!parent) throw notFound('planting', from[0]!.planting);
    if (parent.vessel !== vessel)
      throw new OutOfRange('vessel', vessel, allow('allowed.same-vessel', { vessel: parent.vessel }));
    if (tallyOf(parent, this.recordOf(parent.id)).alive === null)
      throw new OutOfRange('from.0.planting', parent.id, allow('allowed.counted-first', none));
  }

  /** @throws OutOfRange or Problem 404 for a crop, a vessel or a batch that is not there, or a day to come */
  checkPlace({
    crop,
    vessel,
    batch,
    on,
    season,
    seedLot,
  }: Pick<Planting, 'crop' | 'vessel' | 'batch' | 'on' | 'season' | 'seedLot'>): void {
    lookUp(this.stores.crops.byId(), crop, 'crop');
    lookUp(this.stores.library.library().vessels, vessel, 'vessel');
    if (batch !== null && this.stores.batches.nameOf(batch) === null) throw notFound('batch', batch);
    if (season && !this.stores.season.one(season.line)) throw notFound('line', season.line);
    if (seedLot !== null) {
      const lot = this.stores.lots.one(seedLot);
      if (!lot) throw notFound('lot', seedLot);
      if (lot.kind !== 'seed') throw new OutOfRange('seedLot', seedLot, allow('allowed.lot-of-seed', none));
    }
    this.stores.calendar.notLaterThanToday('on', on);
  }

  /** @param madeAt when it was entered on the device, by the clock here; null for just now */
  addEvent(
    id: number,
    key: string,
    event: PlantEvent,
    now: string,
    madeAt: string | null = null,
  ): KeptPlantEvent {
    const planting = this.stores.plants.one(id);
    if (!planting) throw notFound('planting', id);
    if (event.kind === 'picture')
      throw new OutOfRange('kind', 'picture', allow('allowed.picture-by-itself', none));
    if (event.kind === 'moved') throw new OutOfRange('kind', 'moved', allow('allowed.moved-by-itself', none));
    this.stores.calendar.notLaterThanToday('on', event.on);
    return this.stores.plants.within(() => this.enter(planting, key, event, now, undefined, madeAt));
  }

  private enter(
    planting: Planting,
    key: string,
    event: PlantEvent,
    now: string,
    name?: string,
    madeAt: string | null = null,
  ): KeptPlantEvent {
    // Its plants are back where they came from: what happens to them is entered there.
    if (this.stores.plants.isAway(planting.id))
      throw new OutOfRange(name ?? 'id', planting.id, allow('allowed.not-archived', none));
    const kept = this.recordOf(planting.id);
    try {
      checkEvent(planting, kept, event, madeAt ?? now);
    } catch (error) {
      throw error instanceof OutOfRange && name !== undefined && error.argument === 'count'
        ? new OutOfRange(name, error.value, error.allowed)
        : error;
    }
    return this.write(planting, kept, key, event, now, madeAt);
  }

  private write(
    planting: Planting,
    kept: readonly KeptEvent[],
    key: string,
    event: PlantEvent,
    now: string,
    madeAt: string | null = null,
  ): KeptPlantEvent {
    const litres = event.kind === 'topped' ? (event.litres ?? this.ledger.topUpLitres(planting)) : null;
    const made = this.stores.plantEvents.add(planting.id, key, event, now, madeAt);
    if (event.kind === 'topped' && litres !== null)
      this.ledger.toppedUp(planting, { id: made.id, on: event.on, litres }, now);
    else if (event.kind === 'undo') this.ledger.settleTopped(planting, now);
    const { alive } = tallyOf(planting, [...kept, { ...event, id: made.id, at: made.at }]);
    this.stores.plants.finish(planting.id, alive === 0);
    return made;
  }
}
