import { keptPlantingSchema, type NewPlanting, type PlantList } from '#contract/plants';
import { PAGE } from '#contract/routes';
import { type Planting } from '#core/plants/planting';
import { Known } from '#server/base/database/known';
import { type Db } from '#server/base/database/db';

interface Row {
  id: number;
  row_json: string;
}

const readRow = ({ id, row_json }: Row): Planting => ({
  ...keptPlantingSchema.parse(JSON.parse(row_json)),
  id,
});

/** As many moves as a label has room for. */
const MOST_BEFORE = 4;

/** What was begun: sown, struck, potted, set apart. */
export class PlantStore {
  private readonly listed;
  private readonly listedAway;
  private readonly away;
  private readonly whole;
  private readonly byId;
  private readonly keyed;
  private readonly keys;
  private readonly insert;
  private readonly setAway;
  private readonly setFinished;
  private readonly standingSince;
  private readonly every;
  private readonly ofTrial;
  private readonly children;
  private readonly inBatch;
  private readonly everyBatch;
  private readonly inStep;
  private readonly batchesOfVersions;
  /** A row never changes once it is kept. */
  private readonly rows: Known<number, Planting>;

  constructor(private readonly db: Db) {
    this.rows = new Known({ db });
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
    this.children = db.prepare<[number], Row>(
      `${from} WHERE id IN (SELECT data_json ->> '$.to' FROM plant_events WHERE kind = 'moved' AND planting_id = ?)`,
    );
    this.inBatch = db.prepare<[number], Row>(`${from} WHERE batch_id = ? AND deleted_at IS NULL ORDER BY id`);
    this.everyBatch = db
      .prepare<[], number>(
        `${numbers} WHERE batch_id IS NOT NULL AND deleted_at IS NULL ORDER BY batch_id, id`,
      )
      .pluck();
    this.inStep = db.prepare<{ line: number; sowing: number; step: number }, Row>(
      `${from} WHERE row_json ->> '$.season.line' = @line AND row_json ->> '$.season.sowing' = @sowing
       AND row_json ->> '$.season.step' = @step AND deleted_at IS NULL ORDER BY id`,
    );
    this.batchesOfVersions = db
      .prepare<[string], number>(
        `SELECT b.id FROM batches b
         WHERE (b.mix_version_id IN (SELECT value FROM json_each(?)) OR b.mix_version_id IS NULL)
         AND b.deleted_at IS NULL
         AND EXISTS (SELECT 1 FROM plantings p WHERE p.batch_id = b.id AND p.deleted_at IS NULL)
         ORDER BY b.id DESC`,
      )
      .pluck();
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

  private readonly read = (row: Row): Planting => this.rows.of(row.id, [], () => readRow(row));
  private readonly planting = (id: number): Planting =>
    this.rows.of(id, [], () => readRow(this.byId.get(id)!));

  /** What plants of it were moved into. */
  /** What it comes from, the oldest first: of several sources the first. */
  before(id: number): Planting[] {
    const chain: Planting[] = [];
    let at = this.one(id)?.from[0];
    while (at && chain.length < MOST_BEFORE) {
      const parent = this.one(at.planting);
      if (!parent) break;
      chain.unshift(parent);
      at = parent.from[0];
    }
    return chain;
  }

  childrenOf(id: number): Planting[] {
    return this.children.all(id).map(this.read);
  }

  ofBatch(batch: number): Planting[] {
    return this.inBatch.all(batch).map(this.read);
  }

  /** All that stand or stood in the mix of a batch. */
  withBatch(): Planting[] {
    return this.everyBatch.all().map(this.planting);
  }

  /** Those that are of a step of a sowing of the season. */
  ofStep({ line, sowing, step }: NonNullable<Planting['season']>): Planting[] {
    return this.inStep.all({ line, sowing, step }).map(this.read);
  }

  /** Batches of versions of a mix, or of none that is named, in which something stands or stood, newest first. */
  batchesOf(versions: readonly number[]): number[] {
    return this.batchesOfVersions.all(JSON.stringify(versions));
  }

  traysOf(trial: number): Planting[] {
    return this.ofTrial.all(trial).map(this.read);
  }
}
