import { type KeptPlantEvent, plantEventSchema } from '#contract/plants';
import { type KeptEvent, type PlantEvent } from '#core/plants/planting';
import { Known } from '#server/base/database/known';
import { type Db } from '#server/base/database/db';

/** Of what an event holds; lifted by it should it change. */
const EVENT_FORMAT = 1;

/** Kinds that tallies and care are reckoned from: of a long list nothing else is read. As the index has them. */
const COUNTING = `'up', 'count', 'lost', 'thinned', 'moved', 'out', 'fed', 'topped', 'undo', 'watered', 'weight'`;

interface EventRow {
  id: number;
  key: string;
  planting_id: number;
  data_json: string;
  at: string;
}

/** What happened to plants: entries are only ever added. */
export class PlantEventStore {
  private readonly everyEvent;
  private readonly events;
  private readonly eventsOfMany;
  private readonly eventKeyed;
  private readonly insertEvent;
  private readonly ofKind;
  private readonly newest;
  private readonly counting: Known<number, readonly KeptEvent[]>;

  constructor(db: Db) {
    this.counting = new Known({ db });
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
  }

  all(): (KeptPlantEvent & { planting: number })[] {
    return this.everyEvent.all().map(readEvent);
  }

  of(id: number): (KeptPlantEvent & { planting: number })[] {
    return this.events.all(id).map(readEvent);
  }

  /** What tallies and care are reckoned from, by planting; readings and notes are left out. */
  countsOf(ids: readonly number[]): Map<number, readonly KeptEvent[]> {
    const by = new Map<number, readonly KeptEvent[]>();
    const unknown = new Map<number, KeptEvent[]>();
    for (const id of ids) {
      const existing = this.counting.get(id);
      if (existing) by.set(id, existing);
      else unknown.set(id, []);
    }
    if (unknown.size === 0) return by;
    for (const row of this.eventsOfMany.all(JSON.stringify([...unknown.keys()]))) {
      const { planting, id, at, event } = readEvent(row);
      unknown.get(planting)!.push({ ...event, id, at });
    }
    for (const [id, events] of unknown) by.set(id, this.counting.keep(id, [], events));
    return by;
  }

  byKey(key: string): (KeptPlantEvent & { planting: number }) | null {
    const row = this.eventKeyed.get(key);
    return row ? readEvent(row) : null;
  }

  /** @param madeAt where it was entered on the device before it came in */
  add(
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

  allOfKind(kind: PlantEvent['kind']): (KeptPlantEvent & { planting: number })[] {
    return this.ofKind.all(kind).map(readEvent);
  }

  newestOfKind(kind: PlantEvent['kind'], most: number): (KeptPlantEvent & { planting: number })[] {
    return this.newest.all(kind, most).map(readEvent);
  }
}

function readEvent({ id, key, planting_id, data_json, at }: EventRow): KeptPlantEvent & { planting: number } {
  return { id, key, at, planting: planting_id, event: plantEventSchema.parse(JSON.parse(data_json)) };
}
