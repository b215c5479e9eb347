import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type TestResult } from '#core/batch/tests/bench-test';
import { benchTestIds, type BenchTestId } from '#core/batch/tests/bench-tests';
import { keptHere } from '../data/making';
import { MixesService } from '../data/mixes';
import { Notices } from '../data/notices';
import { RunState } from './run-state';
import { TestForm } from './test-form';
import { testList as texts } from '#words/en/places/run/test-list';
import { ReaderHere } from '../data/reader-here';

/** Every bench test, with what each came to last. */
@Component({
  selector: 'app-test-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (id of ids; track id) {
      <details [open]="run.openTest() === id && !isStepTest(id)">
        <summary>
          {{ name(id) }}
          @if (run.results().get(id); as r) {
            <b [class.off]="r.verdict !== 'ok'">{{ brief(id, r) }}</b>
          }
        </summary>
        <app-test-form
          [id]="id"
          [context]="run.context()!"
          [last]="run.results().get(id)"
          (entered)="run.enter({ kind: 'test', test: id, values: $event })"
        />
        @if (id === 'yield' && shrinkagePct() !== undefined && mixId() !== null) {
          <button type="button" class="press" (click)="keepYield()">{{ texts.useThisYieldForThe }}</button>
        }
      </details>
    }
  `,
  styles: `
    summary b {
      float: right;
    }
    .off {
      color: var(--stop);
    }
    details {
      border-bottom: 1px solid var(--hairline);
    }
  `,
  imports: [TestForm],
})
export class TestList {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  protected readonly run = inject(RunState);
  private readonly mixes = inject(MixesService);
  private readonly notices = inject(Notices);
  protected readonly ids = benchTestIds;
  protected readonly shrinkagePct = computed(() => this.run.results().get('yield')?.measures?.shrinkagePct);
  protected readonly mixId = computed(() => this.run.batch()?.mixId ?? null);

  /** Tests that belong to a step open there. */
  protected isStepTest(id: BenchTestId): boolean {
    return this.run.steps().some(({ step }) => step.test === id);
  }

  protected name(id: BenchTestId): string {
    return this.reader.word(`test.${id}.name`);
  }

  protected brief(id: BenchTestId, result: TestResult): string {
    const word = { low: texts.low, ok: '', high: texts.high }[result.verdict];
    return `${this.reader.read({ say: `test.${id}.value`, with: result })}${word}`;
  }

  /** A measured yield stands for this mix from now on, as a new version of it. */
  protected keepYield(): void {
    const [shrinkagePct, batch] = [this.shrinkagePct(), this.run.batch()];
    if (shrinkagePct === undefined || !batch || batch.mixId === null) return;
    const { mixId, mixKey, name } = batch;
    const { recipe } = batch.snapshot;
    const measured = { ...recipe.measured, shrinkagePct: Math.round(shrinkagePct * 10) / 10 };
    this.mixes.keepVersion({ mixId, mixKey, name }, { ...recipe, measured }).subscribe({
      next: (mix) =>
        this.notices.say(
          mix ? texts.savedInVersion(mix.name, mix.version) : keptHere(texts.theYieldOf(name)),
        ),
      error: (error: Error) => this.notices.say(texts.notKept(error.message)),
    });
  }
}
