import { type Batch, type BatchLine } from '#contract/batches';
import { type z } from 'zod';
import { type batchesQuerySchema } from '#contract/batches';
import { PAGE } from '#contract/routes';
import { readSnapshot, stepsSchema } from '#contract/snapshot';
import { plannedItems } from '#core/batch/planned';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { partsKey } from '#core/recipe/parts-key';
import { type Recipe } from '#core/recipe/recipe';
import { type Vessel, volumeL } from '#core/vessel/vessel';
import { MixStore } from '#server/kept/mixes';
import { Known } from '#server/base/database/known';
import { type Db } from '#server/base/database/db';

type Saved = Pick<Batch, 'mixId' | 'mixName' | 'mixKey'>;
/** What the tub holds is reckoned from its record. */
type OfTub = 'leftLitres' | 'overLitres' | 'state';
export type KeptBatch = Omit<Batch, OfTub>;
/** With what one of its vessels takes, L. */
export type KeptBatchLine = Omit<BatchLine, OfTub | 'fills'> & { eachL: number };
type Row = Omit<KeptBatch, 'snapshot' | keyof Saved> & { snapshot_json: string };
type LineRow = Omit<KeptBatchLine, 'mixId' | 'mixName'>;

const SELECT = `SELECT id, key, name, mix_version_id AS mixVersionId, made_on AS madeOn, created_at AS createdAt,
  snapshot_json FROM batches`;
const NONE: Saved = { mixId: null, mixName: null, mixKey: null };

/** What is still to be done on a batch. */
export interface BatchSteps {
  id: number;
  key: string;
  name: string;
  madeOn: string;
  steps: BatchSnapshot['steps'];
}

interface BatchBill {
  planned: ReturnType<typeof plannedItems>;
  cost: NonNullable<BatchSnapshot['cost']> | null;
}

/** As it stands between signs of LIKE. */
const likeOf = (text: string): string => text.replaceAll(/[!%_]/g, '!$&');

/** What was made, each with all it was made from. */
export class BatchStore {
  private readonly listed;
  private readonly found;
  private readonly line;
  private readonly lines: Known<number, LineRow>;
  private readonly made;
  private readonly madeOf: Known<number, { version: number | null; key: string }>;
  private readonly saved;
  private readonly madeSince;
  private readonly bills: Known<number, BatchBill>;
  private readonly madeIn;
  private readonly oldest;
  private readonly newest;
  private readonly steps;
  private readonly stepsRead: Known<number, BatchSteps>;
  private readonly byId;
  private readonly named;
  private readonly keyed;
  private readonly insert;
  private readonly away;
  private readonly setAway;

  constructor(
    private readonly db: Db,
    private readonly mixes = new MixStore(db),
  ) {
    this.madeOf = new Known({ db });
    this.made = db.prepare<[number], { version: number | null; recipe: string }>(
      "SELECT mix_version_id AS version, snapshot_json -> '$.recipe' AS recipe FROM batches WHERE id = ?",
    );
    this.saved = db.prepare<[number], Saved>(
      `SELECT m.id AS mixId, m.name AS mixName, m.key AS mixKey
       FROM mix_versions v JOIN mixes m ON m.id = v.mix_id WHERE v.id = ?`,
    );
    this.lines = new Known({ db });
    this.stepsRead = new Known({ db });
    this.bills = new Known({ db });
    const listed = (where: string) =>
      db
        .prepare<[number, number], number>(
          `SELECT id FROM batches WHERE ${where} ORDER BY made_on DESC, id DESC LIMIT ? OFFSET ?`,
        )
        .pluck();
    // Apart, so that each has an index of its own.
    this.listed = { no: listed('deleted_at IS NULL'), yes: listed('deleted_at IS NOT NULL') };
    const found = (where: string) =>
      db
        .prepare<[string, string, number, number], number>(
          `SELECT id FROM batches WHERE ${where} AND name LIKE ? ESCAPE '!' AND made_on LIKE ?
           ORDER BY made_on DESC, id DESC LIMIT ? OFFSET ?`,
        )
        .pluck();
    this.found = { no: found('deleted_at IS NULL'), yes: found('deleted_at IS NOT NULL') };
    this.line = db.prepare<[number], Omit<LineRow, 'eachL'> & { vesselJson: string }>(
      `SELECT id, key, name, made_on AS madeOn, created_at AS createdAt,
         snapshot_json ->> '$.recipe.stage' AS stage,
         snapshot_json ->> '$.vessel.name' AS vessel,
         snapshot_json ->> '$.vessel.id' AS vesselId,
         snapshot_json -> '$.vessel.vessel' AS vesselJson,
         snapshot_json ->> '$.sheet.litres' AS litres
       FROM batches WHERE id = ?`,
    );
    this.madeSince = db
      .prepare<[string], number>(
        'SELECT id FROM batches WHERE deleted_at IS NULL AND made_on >= ? ORDER BY made_on DESC, id DESC',
      )
      .pluck();
    this.madeIn = db
      .prepare<[string, string], number>(
        'SELECT id FROM batches WHERE deleted_at IS NULL AND made_on BETWEEN ? AND ? ORDER BY made_on, id',
      )
      .pluck();
    const end = (order: 'ASC' | 'DESC') =>
      db
        .prepare<[], string>(
          `SELECT made_on FROM batches WHERE deleted_at IS NULL AND made_on > '' ORDER BY made_on ${order} LIMIT 1`,
        )
        .pluck();
    this.oldest = end('ASC');
    this.newest = end('DESC');
    this.steps = db.prepare<[number], Omit<BatchSteps, 'steps'> & { steps_json: string }>(
      `SELECT id, key, name, made_on AS madeOn, snapshot_json -> '$.steps' AS steps_json FROM batches WHERE id = ?`,
    );
    this.byId = db.prepare<[number], Row>(`${SELECT} WHERE id = ?`);
    this.named = db.prepare<[number], string>('SELECT name FROM batches WHERE id = ?').pluck();
    this.keyed = db.prepare<[string], Row>(`${SELECT} WHERE key = ?`);
    this.insert = db.prepare(
      `INSERT INTO batches (key, name, mix_version_id, made_on, snapshot_json, created_at)
       VALUES (@key, @name, @mixVersionId, @madeOn, @snapshot, @createdAt)`,
    );
    this.away = db.prepare<[number]>('SELECT 1 FROM batches WHERE id = ? AND deleted_at IS NOT NULL');
    this.setAway = db.prepare('UPDATE batches SET deleted_at = ? WHERE id = ?');
  }

