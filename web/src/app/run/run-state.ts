import { computed, effect, inject, Injectable, linkedSignal, signal, untracked } from '@angular/core';
import { addDays, parseISO } from 'date-fns';
import { dateIn } from '#words/days';
import { type Step } from '#core/batch/step';
import { type TestResult } from '#core/batch/tests/bench-test';
import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { type About } from '#contract/about';
import { type EntryData, type KeptData } from '#contract/record';
import { type Batch } from '../data/batches';
import { isWork } from '#core/batch/state';
import { volumeL } from '#core/vessel/vessel';
import { standOf } from '#contract/record-tub';
import { LibraryService } from '../data/library';
import { type Lot, LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { ScoopChoice } from '../data/scoop-choice';
import { BatchRecord } from '../data/record';
import { shortName } from '../ui/words/words';
import { entryText } from '../ui/words/entry-text';
import { ReaderHere } from '../data/reader-here';

export interface StepRow {
  step: Step;
  /** One box for each load. */
  ticks: boolean[];
  done: boolean;
  due: string | null;
}

/** A material or product of the batch, with the lot that it came of. */
export interface RunItem {
  id: string;
  name: string;
  product: boolean;
  /** Loose litres, or kilograms. */
  planned: number;
  lots: readonly Lot[];
  chosen: number | null;
  amount: number | null;
  rest: number | null;
}

/** The batch that is being made, as its card and its record have it. Provided per page, shared by its pieces. */
@Injectable()
export class RunState {
  private readonly reader = inject(ReaderHere);
  private readonly record = inject(BatchRecord);
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly made = signal<Batch | null>(null);
  readonly batch = this.made.asReadonly();
  /** What this batch is counted in. */
  private readonly scoops = inject(ScoopChoice);
  private readonly chosen = this.scoops.of(
    computed(() => String(this.made()?.id ?? '')),
    computed(() => this.made()?.snapshot ?? null),
  );
  readonly scoop = computed(() => this.scoops.measure(this.chosen.id(), this.made()?.snapshot ?? null));

  readonly snapshot = computed(() => this.made()?.snapshot ?? null);
  readonly context = computed(() => this.made()?.snapshot.context ?? null);
  readonly steps = computed((): StepRow[] =>
    (this.made()?.snapshot.steps ?? []).map((step) => {
      const ticks = Array.from({ length: step.times ?? 1 }, (_, load) => this.isTicked(step, load));
      return { step, ticks, done: ticks.every(Boolean), due: this.dueOn(step) };
    }),
  );
  /** The first that is not done: where the hands are; -1 where all is. */
  readonly at = computed(() => this.steps().findIndex(({ done }) => !done));
  private readonly dueTest = computed((): BenchTestId | null => this.steps()[this.at()]?.step.test ?? null);
  /** The test whose form stands open at its step: the one that is due, until another is opened. */
  readonly openTest = linkedSignal<BenchTestId | null>(() => this.dueTest());
  /** Materials and products that go in, with the lot that each came from. */
  readonly items = computed((): RunItem[] => {
    const snapshot = this.made()?.snapshot;
    if (!snapshot) return [];
    const { sheet, materials, amendments, oversize } = snapshot;
    const over = (id: string): number => oversize?.find((each) => each.material === id)?.litres ?? 0;
    const rows = [
      ...materials.map((m, i) => ({
        ...m,
        product: false,
        planned: (sheet.components[i]?.looseLitres ?? 0) + over(m.id),
      })),
      ...amendments.map((a, i) => ({
        ...a,
        product: true,
        planned: (sheet.amendments[i]?.grams ?? 0) / 1000,
      })),
    ];
    return rows.map(({ id, name, product, planned }) => {
      const data = this.record.holds().get(`lot/${id}`);
      const result = data?.kind === 'lot' ? data : null;
      return {
        ...{ id, name: shortName(name), product, planned, lots: this.lots.of(id) },
        ...{ chosen: result?.lot ?? null, amount: result?.amount ?? null, rest: result?.rest ?? null },
      };
    });
  });
  /** How far it is and what its tub holds, by the record and by what this device has yet to send. */
  readonly stand = computed(() => {
    const batch = this.made();
    if (!batch) return null;
    const { steps, sheet } = batch.snapshot;
    const entries = [
      ...this.record.entries(),
      ...this.record.unsent().map((entry) => ({ ...entry, data: this.filled(entry.data) })),
    ];
    return standOf({ madeOn: batch.madeOn, litres: sheet.litres, steps }, entries, this.nursery.today());
  });
  /** Litres in the tub: what is not mixed yet fills none. */
  readonly left = computed(() => {
    const stand = this.stand();
    return stand?.state.made ? stand.tub.leftL : 0;
  });
  /** The last result of each test. */
  readonly results = computed(() => {
    const last = new Map<BenchTestId, TestResult>();
    for (const { data } of this.record.entries())
      if (data.kind === 'test' && data.result) last.set(data.test, data.result);
    return last;
  });

  /** All that was measured, for the correction. */
  readonly measured = computed(() => {
    const all = [...this.results().values()].map((r) => r.measures ?? {});
    const { airPct, ph, ecSaturatedMSPerCm, saturation } = Object.assign({}, ...all) as NonNullable<
      TestResult['measures']
    >;
    return {
      ...(airPct !== undefined && { airPct }),
      ...(ph !== undefined && { ph }),
      ...(ecSaturatedMSPerCm !== undefined && { ecSaturatedMSPerCm }),
      ...(saturation !== undefined && { saturation }),
    };
  });

  constructor() {
    // What an entry took is told by the lots, once the server has it.
    const taking = computed(
      () => this.record.entries().filter(({ data }) => data.kind === 'lot' || data.kind === 'use').length,
    );
    effect(() => {
      if (taking() > 0)
        untracked(() => {
          this.lots.all.refresh();
          this.lots.stock.refresh();
        });
    });
  }

  /** Work of the day that is done, and in all; what waits for its day is not of it. */
  readonly doneCount = computed(() => this.steps().filter(({ step, done }) => done && isWork(step)).length);
  readonly workCount = computed(() => this.steps().filter(({ step }) => isWork(step)).length);

  show(batch: Batch): void {
    this.made.set(batch);
    this.record.follow(batch);
  }

  enter(data: EntryData): void {
    const named = data.kind === 'lot' ? [data.lot, data.rest] : data.kind === 'use' ? [data.lot] : [];
    const about = named.flatMap((id): About[] => {
      const key = id === undefined ? null : (this.lots.one(id)?.key ?? null);
      return id === undefined || key === null ? [] : [{ kind: 'lot', id, key }];
    });
    this.record.enter(data, about);
  }

  /** An entry in a sentence. */
  words(data: EntryData): string {
    return entryText(
      data,
      this.reader.now(),
      (id) => this.items().find((item) => item.id === id)?.name ?? id,
      (lot) => this.lots.one(lot)?.name ?? `lot ${lot}`,
    );
  }

  /** A filling that is not sent yet, with what its vessels take. */
  private filled(data: KeptData): KeptData {
    if (data.kind !== 'use' || data.vessel === undefined || data.litres !== undefined) return data;
    const own = this.snapshot()?.vessel;
    const kind = own?.id === data.vessel ? own : this.library()?.vessels.get(data.vessel);
    return kind ? { ...data, litres: data.count * volumeL(kind.vessel) } : data;
  }

  private isTicked(step: Step, load: number): boolean {
    const data = this.record.holds().get(`tick/${step.id}/${load}`);
    return data?.kind === 'tick' && data.done;
  }

  private dueOn(step: Step): string | null {
    const batch = this.made();
    if (!batch || step.waitDays === undefined) return null;
    return dateIn(addDays(parseISO(batch.madeOn), step.waitDays), 'longMonth', this.reader.now().language);
  }
}
