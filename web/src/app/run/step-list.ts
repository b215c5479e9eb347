import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { InstrumentsService } from '../data/instruments';
import { Amount } from '../ui/words/amount';
import { SaidPipe } from '../ui/words/said';
import { shortName } from '../ui/words/words';
import { type StepFacts } from '#core/batch/step-facts';
import { HotProbe } from './hot-probe';
import { RunState, type StepRow } from './run-state';
import { StepTimer } from './step-timer';
import { TestForm } from './test-form';
import { stepList as texts } from '#words/en/places/run/step-list';
import { ReaderHere } from '../data/reader-here';

/** The order of work: the step at hand large, with its boxes, its clock and its test; the others a line each. */
@Component({
  selector: 'app-step-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-list.html',
  styleUrl: './step-list.scss',
  imports: [Amount, HotProbe, SaidPipe, StepTimer, TestForm],
})
export class StepList {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  protected readonly run = inject(RunState);
  private readonly instruments = inject(InstrumentsService);
  protected readonly scoop = this.run.scoop;
  /** A line that was opened. */
  protected readonly opened = signal<string | null>(null);
  protected readonly showsPast = signal(false);
  /** Done before the last that is: behind a line. */
  protected readonly past = computed(() => {
    const at = this.run.at();
    return Math.max(0, (at === -1 ? this.run.steps().length : at) - 1);
  });
  protected readonly doses = computed(() => {
    const snapshot = this.run.batch()?.snapshot;
    return (snapshot?.sheet.amendments ?? [])
      .map((a, i) => ({ id: a.amendment, name: shortName(snapshot!.amendments[i]!.name), grams: a.grams }))
      .filter((a) => a.grams > 0);
  });

  /** Water that is poured load by load. */
  protected soFar({ step, ticks, done }: StepRow): { poured: number; all: number } | null {
    const facts = this.factsOf(step.text, 'step.water');
    if (!facts || done || ticks.length < 2) return null;
    return { poured: (facts.litres * ticks.filter(Boolean).length) / ticks.length, all: facts.litres };
  }

  /** Boiling water of one load, as a probe finds it, where the card says what the mix takes: cards from before do not. */
  protected boils({ step }: StepRow): { litres: number; mixKJPerK: number } | null {
    const facts = this.factsOf(step.text, 'step.heat-boiling');
    if (facts?.mixKJPerK === undefined) return null;
    const { litres, mixKJPerK, loads = 1 } = facts;
    return { litres: litres / loads, mixKJPerK: mixKJPerK / loads };
  }

  private factsOf<Code extends keyof StepFacts>(
    text: StepRow['step']['text'],
    code: Code,
  ): StepFacts[Code] | null {
    return 'say' in text && text.say === code ? (text.with as StepFacts[Code]) : null;
  }

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
