import { randomUUID } from 'node:crypto';
import { type Entry, type EntryData, type KeptData } from '#contract/record';
import { tubEntryOf } from '#contract/record-tub';
import { alike, undoOf } from '#core/batch/tub';
import { runBenchTest } from '#core/batch/tests/bench-tests';
import { type Planting, standing } from '#core/plants/planting';
import { called } from '#core/plants/care';
import { mixOfOneL } from '#core/vessel/tray';
import { type Tubs } from '#server/book/tub/tubs';
import { type KeptBatch } from '#server/kept/batches';
import { type Stores } from '#server/kept/stores';

type Use = Extract<KeptData, { kind: 'use' }>;

/** Filled half for now: the rest is topped up as the stem grows. */
const HALF = 0.5;

/**
 * The one book of what is made, filled, sown and potted: an act is one entry, takes mix from the tub, trays and seed from
 * stock, and ticks its line of the season; taken back, all of it is. To be called within the transaction of the act.
 */
export class Ledger {
  constructor(
    private readonly stores: Stores,
    private readonly tubs: Tubs,
  ) {}

  /** Enters something on a batch, as it is kept, with what it takes from stock. */
  enter(batch: KeptBatch, key: string, kept: KeptData, now: string): Entry {
    const day = this.stores.calendar.today();
    return this.stores.record.add(batch.id, key, kept, now, (entry) => {
      const { id, subject } = entry;
      if (kept.kind === 'use') this.settleTrays(batch.id, id, day);
      else if (kept.kind === 'undo') this.undone(batch.id, kept.of, day);
      else if (kept.kind === 'same') this.settleTrays(batch.id, kept.of, day);
      else this.stores.lots.noteTakes({ id, subject, day }, batch, kept);
    });
  }

  /** What a planting takes: mix of its batch, its trays and its seed; and its line of the season is ticked. */
  begin(planting: Planting, now: string): void {
    this.take(planting, now, false);
    this.tick(planting);
  }

  /** Gives back what a planting took, and its tick. */
  takeBack(planting: Planting, now: string): void {
    const use = this.useOf(planting);
    this.stores.lots.untakePlanting(planting.id);
    if (use !== null) this.undo(planting.batch!, use, now);
    this.settleTopped(planting, now, true);
    // Trays that came back had been out: they are not back twice.
    const day = this.stores.calendar.today();
    for (const { lot, amount } of this.stores.lots.backFromPlanting(planting.id))
      this.stores.lots.addTake({ planting: planting.id, day, lot, amount });
    this.untick(planting);
  }

  /** Takes it all again: its filling is the one that it was, and looks like what it looked like. */
  again(planting: Planting, now: string): void {
    const { batch } = planting;
    this.stores.lots.untakePlanting(planting.id);
    const undone = batch === null ? null : this.undoneUseOf(planting, batch);
    if (batch === null || undone === null) this.take(planting, now, false);
    else {
      this.undo(batch, undone.undo, now);
      this.takeStock(planting, { batch, use: undone.use });
    }
    this.settleTopped(planting, now);
    this.tick(planting);
  }

  /** What topping a planting up takes: the rest of what is filled half, once; null where nothing is left to fill. @returns L */
  topUpLitres(planting: Planting): number | null {
    const kind = this.stores.library.library().vessels.get(planting.vessel);
    return planting.halfFilled && kind && this.toppedIn(planting).length === 0
      ? (1 - HALF) * planting.cells * mixOfOneL(kind)
      : null;
  }

  /** A planting is topped up: its batch gives so much. */
  toppedUp(
    planting: Planting,
    { id: event, on, litres }: { id: number; on: string; litres: number },
    now: string,
  ): void {
    const { id, batch, cells: count } = planting;
    if (batch === null || litres === 0) return;
    const what = this.nameOf(planting);
    const kept: Use = { kind: 'use', what, count, on, planting: id, topped: event, litres };
    this.stores.record.add(batch, randomUUID(), kept, now);
  }

