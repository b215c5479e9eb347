import { computed, inject, Injectable, signal } from '@angular/core';
import { addDays, format, parseISO } from 'date-fns';
import { type Step } from '#core/batch/step';
import { type TestResult } from '#core/batch/tests/bench-test';
import { type Said } from '#core/units/said';
import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { type EntryData } from '#contract/record';
import { type Batch } from '../data/batches';
import { LotsService } from '../data/lots';
import { BatchRecord } from '../data/record';
import { shortName } from '../ui/words/words';
import { entryText } from './entry-text';

export interface StepRow {
  step: Step;
  /** One box for each load. */
  ticks: boolean[];
  done: boolean;
  due: string | null;
}

/** The batch that is being made, as its card and its record have it. Provided per page, shared by its pieces. */
@Injectable()
export class RunState {
  private readonly record = inject(BatchRecord);
  private readonly lots = inject(LotsService);
  private readonly made = signal<Batch | null>(null);
  readonly batch = this.made.asReadonly();
  /** The test whose form stands open at its step. */
  readonly openTest = signal<BenchTestId | null>(null);

  readonly snapshot = computed(() => this.made()?.snapshot ?? null);
  readonly context = computed(() => this.made()?.snapshot.context ?? null);
  readonly steps = computed((): StepRow[] =>
    (this.made()?.snapshot.steps ?? []).map((step) => {
      const ticks = Array.from({ length: step.times ?? 1 }, (_, load) => this.isTicked(step, load));
      return { step, ticks, done: ticks.every(Boolean), due: this.dueOn(step) };
    }),
  );
  /** Materials and products that go in, with the lot that each came from. */
  readonly items = computed(() => {
    const snapshot = this.made()?.snapshot;
    return [...(snapshot?.materials ?? []), ...(snapshot?.amendments ?? [])].map(({ id, name }) => ({
      id,
      name: shortName(name),
      lots: this.lots.of(id),
      chosen: this.lotOf(id),
    }));
  });
  /** The last result of each test. */
  readonly results = computed(() => {
    const last = new Map<BenchTestId, TestResult>();
    for (const { data } of this.record.entries())
      if (data.kind === 'test' && data.result) last.set(data.test, data.result);
    return last;
  });

  show(batch: Batch): void {
    this.made.set(batch);
    this.record.follow({ id: batch.id, key: batch.key });
  }

  enter(data: EntryData): void {
    this.record.enter(data);
  }

  /** An entry in a sentence. */
  words(data: EntryData): string | Said {
    return entryText(
      data,
      (id) => this.items().find((item) => item.id === id)?.name ?? id,
      (lot) => this.lots.one(lot)?.name ?? `lot ${lot}`,
    );
  }

  private isTicked(step: Step, load: number): boolean {
    const data = this.record.holds().get(`tick/${step.id}/${load}`);
    return data?.kind === 'tick' && data.done;
  }

  private dueOn(step: Step): string | null {
    const batch = this.made();
    if (!batch || step.waitDays === undefined) return null;
    return format(addDays(parseISO(batch.madeOn), step.waitDays), 'd MMMM');
  }

  private lotOf(item: string): number | null {
    const data = this.record.holds().get(`lot/${item}`);
    return data?.kind === 'lot' ? data.lot : null;
  }
}
