import { type z } from 'zod';
import {
  type KeptPlantEvent,
  keptPlantingSchema,
  keptTrialSchema,
  plantEventSchema,
  type NewPlanting,
  type NewTrial,
  type PlantList,
} from '#contract/plants';
import { PAGE } from '#contract/routes';
import { type KeptEvent, type PlantEvent, type Planting } from '#core/plants/planting';
import { ByRow } from '#server/base/database/by-row';
import { type Db } from '#server/base/database/db';

/** Of what an event holds; lifted by it should it change. */
const EVENT_FORMAT = 1;

/** Kinds that tallies and care are reckoned from: of a long list nothing else is read. As the index has them. */
const COUNTING = `'up', 'count', 'lost', 'thinned', 'moved', 'out', 'fed', 'topped', 'undo', 'watered', 'weight'`;

interface Row {
  id: number;
  row_json: string;
}
interface EventRow {
  id: number;
  key: string;
  planting_id: number;
  data_json: string;
  at: string;
}
export type TrialFields = z.output<typeof keptTrialSchema>;

const readRow = ({ id, row_json }: Row): Planting => ({
  ...keptPlantingSchema.parse(JSON.parse(row_json)),
  id,
});
const readTrial = ({ id, row_json }: Row): TrialFields & { id: number } => ({
  ...keptTrialSchema.parse(JSON.parse(row_json)),
  id,
});

/** Plantings, their events and the trials that they are of. */
export class PlantStore {
  private readonly listed;
  private readonly listedAway;
  private readonly away;
  private readonly whole;
  private readonly everyEvent;
  private readonly byId;
  private readonly keyed;
  private readonly keys;
  private readonly insert;
  private readonly setAway;
  private readonly setFinished;
  private readonly standingSince;
  private readonly every;
  private readonly ofTrial;
  private readonly events;
  private readonly eventsOfMany;
  private readonly eventKeyed;
  private readonly insertEvent;
  private readonly ofKind;
  private readonly newest;
  private readonly children;
  private readonly inBatch;
  private readonly batchesOfVersions;
  private readonly pictureById;
  private readonly pictureKeyed;
  private readonly insertPicture;
  private readonly everyTrial;
  private readonly trialById;
  private readonly trialKeyed;
  private readonly insertTrial;
  /** A row never changes once it is kept, and events are only added, here. */
  private readonly rows: ByRow<Planting>;
  private readonly counting: ByRow<readonly KeptEvent[]>;

