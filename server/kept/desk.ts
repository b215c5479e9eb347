import { type Desk, lowSchema } from '#contract/today';
import { type Db } from '#server/base/database/db';
import { type Folder } from '#server/base/database/folder';

/** What a person said on Today: what is put off, and how cold tonight is to be. */
export class DeskStore {
  private readonly off;
  private readonly put;
  private readonly unput;

  constructor(
    db: Db,
    private readonly folder: Folder,
  ) {
    this.off = db.prepare<[string], Desk['putOff'][number]>(
      'SELECT item, until FROM put_off WHERE until > ? ORDER BY item',
    );
    this.put = db.prepare(
      'INSERT INTO put_off (item, until) VALUES (?, ?) ON CONFLICT (item) DO UPDATE SET until = excluded.until',
    );
    this.unput = db.prepare('DELETE FROM put_off WHERE item = ?');
  }

  /** @param today YYYY-MM-DD */
  on(today: string): Desk {
    const kept = this.folder.low;
    const low = kept === undefined ? null : lowSchema.parse(JSON.parse(kept));
    return {
      putOff: this.off.all(today),
      low: low?.on === today ? low.celsius : null,
      demo: this.folder.demoSteps !== null,
    };
  }

  /** @param until null takes it back */
  putOff(item: string, until: string | null): void {
    if (until === null) this.unput.run(item);
    else this.put.run(item, until);
  }

  setLow(on: string, celsius: number | null): void {
    this.folder.low = JSON.stringify({ on, celsius });
  }
}