  /** A page of those that are there, or of those put away, by name or by month where that is asked; newest first. */
  all({ away, from, find, month }: Omit<z.output<typeof batchesQuerySchema>, 'only'>): KeptBatchLine[] {
    const ids =
      find === undefined && month === undefined
        ? this.listed[away].all(PAGE, from)
        : this.found[away].all(`%${likeOf(find ?? '')}%`, `${month ?? ''}%`, PAGE, from);
    return ids.map((id) => this.listedAs(id));
  }

  private listedAs(id: number): KeptBatchLine {
    const { mixId, mixName } = this.savedOf(id);
    return { ...this.lineOf(id), mixId, mixName };
  }

  /** Batches of a year. @param year YYYY */
  ofYear(year: string): KeptBatchLine[] {
    return this.madeIn.all(`${year}-01-01`, `${year}-12-31`).map((id) => this.listedAs(id));
  }

  /** What it planned to take, and what that cost on its day where it was known then. */
  readonly billOf = (id: number): BatchBill =>
    this.bills.of(id, [], () => {
      const { snapshot } = this.one(id)!;
      return { planned: plannedItems(snapshot), cost: snapshot.cost ?? null };
    });

  /** Years of the oldest and the newest; null where there is none. */
  years(): { from: string; to: string } | null {
    const year = (day: string | null | undefined): string | undefined => day?.slice(0, 4);
    const [from, to] = [year(this.oldest.get()), year(this.newest.get())];
    return from === undefined || to === undefined ? null : { from, to };
  }

  private lineOf(id: number): LineRow {
    return this.lines.of(id, [], () => {
      const { vesselJson, ...line } = this.line.get(id)!;
      return { ...line, eachL: volumeL(JSON.parse(vesselJson) as Vessel) };
    });
  }

  /** Finished mix that it is of, L. */
  litresOf(id: number): number {
    return this.lineOf(id).litres;
  }

  /** Its name alone: the whole of a batch takes a while to read. */
  nameOf(id: number): string | null {
    return this.named.get(id) ?? null;
  }

  /** Number of the saved mix that has its parts and doses, whatever the job; null where none has. */
  mixOf(id: number): number | null {
    return this.savedOf(id).mixId;
  }

  /** The version that it was made from, or that has the same parts and doses. */
  versionOf(id: number): number | null {
    // What it was made from never changes.
    const { version, key } = this.madeOf.of(id, [], () => {
      const made = this.made.get(id);
      return { version: made?.version ?? null, key: made ? partsKey(JSON.parse(made.recipe) as Recipe) : '' };
    });
    return version ?? this.mixes.versionOfKey(key);
  }

  private savedOf(id: number): Saved {
    const version = this.versionOf(id);
    return (version === null ? undefined : this.saved.get(version)) ?? NONE;
  }

  private read({ snapshot_json, ...row }: Row): KeptBatch {
    return { ...row, ...this.savedOf(row.id), snapshot: readSnapshot(JSON.parse(snapshot_json)) };
  }

  /** Batches made on a day or later, newest first. @param day YYYY-MM-DD */
  since(day: string): number[] {
    return this.madeSince.all(day);
  }

  /** Steps of a batch. They never change, so each card is read once. */
  readonly stepsOf = (id: number): BatchSteps =>
    this.stepsRead.of(id, [], () => {
      const { steps_json, ...batch } = this.steps.get(id)!;
      return { ...batch, steps: stepsSchema.parse(JSON.parse(steps_json)) };
    });

  one(id: number): KeptBatch | null {
    const row = this.byId.get(id);
    return row ? this.read(row) : null;
  }

  byKey(key: string): KeptBatch | null {
    const row = this.keyed.get(key);
    return row ? this.read(row) : null;
  }

  add(batch: Omit<KeptBatch, 'id' | keyof Saved>): KeptBatch {
    const { lastInsertRowid } = this.insert.run({ ...batch, snapshot: JSON.stringify(batch.snapshot) });
    return this.one(Number(lastInsertRowid))!;
  }

  /** With whatever else has to be noted of it, or not at all. */
  addFor(batch: Omit<KeptBatch, 'id' | keyof Saved>, note: (id: number) => void): KeptBatch {
    return this.db
      .transaction(() => {
        const made = this.add(batch);
        note(made.id);
        return made;
      })
      .immediate();
  }

  isAway(id: number): boolean {
    return this.away.get(id) !== undefined;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }
}
