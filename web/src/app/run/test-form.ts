import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  benchTests,
  runBenchTest,
  type BenchTestId,
  type TestContext,
  type TestField,
  type TestResult,
} from '#core/batch/bench-tests';
import { OutOfRange } from '#core/units/check';
import { dilutionWater, type EcMethod } from '#core/mix/salts';
import { squeezes } from '#core/mix/moisture';
import { fixed } from '#core/units/show';
import { faultWords, InstrumentsService } from '../data/instruments';
import { NumberField } from '../ui/fields/number-field';
import { SqueezePicture } from '../ui/pictures/squeeze-picture';
import { ecMethodNames } from '../ui/words/words';

let count = 0;

/** One test: how it is done, its fields (typed, or taken from an instrument), and what came of it last. */
@Component({
  selector: 'app-test-form',
  imports: [NumberField, SqueezePicture],
  template: `
    <p class="term">{{ test().howTo }}</p>
    <div class="fields">
      @for (f of test().fields; track f.id) {
        @if (f.id === 'grade') {
          <fieldset class="grades">
            <legend>{{ f.label }}</legend>
            @for (grade of grades; track grade.says; let i = $index) {
              <label [class.on]="values()[f.id] === i">
                <input
                  type="radio"
                  class="visually-hidden"
                  [name]="name"
                  [checked]="values()[f.id] === i"
                  (change)="set(f.id, i)"
                />
                <app-squeeze-picture [grade]="i" />
                {{ grade.says }}
              </label>
            }
          </fieldset>
        } @else if (choices(f); as options) {
          <div>
            <label [for]="test().id + f.id">{{ f.label }}</label>
            <select
              class="field"
              [id]="test().id + f.id"
              (change)="set(f.id, $any($event.target).value === '' ? undefined : +$any($event.target).value)"
            >
              <option value="">choose</option>
              @for (option of options; track option; let i = $index) {
                <option [value]="i" [selected]="values()[f.id] === i">{{ option }}</option>
              }
            </select>
          </div>
        } @else {
          <div class="one">
            <app-number-field
              [label]="f.label + (f.unit ? ', ' + f.unit : '')"
              [value]="values()[f.id]"
              [min]="f.low"
              [max]="f.high"
              (changed)="set(f.id, $event)"
            />
            @if (f.from) {
              <button
                type="button"
                class="press"
                [disabled]="live(f) === null"
                [attr.aria-label]="'Take ' + f.label + ' from the instrument'"
                (click)="set(f.id, live(f)!)"
              >
                {{ liveText(f) }}
              </button>
            }
          </div>
        }
      }
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
    <button
      type="button"
      class="press"
      [disabled]="!complete() || problem() !== ''"
      (click)="entered.emit(filled())"
    >
      Enter {{ test().name.toLowerCase() }}
    </button>
    @if (last(); as r) {
      <p class="came" [class.off]="r.verdict !== 'ok'">
        <b>{{ shown(r) }}</b> {{ r.says }}
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 4px 0 10px;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
      gap: 8px 14px;
      align-items: end;
      margin: 6px 0 8px;
    }
    .one {
      display: flex;
      gap: 6px;
      align-items: flex-end;
    }
    .one app-number-field {
      flex: 1;
    }
    .one .press {
      padding: 0 8px;
      white-space: nowrap;
    }
    label {
      color: var(--muted);
      font-size: 14px;
    }
    .grades {
      grid-column: 1 / -1;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(124px, 1fr));
      gap: 6px;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      grid-column: 1 / -1;
      float: left;
      width: 100%;
      color: var(--muted);
      font-size: 14px;
    }
    .grades label {
      display: grid;
      justify-items: center;
      align-content: start;
      min-height: 84px;
      padding: 6px;
      border: 1px solid #6d8076;
      border-radius: 8px;
      background: var(--surface);
      color: var(--ink);
      line-height: 1.15;
      text-align: center;
      cursor: pointer;
    }
    .grades label.on {
      border: 3px solid var(--ink);
      font-weight: 650;
    }
    .grades label:focus-within {
      outline: 3px solid var(--ink);
      outline-offset: 2px;
    }
    .came {
      margin: 8px 0 0;
    }
    .off b {
      color: var(--stop);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TestForm {
  readonly id = input.required<BenchTestId>();
  readonly context = input.required<TestContext>();
  readonly last = input<TestResult | undefined>();
  readonly entered = output<Record<string, number>>();
  protected readonly grades = squeezes;
  protected readonly name = `grade-${++count}`;
  private readonly instruments = inject(InstrumentsService);
  protected readonly test = computed(() => benchTests[this.id()]);
  protected readonly values = signal<Readonly<Record<string, number | undefined>>>({});
  protected readonly complete = computed(() =>
    this.test().fields.every((f) => this.values()[f.id] !== undefined),
  );

  /** What the sum says is impossible, by the name that stands on the field. */
  protected readonly problem = computed(() => {
    if (!this.complete()) return '';
    try {
      runBenchTest(this.id(), this.filled(), this.context());
      return '';
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
      const field = this.test().fields.find((f) => f.id === error.argument);
      return `${field?.label ?? error.argument} must be ${error.allowed}`;
    }
  });

  protected filled(): Record<string, number> {
    return Object.fromEntries(
      Object.entries(this.values()).filter((pair): pair is [string, number] => pair[1] !== undefined),
    );
  }

  protected set(id: string, value: number | undefined): void {
    this.values.update((all) => ({ ...all, [id]: value }));
  }

  protected choices(f: TestField): string[] | null {
    if (f.id === 'method') return (Object.keys(dilutionWater) as EcMethod[]).map((m) => ecMethodNames[m]);
    return null;
  }

  protected live(f: TestField): number | null {
    return f.from ? (this.instruments.byKind().get(f.from)?.reading?.value ?? null) : null;
  }

  protected liveText(f: TestField): string {
    const one = f.from && this.instruments.byKind().get(f.from);
    if (!one?.reading) return 'no reading';
    return one.reading.fault ? faultWords[one.reading.fault] : `take ${String(one.reading.value)}`;
  }

  protected shown({ value, unit }: TestResult): string {
    return `${fixed(value, Math.abs(value) < 10 ? 2 : 0)} ${unit}.`;
  }
}