  /** What topping up took is what stands of it in the record of the planting; nothing of one that is archived. */
  settleTopped(planting: Planting, now: string, isAway = false): void {
    const { batch } = planting;
    if (batch === null) return;
    const topped = isAway ? [] : this.toppedIn(planting);
    const entries = this.stores.record.ofTub(batch).flatMap((entry) => tubEntryOf(entry) ?? []);
    for (const use of entries) {
      if (use.kind !== 'use' || use.planting !== planting.id || use.topped === undefined) continue;
      const undo = undoOf(entries, use.id);
      if (topped.includes(use.topped) === (undo === null)) continue;
      this.stores.record.add(batch, randomUUID(), { kind: 'undo', of: undo ?? use.id }, now);
    }
  }

  private nameOf(planting: Planting): string {
    return called(planting, this.stores.crops.byId().get(planting.crop) ?? { name: planting.crop });
  }

  private toppedIn({ id }: Planting): number[] {
    const events = this.stores.plantEvents
      .of(id)
      .map(({ id: number, at, event }) => ({ ...event, id: number, at }));
    return standing(events).flatMap((event) => (event.kind === 'topped' ? [event.id] : []));
  }

  /**
   * Plantings of before there was one book become fillings of their batch, once: said to be reckoned. Their trays and
   * seed were counted without them, and stay.
   */
  reckonEarlier(now: string): void {
    if (this.stores.folder.isOneBook) return;
    this.stores.plants.within(() => {
      for (const planting of this.stores.plants.withBatch())
        if (this.useOf(planting) === null) this.take(planting, now, true);
      this.stores.folder.isOneBook = true;
    });
  }

  private take(planting: Planting, now: string, reckoned: boolean): void {
    const { id, start, batch: number, vessel, cells, on } = planting;
    // Set apart they stay in their mix and their trays.
    if (start === 'split') return;
    const batch = number === null ? null : this.stores.batches.one(number);
    let entry: Entry | null = null;
    if (batch) {
      const what = this.nameOf(planting);
      const bare = { kind: 'use' as const, what, count: cells, on, vessel, planting: id };
      const share = planting.halfFilled ? HALF : 1;
      const kept: Use = { ...this.filled(bare, batch, share), ...(reckoned && { reckoned }) };
      entry = this.stores.record.add(batch.id, randomUUID(), kept, now);
    }
    if (!reckoned) this.takeStock(planting, entry && { batch: entry.batchId, use: entry.id });
  }

  /** Trays and seed of a planting; trays not where its filling looks like another one, which took them. */
  private takeStock(
    { id, start, vessel, cells, perCell, seedLot }: Planting,
    filling: { batch: number; use: number } | null,
  ): void {
    const day = this.stores.calendar.today();
    if (filling) this.settleTrays(filling.batch, filling.use, day);
    else this.takeFrom({ planting: id, day }, 'vessel', vessel, cells);
    const about = { planting: id, day, ...(filling && { entry: filling.use, batch: filling.batch }) };
    if (seedLot !== null && start === 'sow')
      this.stores.lots.addTake({ ...about, lot: seedLot, amount: cells * perCell });
  }

  /** A filling with the litres that it took, and the one that it looks like. */
  private filled(data: Use, batch: KeptBatch, share = 1): Use {
    const like = alike(data, this.tubs.of(batch.id).tub.uses);
    const twin = like === null ? {} : { like };
    if (data.vessel === undefined) return { ...data, ...twin };
    const { vessel } = batch.snapshot;
    const kind = data.vessel === vessel.id ? vessel : this.stores.library.library().vessels.get(data.vessel);
    return { ...data, ...twin, ...(kind && { litres: share * data.count * mixOfOneL(kind) }) };
  }

