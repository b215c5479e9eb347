import { type Db } from '#server/database/open';

/** How a material stands on the shelf. */
export interface ShelfLine {
  material: string;
  here: boolean;
  /** Per litre, loose; null where it is not known. */
  costPerL: number | null;
  useUp: boolean;
}

interface Row {
  material: string;
  here: number;
  costPerL: number | null;
  useUp: number;
}

/** What stands on the shelf; materials without a line stand elsewhere. */
export class Shelf {
  constructor(private readonly db: Db) {}

  all(): ShelfLine[] {
    return this.db
      .prepare<[], Row>(
        `SELECT s.material, s.here, s.cost_per_l AS costPerL, s.use_up AS useUp
         FROM shelf s JOIN materials m ON m.id = s.material ORDER BY m.position, m.id`,
      )
      .all()
      .map((row) => ({ ...row, here: row.here === 1, useUp: row.useUp === 1 }));
  }

  put(line: ShelfLine, now: string): void {
    this.db
      .prepare(
        `INSERT INTO shelf (material, here, cost_per_l, use_up, changed_at)
         VALUES (@material, @here, @costPerL, @useUp, @now)
         ON CONFLICT (material) DO UPDATE SET here = excluded.here, cost_per_l = excluded.cost_per_l,
           use_up = excluded.use_up, changed_at = excluded.changed_at`,
      )
      .run({ ...line, here: Number(line.here), useUp: Number(line.useUp), now });
  }
}
