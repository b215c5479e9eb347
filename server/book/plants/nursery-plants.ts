import { type Stores } from '#server/kept/stores';
import { randomUUID } from 'node:crypto';
import {
  type KeptPlantEvent,
  type PlantCare,
  type NewPicture,
  type NewPlanting,
  type NewTrial,
  type PlantingLine,
  type PlantingPage,
  type TakenUp,
  type Trial,
} from '#contract/plants';
import { type Care, called, careOf, type Tender } from '#core/plants/care';
import { type CauseId } from '#core/plants/cause-table';
import {
  checkEvent,
  type KeptEvent,
  type PlantEvent,
  type Planting,
  standing,
  type Tally,
  tallyOf,
} from '#core/plants/planting';
import { layOut } from '#core/plants/trial';
import { lookUp } from '#core/recipe/library';
import { type Crop } from '#core/season/crop';
import { mostWeeksIn } from '#core/season/plan';
import { daysAfter } from '#core/units/day';
import { OutOfRange } from '#core/units/check';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';
import { notFound } from '#server/base/http/problem';
import { type MixFeeds } from '#server/book/plants/mix-feeds';
import { sizeOfJpeg } from '#server/kept/plants/pictures';

/** Care is looked for in what was begun so lately, told so far ahead, and forgotten so long after its day. */
const CARE_DAYS = 400;
const AHEAD = 7;
const FORGET_AFTER = 30;

/** So many newest timings of watering from below are looked at. */
const TIMINGS = 300;
/** Set apart from what was set apart, so often. */
const MOST_SPLITS = 20;
/** Where its vessel is there no more. */
const NO_VESSEL_DAYS = 60;

interface Around {
  crops: ReadonlyMap<string, Crop>;
  vessels: ReadonlyMap<string, VesselKind>;
  soilC: number;
}

interface State {
  crop: Crop | undefined;
  kind: VesselKind | undefined;
  soilC: number;
  care: readonly Care[];
  line: Omit<PlantingLine, 'putAway'>;
  /** Of its care what was last asked for, with the days that were asked about. */
  told: { days: string; care: readonly PlantCare[] };
}

/** Plantings with what becomes of them, in the terms of the pages. */
export class NurseryPlants {
  /** By the list of counting events, which the store gives out anew when something is entered. */
  private readonly states = new WeakMap<readonly KeptEvent[], State>();
  /** By the planting, which the store gives out anew only when it has forgotten it. */
  private readonly tenders = new WeakMap<Planting, { crop: Crop; tender: Tender }>();

  constructor(
    private readonly stores: Stores,
    private readonly feeds: MixFeeds,
  ) {}

  lines(plantings: readonly Planting[]): PlantingLine[] {
    const events = this.stores.plants.countsOf(plantings.map(({ id }) => id));
    const around = this.around();
    return plantings.map((planting) => {
      const own = events.get(planting.id) ?? [];
      return { ...this.stateOf(planting, own, around).line, putAway: this.stores.plants.isAway(planting.id) };
    });
  }

  private recordOf(id: number): KeptEvent[] {
    return this.stores.plants.eventsOf(id).map(({ id: number, at, event }) => ({ ...event, id: number, at }));
  }

  /** What care is reckoned from, fetched once for all plantings of an answer. */
  private around(): Around {
    return {
      crops: this.stores.crops.byId(),
      vessels: this.stores.library.library().vessels,
      soilC: this.stores.season.settings(this.stores.calendar.today()).soilC,
    };
  }

