import { DatePipe } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { addDays, format, parseISO } from 'date-fns';
import { type TestResult, type TestValues } from '#core/batch/tests/bench-test';
import { benchTestIds, benchTests, type BenchTestId } from '#core/batch/tests/bench-tests';
import { type Step } from '#core/batch/order-of-work';
import { type EntryData } from '#contract/record';
import { fixed } from '#core/units/show';
import { CorrectBatch } from '../bench/correct-batch';
import { BatchesService, type Batch } from '../data/batches';
import { faultWords, InstrumentsService, type InstrumentReading } from '../data/instruments';
import { LotsService } from '../data/lots';
import { MixesService } from '../data/mixes';
import { Notices } from '../data/notices';
import { BatchRecord } from '../data/record';
import { loadingOf } from '../ui/loading';
import { Amount } from '../ui/words/amount';
import { NumberField } from '../ui/fields/number-field';
import { SaidPipe } from '../ui/words/said';
import { shortName } from '../ui/words/words';
import { entryText } from './entry-text';
import { LabelForm } from './label-form';
import { StepTimer } from './step-timer';
import { TestForm } from './test-form';

/** Making a batch, step by step: tick, weigh, test, put right, label. */
@Component({
  selector: 'app-run-page',
  imports: [
    Amount,
    CorrectBatch,
    DatePipe,
    LabelForm,
    NumberField,
    RouterLink,
    SaidPipe,
    StepTimer,
    TestForm,
  ],
  providers: [BatchRecord],
  templateUrl: './run-page.html',
  styleUrl: './run-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RunPage {
  readonly id = input.required<string>();
  private readonly batches = inject(BatchesService);
  private readonly mixes = inject(MixesService);
  private readonly notices = inject(Notices);
  protected readonly record = inject(BatchRecord);
  protected readonly instruments = inject(InstrumentsService);
  protected readonly lots = inject(LotsService);
  protected readonly testIds = benchTestIds;
  protected readonly tests = benchTests;
  protected readonly shortName = shortName;
  protected readonly openTest = signal<BenchTestId | null>(null);
  protected readonly used = signal<{ what: string; count: number | undefined }>({
    what: '',
    count: undefined,
  });
  protected readonly lotName = signal('');

  protected readonly loading = loadingOf(this.id, (id) => this.batches.one(id));
  protected readonly batch = computed(() => {
    const l = this.loading();
    return l.state === 'there' ? l.it : null;
  });
  protected readonly context = computed(() => {
    const batch = this.batch();
    return batch?.snapshot.context ?? null;
  });
  protected readonly steps = computed(() =>
    (this.batch()?.snapshot.steps ?? []).map((step) => {
      const ticks = Array.from({ length: step.times ?? 1 }, (_, load) => this.isTicked(step, load));
      return { step, ticks, done: ticks.every(Boolean), due: this.dueOn(step) };
    }),
  );
  protected readonly doneCount = computed(() => this.steps().filter((s) => s.done).length);
  /** The first that is not done: where the hands are. */
  protected readonly current = computed(() => this.steps().find((s) => !s.done)?.step.id ?? null);
  protected readonly doses = computed(() => {
    const batch = this.batch();
    if (!batch) return [];
    const { sheet, amendments } = batch.snapshot;
    return sheet.amendments
      .map((a, i) => ({ id: a.amendment, name: shortName(amendments[i]!.name), grams: a.grams }))
      .filter((a) => a.grams > 0);
  });
  protected readonly items = computed(() => {
    const batch = this.batch();
    if (!batch) return [];
    const { materials, amendments } = batch.snapshot;
    return [...materials, ...amendments].map(({ id, name }) => ({
      id,
      name: shortName(name),
      lots: this.lots.all().filter((lot) => lot.item === id),
      chosen: this.lotOf(id),
    }));
  });
  protected readonly results = computed(() => {
    const last = new Map<BenchTestId, TestResult>();
    for (const { data } of this.record.entries())
      if (data.kind === 'test' && data.result) last.set(data.test, data.result);
    return last;
  });
  /** All that was measured, for the correction. */
  protected readonly measured = computed(() => {
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
  protected readonly history = computed(() =>
    [...this.record.entries()].reverse().map((entry) => ({
      id: entry.id,
      at: entry.at,
      text: entryText(
        entry.data,
        (id) => this.nameOf(id),
        (lot) => this.lots.one(lot)?.name ?? `lot ${lot}`,
      ),
    })),
  );
  protected readonly shrinkagePct = computed(() => this.results().get('yield')?.measures?.shrinkagePct);

  constructor() {
    inject(DestroyRef).onDestroy(this.instruments.watch());
    effect(() => {
      const batch = this.batch();
      if (batch) untracked(() => this.record.follow(batch.id));
    });
  }

  protected tick(step: Step, load: number, done: boolean): void {
    this.record.enter({ kind: 'tick', step: step.id, load, done });
  }

  protected test(id: BenchTestId, values: TestValues): void {
    this.record.enter({ kind: 'test', test: id, values });
  }

  protected corrected(steps: string[]): void {
    this.record.enter({ kind: 'correction', steps });
  }

  protected setLot(item: string, lot: string): void {
    if (lot !== '') this.record.enter({ kind: 'lot', item, lot: Number(lot) });
  }

  protected addLot(item: string): void {
    const name = this.lotName().trim();
    if (name === '') return;
    this.lots.add({ item, name, receivedOn: today() }).subscribe({
      next: (lot) => {
        this.lotName.set('');
        this.record.enter({ kind: 'lot', item, lot: lot.id });
      },
      error: (error: Error) => this.notices.say(`Not kept: ${error.message}`),
    });
  }

  protected enterUse(): void {
    const { what, count } = this.used();
    if (what.trim() === '' || count === undefined) return;
    this.record.enter({ kind: 'use', what: what.trim(), count, on: today() });
    this.used.set({ what: '', count: undefined });
  }

  /** A measured yield stands for this mix from now on, as a new version of it. */
  protected keepYield(batch: Batch): void {
    const shrinkagePct = this.shrinkagePct();
    if (shrinkagePct === undefined || batch.mixId === null) return;
    const { recipe } = batch.snapshot;
    const measured = { ...recipe.measured, shrinkagePct: Math.round(shrinkagePct * 10) / 10 };
    this.mixes.keepVersion(batch.mixId, { ...recipe, measured }).subscribe({
      next: (mix) => this.notices.say(`Kept in ${mix.name}, version ${mix.version}.`),
      error: (error: Error) => this.notices.say(`Not kept: ${error.message}`),
    });
  }

  protected words(data: EntryData): string {
    return entryText(
      data,
      (id) => this.nameOf(id),
      (lot) => this.lots.one(lot)?.name ?? `lot ${lot}`,
    );
  }

  /** Tests that belong to a step open there. */
  protected isStepTest(id: BenchTestId): boolean {
    return this.steps().some(({ step }) => step.test === id);
  }

  protected brief({ value, unit, verdict }: TestResult): string {
    const word = { low: ', low', ok: '', high: ', high' }[verdict];
    return `${fixed(value, Math.abs(value) < 10 ? 1 : 0)} ${unit.split(',')[0]!}${word}`;
  }

  protected live(reading: InstrumentReading | null): string {
    if (!reading) return 'no reading';
    return reading.fault ? faultWords[reading.fault] : String(reading.value);
  }

  protected toGo(grams: number): string {
    const reading = this.instruments.byKind().get('scale')?.reading;
    if (reading?.value === null || reading?.value === undefined) return '';
    const left = grams - reading.value;
    if (Math.abs(left) <= Math.max(0.3, 0.01 * grams)) return 'there';
    return left > 0 ? `${fixed(left, 1)} g to go` : `${fixed(-left, 1)} g too much`;
  }

  private isTicked(step: Step, load: number): boolean {
    const data = this.record.holds().get(`tick/${step.id}/${load}`);
    return data?.kind === 'tick' && data.done;
  }

  private dueOn(step: Step): string | null {
    const batch = this.batch();
    if (!batch || step.waitDays === undefined) return null;
    return format(addDays(parseISO(batch.madeOn), step.waitDays), 'd MMMM');
  }

  private lotOf(item: string): number | null {
    const data = this.record.holds().get(`lot/${item}`);
    return data?.kind === 'lot' ? data.lot : null;
  }

  private nameOf(id: string): string {
    return this.items().find((item) => item.id === id)?.name ?? id;
  }
}

const today = (): string => format(new Date(), 'yyyy-MM-dd');
