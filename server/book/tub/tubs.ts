import { type z } from 'zod';
import { type Batch, type BatchLine, type batchesQuerySchema, type TubKind } from '#contract/batches';
import { PAGE } from '#contract/routes';
import { standOf } from '#contract/record-tub';
import { type BatchStand } from '#core/batch/state';
import { type Tub } from '#core/batch/tub';
import { fills } from '#core/package/stock';
import { Known } from '#server/base/database/known';
import { type KeptBatch, type KeptBatchLine } from '#server/kept/batches';
import { type Stores } from '#server/kept/stores';

const IS: Record<TubKind, (line: BatchLine) => boolean> = {
  holds: ({ leftLitres }) => leftLitres > 0,
  unmade: ({ state }) => !state.made,
  test: ({ state }) => state.made && state.toTest,
  rests: ({ state }) => state.made && state.restsUntil !== null,
};

/** What the tub of every batch holds, and how far the batch is: reckoned again when its record grows, or on a new day. */
export class Tubs {
  private readonly kept: Known<number, { tub: Tub; state: BatchStand }>;

  constructor(private readonly stores: Pick<Stores, 'db' | 'batches' | 'record' | 'calendar'>) {
    this.kept = new Known({ db: stores.db });
  }

  of(batch: number): { tub: Tub; state: BatchStand } {
    const { batches, record, calendar } = this.stores;
    const today = calendar.today();
    return this.kept.of(batch, [record.newestOf(batch), today], () => {
      const { madeOn, steps } = batches.stepsOf(batch);
      return standOf({ madeOn, steps, litres: batches.litresOf(batch) }, record.ofTub(batch), today);
    });
  }

  /** A page of the list; where one kind of tub is asked for, of those alone. */
  page({ from, only, ...asked }: z.output<typeof batchesQuerySchema>): BatchLine[] {
    const { batches } = this.stores;
    if (only === undefined) return this.lines(batches.all({ ...asked, from }));
    const found: BatchLine[] = [];
    for (let at = 0; found.length < from + PAGE; at += PAGE) {
      const lines = batches.all({ ...asked, from: at });
      found.push(...this.lines(lines).filter((line) => IS[only](line)));
      if (lines.length < PAGE) break;
    }
    return found.slice(from, from + PAGE);
  }

  private lines(lines: readonly KeptBatchLine[]): BatchLine[] {
    return lines.map(({ eachL, ...line }) => {
      const held = this.held(line.id);
      return { ...line, ...held, fills: fills(held.leftLitres, eachL) };
    });
  }

  whole(batch: KeptBatch): Batch {
    return { ...batch, ...this.held(batch.id) };
  }

  private held(id: number): Pick<Batch, 'leftLitres' | 'overLitres' | 'state'> {
    const { tub, state } = this.of(id);
    return { leftLitres: state.made ? tub.leftL : 0, overLitres: tub.overL, state };
  }
}