  /** How it stands and what it wants: reckoned again when its events, its crop, its vessel or the warmth change. */
  private stateOf(planting: Planting, events: readonly KeptEvent[], around: Around): State {
    const crop = around.crops.get(planting.crop);
    const kind = around.vessels.get(planting.vessel);
    const known = this.states.get(events);
    if (known?.crop === crop && known?.kind === kind && known?.soilC === around.soilC) return known;
    const tally = tallyOf(planting, events);
    const care = this.careFor(planting, tally, events, around);
    const batchName = planting.batch === null ? null : this.stores.batches.nameOf(planting.batch);
    const key = this.stores.plants.keyOf(planting.id);
    const line = { ...planting, key, tally: told(tally), batchName, care: care[0] ?? null };
    const state = { crop, kind, soilC: around.soilC, care, line, told: { days: '', care: [] } };
    this.states.set(events, state);
    return state;
  }

  private careFor(
    planting: Planting,
    tally: Tally,
    events: readonly KeptEvent[],
    { crops, vessels, soilC }: Around,
  ): Care[] {
    const crop = crops.get(planting.crop);
    if (!crop) return [];
    const kind = vessels.get(planting.vessel);
    const step = crop.steps.find((one) => one.vessel === planting.vessel);
    const mostDays = kind
      ? Math.round(7 * mostWeeksIn(volumeL(kind.vessel), step?.mostWeeks))
      : NO_VESSEL_DAYS;
    return careOf(planting, crop, tally, events, {
      ...{ mostDays, soilC, vesselSince: this.vesselSince(planting) },
      mixFeedsDays: kind && this.feeds.days(planting.batch, kind),
      lift: kind && this.feeds.tray(planting.batch, kind, planting.cells),
    });
  }

  /** Set apart, they stand in their vessel since those that they came from. */
  private vesselSince(planting: Planting): string {
    let one = planting;
    for (let i = 0; i < MOST_SPLITS && one.start === 'split' && one.from[0]; i++)
      one = this.stores.plants.one(one.from[0].planting) ?? one;
    return one.on;
  }

  /** @param ahead days */
  care(ahead = AHEAD): PlantCare[] {
    const today = this.stores.calendar.today();
    const [from, to] = [daysAfter(today, -FORGET_AFTER), daysAfter(today, ahead)];
    const plantings = this.stores.plants.standing(daysAfter(today, -CARE_DAYS));
    const events = this.stores.plants.countsOf(plantings.map(({ id }) => id));
    const around = this.around();
    const days = `${from} ${to}`;
    return plantings
      .flatMap((planting) => {
        const state = this.stateOf(planting, events.get(planting.id) ?? [], around);
        if (state.told.days !== days) {
          const care = state.care
            .filter(({ on, until }) => on <= to && (until ?? on) >= (until === null ? from : today))
            .map((one) => ({
              ...{ ...one, planting: planting.id },
              state: one.on <= today ? ('due' as const) : ('waiting' as const),
            }));
          state.told = { days, care };
        }
        return state.told.care;
      })
      .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  }