  /** As it is kept: a test with what it came to, a filling with what it took. */
  keptOf(data: EntryData, batch: KeptBatch): KeptData {
    if (data.kind === 'test')
      return { ...data, result: runBenchTest(data.test, data.values, batch.snapshot.context) };
    if (data.kind === 'left') return { ...data, on: data.on ?? this.stores.calendar.today() };
    return data.kind === 'use' ? this.filled(data, batch) : data;
  }

  /**
   * Trays of a filling as it stands: of the lot that was named, else of those that are counted; none of one that is taken
   * back, that looks like another one, or that was reckoned later.
   */
  private settleTrays(batch: number, entry: number, day: string): void {
    this.stores.lots.untakeEntry(entry, 'vessel');
    const use = this.tubs.of(batch).tub.uses.find(({ id }) => id === entry);
    const data = this.stores.record.ofTub(batch).find(({ id }) => id === entry)?.data;
    if (!use?.counts || use.reckoned || data?.kind !== 'use') return;
    const { planting, lot, vessel, count } = data;
    const about = { entry, batch, day, ...(planting !== undefined && { planting }) };
    if (lot !== undefined) this.stores.lots.addTake({ ...about, lot, amount: count });
    else if (vessel !== undefined) this.takeFrom(about, 'vessel', vessel, count);
  }

  /** Of the lots that are counted, the oldest first; what they have not is owed by the newest. */
  private takeFrom(
    about: { entry?: number; batch?: number; planting?: number; day: string },
    kind: 'vessel',
    item: string,
    count: number,
  ): void {
    const lots = this.stores.lots.countedOf(kind, item);
    let wanted = count;
    lots.forEach((lot, i) => {
      const amount = i === lots.length - 1 ? wanted : Math.min(wanted, Math.max(0, lot.left));
      if (amount > 0) this.stores.lots.addTake({ ...about, lot: lot.id, amount });
      wanted -= amount;
    });
  }

  private useOf(planting: Planting): number | null {
    if (planting.batch === null) return null;
    const uses = this.tubs
      .of(planting.batch)
      .tub.uses.filter((use) => use.planting === planting.id && use.topped === undefined);
    return uses.at(-1)?.id ?? null;
  }

  /** The filling of a planting that was taken back, and what took it back; null where it has none. */
  private undoneUseOf({ id }: Planting, batch: number): { use: number; undo: number } | null {
    const entries = this.stores.record.ofTub(batch).flatMap((entry) => tubEntryOf(entry) ?? []);
    const use = entries.findLast(
      (entry) => entry.kind === 'use' && entry.planting === id && entry.topped === undefined,
    );
    const undo = use ? undoOf(entries, use.id) : null;
    return use && undo !== null ? { use: use.id, undo } : null;
  }

  private undo(batch: number, of: number, now: string): void {
    this.stores.record.add(batch, randomUUID(), { kind: 'undo', of }, now);
    this.undone(batch, of, this.stores.calendar.today());
  }

  /** What a filling took goes with it, and comes again with it; and so with what looks like it, which now counts or not. */
  private undone(batch: number, of: number, day: string): void {
    const target = this.stores.record.ofTub(batch).find(({ id }) => id === of)?.data;
    if (target?.kind === 'undo') return this.undone(batch, target.of, day);
    if (target?.kind !== 'use') return;
    this.settleTrays(batch, of, day);
    for (const twin of this.tubs.of(batch).tub.uses.filter(({ like }) => like === of))
      this.settleTrays(batch, twin.id, day);
  }

  private tick({ season, on }: Planting): void {
    if (season && this.stores.season.one(season.line)) this.stores.season.tickBy(season, on);
  }

  /** Its tick goes, unless another planting of the same step stands. */
  private untick({ season, id }: Planting): void {
    if (!season) return;
    const others = this.stores.plants.ofStep(season).filter((each) => each.id !== id);
    if (others.length === 0) this.stores.season.untickBy(season);
  }
}
