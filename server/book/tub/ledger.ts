import { randomUUID } from 'node:crypto';
import { type Entry, type EntryData, type KeptData } from '#contract/record';
import { alike } from '#core/batch/tub';
import { runBenchTest } from '#core/batch/tests/bench-tests';
import { type Planting } from '#core/plants/planting';
import { called } from '#core/plants/care';
import { volumeL } from '#core/vessel/vessel';
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
      if (kept.kind === 'use') this.takeTrays({ entry: id, batch: batch.id, day }, kept);
      else if (kept.kind === 'undo') this.undone(batch.id, kept.of, day);
      else if (kept.kind === 'same') this.said(batch.id, kept.of, kept.same, day);
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
    if (use !== null && planting.batch !== null)
      this.stores.record.add(planting.batch, randomUUID(), { kind: 'undo', of: use }, now);
    this.stores.lots.untakePlanting(planting.id);
    this.untick(planting);
  }

  /** Takes it all again. */
  again(planting: Planting, now: string): void {
    this.take(planting, now, false);
    this.tick(planting);
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
    const { id, start, batch: number, vessel, cells, on, seedLot, perCell } = planting;
    // Set apart they stay in their mix and their trays.
    if (start === 'split') return;
    const day = this.stores.calendar.today();
    const batch = number === null ? null : this.stores.batches.one(number);
    let entry: Entry | null = null;
    if (batch) {
      const what = called(planting, this.stores.crops.byId().get(planting.crop) ?? { name: planting.crop });
      const bare = { kind: 'use' as const, what, count: cells, on, vessel, planting: id };
      const share = planting.halfFilled ? HALF : 1;
      const kept: Use = { ...this.filled(bare, batch, share), ...(reckoned && { reckoned }) };
      entry = this.stores.record.add(batch.id, randomUUID(), kept, now);
    }
    if (reckoned) return;
    const about = { planting: id, day, ...(entry && { entry: entry.id, batch: batch!.id }) };
    const isTwin = entry?.data.kind === 'use' && entry.data.like !== undefined;
    if (!isTwin) this.takeFrom(about, 'vessel', vessel, cells);
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
    return { ...data, ...twin, ...(kind && { litres: share * data.count * volumeL(kind.vessel) }) };
  }

  /** As it is kept: a test with what it came to, a filling with what it took. */
  keptOf(data: EntryData, batch: KeptBatch): KeptData {
    if (data.kind === 'test')
      return { ...data, result: runBenchTest(data.test, data.values, batch.snapshot.context) };
    if (data.kind === 'left') return { ...data, on: data.on ?? this.stores.calendar.today() };
    return data.kind === 'use' ? this.filled(data, batch) : data;
  }

  /** Trays of a filling: of the lot that was named, else of those that are counted. */
  private takeTrays(about: { entry: number; batch: number; day: string }, use: Use): void {
    if (use.lot !== undefined) this.stores.lots.addTake({ ...about, lot: use.lot, amount: use.count });
    else if (use.vessel !== undefined && use.like === undefined)
      this.takeFrom(about, 'vessel', use.vessel, use.count);
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
    const uses = this.tubs.of(planting.batch).tub.uses.filter((use) => use.planting === planting.id);
    return uses.at(-1)?.id ?? null;
  }

  /** What a filling took goes back with it, and comes again where its taking back is taken back. */
  private undone(batch: number, of: number, day: string): void {
    const entries = this.stores.record.ofTub(batch);
    const target = entries.find(({ id }) => id === of)?.data;
    if (target?.kind === 'undo') return this.undone(batch, target.of, day);
    if (target?.kind !== 'use') return;
    const stands = this.tubs.of(batch).tub.uses.some(({ id }) => id === of);
    if (stands) this.takeTrays({ entry: of, batch, day }, target);
    else this.stores.lots.untakeEntry(of);
  }

  /** Of two fillings that turn out to be two the second takes trays of its own. */
  private said(batch: number, of: number, isSame: boolean, day: string): void {
    const entry = this.stores.record.ofTub(batch).find(({ id }) => id === of);
    if (entry?.data.kind !== 'use') return;
    this.stores.lots.untakeEntry(of, 'vessel');
    if (isSame || entry.data.reckoned) return;
    const { planting, vessel, count } = entry.data;
    const about = { entry: of, batch, day, ...(planting !== undefined && { planting }) };
    if (vessel !== undefined) this.takeFrom(about, 'vessel', vessel, count);
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
