import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { InstrumentsService } from '../data/instruments';
import { Amount } from '../ui/words/amount';
import { SaidPipe } from '../ui/words/said';
import { shortName } from '../ui/words/words';
import { RunState } from './run-state';
import { StepTimer } from './step-timer';
import { TestForm } from './test-form';
import { stepList as texts } from '#words/en/places/run/step-list';
import { ReaderHere } from '../data/reader-here';

/** The order of work: each step with its boxes, its clock and its test. */
@Component({
  selector: 'app-step-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-list.html',
  styleUrl: './step-list.scss',
  imports: [Amount, SaidPipe, StepTimer, TestForm],
})
export class StepList {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  protected readonly run = inject(RunState);
  private readonly instruments = inject(InstrumentsService);
  /** The first that is not done: where the hands are. */
  protected readonly current = computed(() => this.run.steps().find((s) => !s.done)?.step.id ?? null);
  protected readonly doses = computed(() => {
    const snapshot = this.run.batch()?.snapshot;
    return (snapshot?.sheet.amendments ?? [])
      .map((a, i) => ({ id: a.amendment, name: shortName(snapshot!.amendments[i]!.name), grams: a.grams }))
      .filter((a) => a.grams > 0);
  });

  protected testName(id: BenchTestId): string {
    return this.reader.word(`test.${id}.name`);
  }

  /** What the scale says is still to go in. */
  protected toGo(grams: number): string {
    const reading = this.instruments.byKind().get('scale')?.reading;
    if (reading?.value === null || reading?.value === undefined) return '';
    const left = grams - reading.value;
    if (Math.abs(left) <= Math.max(0.3, 0.01 * grams)) return texts.there;
    const mass = this.reader.formats().mass(Math.abs(left));
    return left > 0 ? texts.gToGo(mass) : texts.gTooMuch(mass);
  }
}