  constructor(private readonly db: Db) {
    this.rows = new ByRow(db);
    this.counting = new ByRow(db);
    const from = 'SELECT id, row_json FROM plantings';
    // Whose rows are mostly known already: their numbers are enough.
    const numbers = 'SELECT id FROM plantings';
    this.listed = db
      .prepare<[number, number, number], number>(
        `${numbers} WHERE finished = ? AND deleted_at IS NULL AND trial_id IS NULL ORDER BY begun_on DESC, id DESC LIMIT ? OFFSET ?`,
      )
      .pluck();
    this.listedAway = db
      .prepare<[number, number], number>(
        `${numbers} WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC, id DESC LIMIT ? OFFSET ?`,
      )
      .pluck();
    this.away = db
      .prepare<[number], number>('SELECT deleted_at IS NOT NULL FROM plantings WHERE id = ?')
      .pluck();
    this.whole = db.prepare<[], Row>(`${from} WHERE deleted_at IS NULL ORDER BY id`);
    this.byId = db.prepare<[number], Row>(`${from} WHERE id = ?`);
    this.keyed = db.prepare<[string], Row>(`${from} WHERE key = ?`);
    this.keys = db.prepare<[number], string>('SELECT key FROM plantings WHERE id = ?').pluck();
    this.insert = db.prepare(
      `INSERT INTO plantings (key, crop, batch_id, trial_id, begun_on, row_json, created_at)
       VALUES (@key, @crop, @batch, @trial, @on, @json, @now)`,
    );
    this.setAway = db.prepare('UPDATE plantings SET deleted_at = ? WHERE id = ?');
    this.setFinished = db.prepare('UPDATE plantings SET finished = ? WHERE id = ?');
    this.standingSince = db
      .prepare<[string], number>(
        `${numbers} WHERE finished = 0 AND begun_on >= ? AND deleted_at IS NULL AND trial_id IS NULL ORDER BY id`,
      )
      .pluck();
    this.every = db.prepare<{ crop: string | null; since: string }, Row>(
      `${from} WHERE deleted_at IS NULL AND begun_on >= @since AND (@crop IS NULL OR crop = @crop) ORDER BY +id`,
    );
    this.ofTrial = db.prepare<[number], Row>(`${from} WHERE trial_id = ? ORDER BY id`);
    const event = 'SELECT id, key, planting_id, data_json, COALESCE(made_at, at) AS at FROM plant_events';
    this.everyEvent = db.prepare<[], EventRow>(`${event} ORDER BY id`);
    this.events = db.prepare<[number], EventRow>(`${event} WHERE planting_id = ? ORDER BY id`);
    this.eventsOfMany = db.prepare<[string], EventRow>(
      `${event} INDEXED BY plant_events_counting
       WHERE planting_id IN (SELECT value FROM json_each(?)) AND kind IN (${COUNTING}) ORDER BY id`,
    );
    this.eventKeyed = db.prepare<[string], EventRow>(`${event} WHERE key = ?`);
    this.insertEvent = db.prepare(
      `INSERT INTO plant_events (planting_id, key, kind, day, format, data_json, at, made_at)
       VALUES (@planting, @key, @kind, @on, ${EVENT_FORMAT}, @json, @at, @madeAt)`,
    );
    this.ofKind = db.prepare<[string], EventRow>(`${event} WHERE kind = ? ORDER BY id`);
    this.newest = db.prepare<[string, number], EventRow>(`${event} WHERE kind = ? ORDER BY id DESC LIMIT ?`);
    this.children = db.prepare<[number], Row>(
      `${from} WHERE id IN (SELECT data_json ->> '$.to' FROM plant_events WHERE kind = 'moved' AND planting_id = ?)`,
    );
    this.inBatch = db.prepare<[number], Row>(`${from} WHERE batch_id = ? AND deleted_at IS NULL ORDER BY id`);
    this.batchesOfVersions = db.prepare<[string, number], { batch: number; mixVersion: number }>(
      `SELECT b.id AS batch, b.mix_version_id AS mixVersion FROM batches b
       WHERE b.mix_version_id IN (SELECT value FROM json_each(?)) AND b.deleted_at IS NULL
       AND EXISTS (SELECT 1 FROM plantings p WHERE p.batch_id = b.id AND p.deleted_at IS NULL)
       ORDER BY b.id DESC LIMIT ?`,
    );
    this.pictureById = db.prepare<[number], Buffer>('SELECT jpeg FROM plant_pictures WHERE id = ?').pluck();
    this.pictureKeyed = db.prepare<[string], number>('SELECT id FROM plant_pictures WHERE key = ?').pluck();
    this.insertPicture = db.prepare(
      `INSERT INTO plant_pictures (key, planting_id, jpeg, width, height, at)
       VALUES (@key, @planting, @jpeg, @width, @height, @at)`,
    );
    this.everyTrial = db.prepare<[], Row>('SELECT id, row_json FROM trials ORDER BY id DESC');
    this.trialById = db.prepare<[number], Row>('SELECT id, row_json FROM trials WHERE id = ?');
    this.trialKeyed = db.prepare<[string], Row>('SELECT id, row_json FROM trials WHERE key = ?');
    this.insertTrial = db.prepare('INSERT INTO trials (key, row_json, created_at) VALUES (?, ?, ?)');
  }

  /** One transaction, taken for writing at once. */
  within<T>(act: () => T): T {
    return this.db.transaction(act).immediate();
  }

  /** Those of a trial stand with their trial. */
  page(list: PlantList, from: number): Planting[] {
    const rows =
      list === 'away' ? this.listedAway.all(PAGE, from) : this.listed.all(Number(list === 'yes'), PAGE, from);
    return rows.map(this.planting);
  }

  keyOf(id: number): string {
    return this.keys.get(id)!;
  }

  isAway(id: number): boolean {
    return this.away.get(id) === 1;
  }

  /** Those that stand, begun on a day or later, but for those of trials. */
  standing(since: string): Planting[] {
    return this.standingSince.all(since).map(this.planting);
  }

  since(day: string, crop: string | null): Planting[] {
    return this.every.all({ crop, since: day }).map(this.read);
  }

  /** All but what is put away, for a file of it. */
  all(): Planting[] {
    return this.whole.all().map(this.read);
  }

  allEvents(): (KeptPlantEvent & { planting: number })[] {
    return this.everyEvent.all().map(readEvent);
  }

  one(id: number): Planting | null {
    const row = this.byId.get(id);
    return row ? this.read(row) : null;
  }

  byKey(key: string): Planting | null {
    const row = this.keyed.get(key);
    return row ? this.read(row) : null;
  }

