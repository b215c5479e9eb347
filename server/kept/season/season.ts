import {
  changedLineSchema,
  type DoneTask,
  type MadeFor,
  type NewLine,
  type Plan,
  seasonSettingsSchema,
} from '#contract/plan';
import { type z } from 'zod';
import { type SeasonLine, type SeasonSettings } from '#core/season/line';
import { taskOfStep } from '#core/season/tasks';
import { usualSettings } from '#core/season/usual-settings';
import { type Db } from '#server/base/database/db';
import { type Folder } from '#server/base/database/folder';

type ChangedLine = z.output<typeof changedLineSchema>;
interface Row {
  id: number;
  key: string;
  row_json: string;
}
const read = ({ id, row_json }: Row): SeasonLine => ({
  ...changedLineSchema.parse(JSON.parse(row_json)),
  id,
});

/** The season as it is planned: its settings, lines of crops, what was done, and batches that were made for it. */
export class SeasonStore {
  private readonly every;
  private readonly byId;
  private readonly keyed;
  private readonly insert;
  private readonly update;
  private readonly setAway;
  private readonly allDone;
  private readonly mark;
  private readonly unmark;
  private readonly markBy;
  private readonly unmarkBy;
  private readonly markedBy;
  private readonly allMade;
  private readonly makeFor;

  constructor(
    private readonly db: Db,
    private readonly folder: Folder,
  ) {
    this.every = db.prepare<[], Row>(
      'SELECT id, key, row_json FROM season_lines WHERE deleted_at IS NULL ORDER BY id',
    );
    this.byId = db.prepare<[number], Row>('SELECT id, key, row_json FROM season_lines WHERE id = ?');
    this.keyed = db.prepare<[string], Row>('SELECT id, key, row_json FROM season_lines WHERE key = ?');
    this.insert = db.prepare('INSERT INTO season_lines (key, row_json, created_at) VALUES (?, ?, ?)');
    this.update = db.prepare('UPDATE season_lines SET row_json = ? WHERE id = ?');
    this.setAway = db.prepare('UPDATE season_lines SET deleted_at = ? WHERE id = ?');
    this.allDone = db.prepare<[], DoneTask>(
      `SELECT d.line_id AS line, d.sowing, d.task, d.day AS "on" FROM season_done d
       JOIN season_lines l ON l.id = d.line_id WHERE l.deleted_at IS NULL ORDER BY d.day, d.line_id, d.sowing`,
    );
    this.mark = db.prepare(
      `INSERT INTO season_done (line_id, sowing, task, day) VALUES (@line, @sowing, @task, @on)
       ON CONFLICT (line_id, sowing, task) DO UPDATE SET day = excluded.day, by_planting = 0`,
    );
    // What a person ticked stays theirs.
    this.markBy = db.prepare(
      `INSERT INTO season_done (line_id, sowing, task, day, by_planting) VALUES (@line, @sowing, @task, @on, 1)
       ON CONFLICT (line_id, sowing, task) DO NOTHING`,
    );
    this.unmarkBy = db.prepare(
      'DELETE FROM season_done WHERE line_id = @line AND sowing = @sowing AND task = @task AND by_planting = 1',
    );
    this.markedBy = db.prepare<[], { line: number; sowing: number; task: string }>(
      `SELECT d.line_id AS line, d.sowing, d.task FROM season_done d
       JOIN season_lines l ON l.id = d.line_id WHERE l.deleted_at IS NULL AND d.by_planting = 1`,
    );
    this.unmark = db.prepare('DELETE FROM season_done WHERE line_id = ? AND sowing = ? AND task = ?');
    this.allMade = db.prepare<[], MadeFor & { batch: number }>(
      `SELECT f.batch_id AS batch, f.line_id AS line, f.sowing, f.step FROM batch_for f
       JOIN batches b ON b.id = f.batch_id WHERE b.deleted_at IS NULL ORDER BY f.batch_id`,
    );
    this.makeFor = db.prepare(
      'INSERT OR IGNORE INTO batch_for (batch_id, line_id, sowing, step) VALUES (@batch, @line, @sowing, @step)',
    );
  }

  /** @param today whose season it is where nobody set the frosts */
  settings(today: string): SeasonSettings {
    const kept = this.folder.season;
    return kept === undefined ? usualSettings(today) : seasonSettingsSchema.parse(JSON.parse(kept));
  }

  setSettings(settings: SeasonSettings): SeasonSettings {
    this.folder.season = JSON.stringify(settings);
    return settings;
  }

  lines(): SeasonLine[] {
    return this.every.all().map(read);
  }

  plan(today: string): Plan {
    return {
      settings: this.settings(today),
      lines: this.lines(),
      keys: Object.fromEntries(this.every.all().map(({ id, key }) => [String(id), key])),
      done: this.allDone.all(),
      made: this.allMade.all(),
    };
  }

  one(id: number): SeasonLine | null {
    const row = this.byId.get(id);
    return row ? read(row) : null;
  }

  byKey(key: string): SeasonLine | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  add({ key, ...line }: NewLine, now: string): SeasonLine {
    const { lastInsertRowid } = this.insert.run(key, JSON.stringify(line), now);
    return this.one(Number(lastInsertRowid))!;
  }

  change(id: number, line: ChangedLine): SeasonLine | null {
    return this.update.run(JSON.stringify(line), id).changes === 1 ? this.one(id) : null;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }

  /** @param on null takes it back */
  setDone(line: number, { sowing, task, on }: { sowing: number; task: string; on: string | null }): void {
    if (on === null) this.unmark.run(line, sowing, task);
    else this.mark.run({ line, sowing, task, on });
  }

  /** A planting is of a step of a sowing: that step is ticked, unless a person did so before. */
  tickBy({ line, sowing, step }: MadeFor, on: string): void {
    this.markBy.run({ line, sowing, task: taskOfStep(step), on });
  }

  /** Takes the tick of plantings back; what a person ticked stays. */
  untickBy({ line, sowing, step }: MadeFor): void {
    this.unmarkBy.run({ line, sowing, task: taskOfStep(step) });
  }

  /** Tasks that plantings ticked: they may be half done. */
  tickedByPlantings(): { line: number; sowing: number; task: string }[] {
    return this.markedBy.all();
  }

  /** Notes what a batch was made for; of lines that are there. */
  noteMade(batch: number, steps: readonly MadeFor[]): void {
    for (const step of steps) if (this.one(step.line)) this.makeFor.run({ batch, ...step });
  }
}
