import { WrittenPipe } from '../ui/words/written';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { CorrectBatch } from '../bench/correct-batch';
import { BatchesService } from '../data/batches';
import { InstrumentsService } from '../data/instruments';
import { BatchRecord } from '../data/record';
import { resourceOf } from '../data/resource';
import { BatchRemarks } from '../ui/batch-remarks';
import { Fold } from '../ui/fold';
import { FetchState } from '../ui/fetch-state';
import { LabelForm } from './label-form';
import { LiveList } from './live-list';
import { LotPicker } from './lot-picker';
import { RunState } from './run-state';
import { StepList } from './step-list';
import { TestList } from './test-list';
import { TubPanel } from './tub-panel';
import { UseForm } from './use-form';
import { runPage as texts } from '#words/en/places/run/run-page';
import { common } from '#words/en/places/common';

/** Entries of the record that are shown at first. */
const HISTORY = 12;

/** Making a batch, step by step: tick, weigh, test, put right, label. */
@Component({
  selector: 'app-run-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [BatchRecord, RunState],
  templateUrl: './run-page.html',
  styleUrl: './run-page.scss',
  imports: [
    BatchRemarks,
    CorrectBatch,
    WrittenPipe,
    FetchState,
    Fold,
    LabelForm,
    LiveList,
    LotPicker,
    RouterLink,
    StepList,
    TestList,
    TubPanel,
    UseForm,
  ],
})
export class RunPage {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly id = input.required<string>();
  private readonly batches = inject(BatchesService);
  protected readonly record = inject(BatchRecord);
  protected readonly run = inject(RunState);
  protected readonly fetched = resourceOf(this.id, (id) => this.batches.one(id));
  protected readonly batch = this.run.batch;

  protected readonly measured = this.run.measured;
  /** How many of the newest entries are in sight. */
  protected readonly length = signal(HISTORY);
  protected readonly history = computed(() =>
    this.record
      .entries()
      .slice(-this.length())
      .reverse()
      .map(({ id, at, data }) => ({ id, at, text: this.run.words(data) })),
  );
  protected readonly older = computed(() => this.record.entries().length - this.history().length);

  /** What the work is, and what is asked for beside it: one press away from anywhere. */
  protected readonly parts = [
    { id: 'steps', name: texts.steps },
    { id: 'tub', name: texts.tub },
    { id: 'tests', name: texts.tests },
    { id: 'labels', name: texts.labels },
    { id: 'lots', name: texts.lots },
    { id: 'record', name: texts.record },
  ];
  private readonly page = inject<ElementRef<HTMLElement>>(ElementRef);

  protected go(id: string): void {
    this.page.nativeElement.querySelector(`#${id}`)?.scrollIntoView();
  }

  protected showOlder(): void {
    this.length.update((shown) => 2 * shown);
  }

  constructor() {
    inject(DestroyRef).onDestroy(inject(InstrumentsService).watch());
    effect(() => {
      const batch = this.fetched.value();
      if (batch) untracked(() => this.run.show(batch));
    });
  }
}