  add({ key, ...planting }: NewPlanting & Pick<Planting, 'trial'>, now: string): Planting {
    const { crop, batch, on, trial } = planting;
    const { lastInsertRowid } = this.insert.run({
      ...{ key, crop, batch, on, now, trial: trial?.id ?? null, json: JSON.stringify(planting) },
    });
    return this.one(Number(lastInsertRowid))!;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }

  finish(id: number, finished: boolean): void {
    this.setFinished.run(Number(finished), id);
  }

  eventsOf(id: number): (KeptPlantEvent & { planting: number })[] {
    return this.events.all(id).map(readEvent);
  }

  /** What tallies and care are reckoned from, by planting; readings and notes are left out. */
  countsOf(ids: readonly number[]): Map<number, readonly KeptEvent[]> {
    const by = new Map<number, readonly KeptEvent[]>();
    const unknown = new Map<number, KeptEvent[]>();
    for (const id of ids) {
      const known = this.counting.get(id);
      if (known) by.set(id, known);
      else unknown.set(id, []);
    }
    if (unknown.size === 0) return by;
    for (const row of this.eventsOfMany.all(JSON.stringify([...unknown.keys()]))) {
      const { planting, id, at, event } = readEvent(row);
      unknown.get(planting)!.push({ ...event, id, at });
    }
    for (const [id, events] of unknown) by.set(id, this.counting.keep(id, events));
    return by;
  }

  private readonly read = (row: Row): Planting => this.rows.of(row.id, () => readRow(row));
  private readonly planting = (id: number): Planting => this.rows.of(id, () => readRow(this.byId.get(id)!));

  eventByKey(key: string): (KeptPlantEvent & { planting: number }) | null {
    const row = this.eventKeyed.get(key);
    return row ? readEvent(row) : null;
  }

  /** @param madeAt where it was entered on the device before it came in */
  addEvent(
    planting: number,
    key: string,
    event: PlantEvent,
    at: string,
    madeAt: string | null = null,
  ): KeptPlantEvent {
    const { kind, on } = event;
    this.counting.forget(planting);
    const { lastInsertRowid } = this.insertEvent.run({
      ...{ planting, key, kind, on, at, madeAt, json: JSON.stringify(event) },
    });
    return { id: Number(lastInsertRowid), at: madeAt ?? at, event };
  }

  eventsOfKind(kind: PlantEvent['kind']): (KeptPlantEvent & { planting: number })[] {
    return this.ofKind.all(kind).map(readEvent);
  }

  newestOfKind(kind: PlantEvent['kind'], most: number): (KeptPlantEvent & { planting: number })[] {
    return this.newest.all(kind, most).map(readEvent);
  }

  /** What plants of it were moved into. */
  childrenOf(id: number): Planting[] {
    return this.children.all(id).map(this.read);
  }

  ofBatch(batch: number): Planting[] {
    return this.inBatch.all(batch).map(this.read);
  }

  /** Batches of versions of a mix in which something stands or stood, newest first. */
  batchesOf(versions: readonly number[], most: number): { batch: number; mixVersion: number }[] {
    return this.batchesOfVersions.all(JSON.stringify(versions), most);
  }

  picture(id: number): Buffer | null {
    return this.pictureById.get(id) ?? null;
  }

  hasPicture(key: string): boolean {
    return this.pictureKeyed.get(key) !== undefined;
  }

  /** @returns its number */
  addPicture(picture: {
    key: string;
    planting: number;
    jpeg: Buffer;
    width: number;
    height: number;
    at: string;
  }): number {
    return Number(this.insertPicture.run(picture).lastInsertRowid);
  }

  trials(): (TrialFields & { id: number })[] {
    return this.everyTrial.all().map(readTrial);
  }

  trial(id: number): (TrialFields & { id: number }) | null {
    const row = this.trialById.get(id);
    return row ? readTrial(row) : null;
  }

  trialByKey(key: string): (TrialFields & { id: number }) | null {
    const row = this.trialKeyed.get(key);
    return row ? readTrial(row) : null;
  }

  addTrial({ key, ...trial }: NewTrial, now: string): number {
    return Number(this.insertTrial.run(key, JSON.stringify(trial), now).lastInsertRowid);
  }

  traysOf(trial: number): Planting[] {
    return this.ofTrial.all(trial).map(this.read);
  }
}

function readEvent({ id, key, planting_id, data_json, at }: EventRow): KeptPlantEvent & { planting: number } {
  return { id, key, at, planting: planting_id, event: plantEventSchema.parse(JSON.parse(data_json)) };
}
