import { type ShelfChange, type ShelfLine } from '#contract/shelf';
import { type Db } from '#server/base/database/db';

interface Row {
  material: string;
  here: number;
  costPerL: number | null;
  useUp: number;
}

/** How materials stand on the shelf; those that were never put there have no line. */
export class ShelfStore {
  private readonly lines;
  private readonly set;

  constructor(private readonly db: Db) {
    this.lines = db.prepare<[], Row>(
      `SELECT id AS material, here, price AS costPerL, use_up AS useUp FROM items
       WHERE kind = 'material' AND shelved_at IS NOT NULL ORDER BY position, id`,
    );
    this.set = db.prepare(
      `UPDATE items SET here = @here, price = @costPerL, use_up = @useUp, shelved_at = @now
       WHERE id = @material AND kind = 'material'`,
    );
  }

  all(): ShelfLine[] {
    return this.lines.all().map((row) => ({ ...row, here: row.here === 1, useUp: row.useUp === 1 }));
  }

  /** Changes what is named; another's change of the rest stays. */
  change(material: string, change: ShelfChange, now: string): ShelfLine {
    return this.db
      .transaction(() => {
        const present = this.all().find((line) => line.material === material);
        const { here, costPerL, useUp } = change;
        const line = {
          material,
          here: here ?? present?.here ?? false,
          costPerL: costPerL === undefined ? (present?.costPerL ?? null) : costPerL,
          useUp: useUp ?? present?.useUp ?? false,
        };
        this.put(line, now);
        return line;
      })
      .immediate();
  }

  put(line: ShelfLine, now: string): void {
    this.set.run({ ...line, here: Number(line.here), useUp: Number(line.useUp), now });
  }
}