  /** What stands, and the coldest night that its crop bears. */
  tender(): Tender[] {
    const crops = this.stores.crops.byId();
    return this.stores.plants
      .standing(daysAfter(this.stores.calendar.today(), -CARE_DAYS))
      .flatMap((planting) => {
        const crop = crops.get(planting.crop);
        if (!crop) return [];
        const known = this.tenders.get(planting);
        if (known?.crop === crop) return known.tender;
        const tender = { planting: planting.id, name: called(planting, crop), coldestC: crop.coldestC };
        this.tenders.set(planting, { crop, tender });
        return tender;
      });
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
      const picture = this.stores.plants.addPicture({
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

  page(id: number): PlantingPage {
    const planting = this.stores.plants.one(id);
    if (!planting) throw notFound('planting', id);
    const events = this.stores.plants.eventsOf(id);
    const kept = events.map(({ id: number, at, event }) => ({ ...event, id: number, at }));
    const [line] = this.lines([planting]);
    const named = (one: Planting): string =>
      called(one, this.stores.crops.byId().get(one.crop) ?? { name: one.crop });
    const kin: PlantingPage['kin'] = planting.from.flatMap(({ planting: parent, plants }) => {
      const one = this.stores.plants.one(parent);
      return one ? [{ id: one.id, name: named(one), way: 'from' as const, plants }] : [];
    });
    for (const child of this.stores.plants.childrenOf(id))
      kin.push({
        ...{ id: child.id, name: named(child), way: 'to' },
        plants: child.from.find((one) => one.planting === id)?.plants ?? 0,
      });
    const lots = planting.batch === null ? [] : this.lotsOf(planting.batch);
    return {
      ...line!,
      events: events.map(({ id: number, at, event, key }) => ({
        id: number,
        at,
        event,
        ...(key && { key }),
      })),
      allCare: this.careFor(planting, tallyOf(planting, kept), kept, this.around()),
      ...{ kin, lots },
    };
  }

  /** What it is called, and what it stands in. */
  namesOf(planting: Planting): [name: string, vessel: string] {
    const crop = this.stores.crops.byId().get(planting.crop) ?? { name: planting.crop };
    const vessel = this.stores.library.library().vessels.get(planting.vessel)?.name ?? planting.vessel;
    return [called(planting, crop), vessel];
  }

  private lotsOf(batch: number): PlantingPage['lots'] {
    const byItem = new Map<string, number>();
    for (const { data } of this.stores.record.ofBatch('lot', batch))
      if (data.kind === 'lot') byItem.set(data.item, data.lot);
    return [...byItem.values()].flatMap((id) => {
      const lot = this.stores.lots.one(id);
      return lot ? [{ id, name: lot.name, item: lot.item }] : [];
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
      const { season } = given;
      if (season?.step === 0) {
        if (!this.stores.season.one(season.line)) throw notFound('line of the season', season.line);
        this.stores.season.setDone(season.line, { sowing: season.sowing, task: 'start', on: given.on });
      }
      return this.lines([planting])[0]!;
    });
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
      throw new OutOfRange('id', id, 'a planting whose plants are in no other: put those away first');
    const on = this.stores.calendar.today();
    return this.stores.plants.within(() => {
      planting.from.forEach(({ planting: parent }) => {
        const from = this.stores.plants.one(parent);
        if (!from) return;
        const kept = this.recordOf(parent);
        const moved = kept.filter((event) => event.kind === 'moved' && event.to === id);
        if (at !== null) {
          const stands = standing(kept);
          const one = moved.find((event) => stands.some((each) => each.id === event.id));
          if (one) this.write(from, kept, randomUUID(), { kind: 'undo', on, of: one.id }, now);
        } else if (moved[0]) {
          const { id: _, at: __, ...again } = moved[0];
          this.enter(from, randomUUID(), again, now, 'id');
        }
      });
      return this.stores.plants.putAway(id, at);
    });
  }

  /** Set apart are plants of one planting that is counted, in the vessel in which they stand. */
  private checkSplit({ start, from, vessel }: NewPlanting): void {
    if (start !== 'split') return;
    if (from.length !== 1)
      throw new OutOfRange('from', from.length, 'one planting that they are set apart from');
    const parent = this.stores.plants.one(from[0]!.planting);
    if (!parent) throw notFound('planting', from[0]!.planting);
    if (parent.vessel !== vessel)
      throw new OutOfRange(
        'vessel',
        vessel,
        `${parent.vessel}, in which they stand: into another they are potted`,
      );
    if (tallyOf(parent, this.recordOf(parent.id)).alive === null)
      throw new OutOfRange(
        'from.0.planting',
        parent.id,
        'a planting that is counted: count what came up first',
      );
  }

  private checkPlace({ crop, vessel, batch, on }: Pick<Planting, 'crop' | 'vessel' | 'batch' | 'on'>): void {
    lookUp(this.stores.crops.byId(), crop, 'crop');
    lookUp(this.stores.library.library().vessels, vessel, 'vessel');
    if (batch !== null && !this.stores.batches.one(batch)) throw notFound('batch', batch);
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
      throw new OutOfRange('kind', 'picture', 'entered by sending the picture: it comes of itself');
    if (event.kind === 'moved')
      throw new OutOfRange('kind', 'moved', 'entered by potting them: it comes of itself');
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
      throw new OutOfRange(name ?? 'id', planting.id, 'a planting that is not archived: restore it first');
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
    const made = this.stores.plants.addEvent(planting.id, key, event, now, madeAt);
    const { alive } = tallyOf(planting, [...kept, { ...event, id: made.id, at: made.at }]);
    this.stores.plants.finish(planting.id, alive === 0);
    return made;
  }

  /** How long water from below took here, by vessel: of the newest timings, what was not taken back. */
  takenUp(): TakenUp[] {
    const byVessel = new Map<string, number[]>();
    const seen = new Set<number>();
    for (const { planting } of this.stores.plants.newestOfKind('watered', TIMINGS)) {
      if (seen.has(planting)) continue;
      seen.add(planting);
      const vessel = this.stores.plants.one(planting)?.vessel ?? '';
      for (const event of standing(this.recordOf(planting)))
        if (event.kind === 'watered' && event.minutes !== undefined)
          byVessel.set(vessel, [...(byVessel.get(vessel) ?? []), event.minutes]);
    }
    return [...byVessel].map(([vessel, minutes]) => ({
      ...{ vessel, times: minutes.length },
      minutes: minutes.sort((a, b) => a - b)[minutes.length >> 1]!,
    }));
  }

  taught(): { cause: CauseId; helped: number }[] {
    const ids = [...new Set(this.stores.plants.eventsOfKind('helped').map(({ planting }) => planting))];
    const sums = new Map<CauseId, number>();
    for (const id of ids)
      for (const event of standing(this.recordOf(id)))
        if (event.kind === 'helped' && event.helped) sums.set(event.cause, (sums.get(event.cause) ?? 0) + 1);
    return [...sums].map(([cause, helped]) => ({ cause, helped }));
  }

  addTrial(given: NewTrial, now: string): Trial {
    this.checkPlace({ ...given, batch: null });
    given.arms.forEach(({ batch }, i) => {
      if (batch !== null && !this.stores.batches.one(batch))
        throw new OutOfRange(`arms.${i}.batch`, batch, 'a batch that there is');
    });
    return this.stores.plants.within(() => {
      const id = this.stores.plants.addTrial(given, now);
      for (const { block, arm } of layOut(given.seed, given.arms.length, given.blocks))
        this.stores.plants.add(
          {
            ...{
              key: randomUUID(),
              start: 'sow',
              crop: given.crop,
              seed: given.seedLot,
              vessel: given.vessel,
            },
            ...{ cells: given.cells, perCell: given.perCell, batch: given.arms[arm]!.batch, on: given.on },
            ...{ bareRoot: false, halfFilled: false, season: null, from: [], trial: { id, arm, block } },
            name: `${given.name}, ${given.arms[arm]!.name}, block ${block}`.slice(0, 60),
          },
          now,
        );
      return this.trial(id);
    });
  }

  trial(id: number): Trial {
    const trial = this.stores.plants.trial(id);
    if (!trial) throw notFound('trial', id);
    const plantings = this.stores.plants.traysOf(id);
    const events = this.stores.plants.countsOf(plantings.map((one) => one.id));
    const laid = layOut(trial.seed, trial.arms.length, trial.blocks);
    return {
      ...trial,
      trays: plantings.map((planting) => {
        const { arm, block } = planting.trial!;
        const { begun, entered, alive } = tallyOf(planting, events.get(planting.id) ?? []);
        const { place } = laid.find((one) => one.arm === arm && one.block === block)!;
        const key = this.stores.plants.keyOf(planting.id);
        return { planting: planting.id, key, block, place, arm, begun, alive, up: entered };
      }),
    };
  }
}

const told = ({ lost, lostSum: _, ...tally }: Tally): PlantingLine['tally'] => ({
  ...tally,
  lost: [...lost].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count),
});
