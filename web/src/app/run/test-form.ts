import { inSentence } from '#words/formats';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { allowedSays } from '#words/problem';
import {
  type BenchTest,
  type NumberAsked,
  type TestContext,
  type TestField,
  type TestResult,
  type TestValues,
} from '#core/batch/tests/bench-test';
import { benchTests, runBenchTest, type BenchTestId } from '#core/batch/tests/bench-tests';
import { type FieldCode } from '#core/batch/test-facts';
import { OutOfRange } from '#core/units/check';
import { type EcMethod } from '#core/mix/salts';
import { squeezes } from '#core/mix/moisture';
import { faultWords, InstrumentsService } from '../data/instruments';
import { ChoiceField, type Choice } from '../ui/fields/choice-field';
import { Units } from '../data/units';
import { NumberField } from '../ui/fields/number-field';
import { SqueezePicture } from '../ui/pictures/squeeze-picture';
import { ecMethodNames } from '../ui/words/words';
import { common } from '#words/en/places/common';
import { testForm as texts } from '#words/en/places/run/test-form';
import { ReaderHere } from '../data/reader-here';

let count = 0;

/** One test: how it is done, its fields (typed, or taken from an instrument), and what came of it last. */
@Component({
  selector: 'app-test-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="term">{{ reader.word(say('how')) }}</p>
    <div class="fields">
      @for (f of test().fields; track f.id) {
        @if (f.id === 'grade') {
          <fieldset class="grades">
            <legend>{{ label(f) }}</legend>
            @for (grade of grades; track grade.name; let i = $index) {
              <label [class.on]="values()[f.id] === grade.name">
                <input
                  type="radio"
                  class="visually-hidden"
                  [name]="name"
                  [checked]="values()[f.id] === grade.name"
                  (change)="set(f.id, grade.name)"
                />
                <app-squeeze-picture [grade]="i" />
                {{ grade.says }}
              </label>
            }
          </fieldset>
        } @else if (choice(f); as c) {
          <app-choice-field
            none="choose"
            [label]="label(f)"
            [choices]="c"
            [value]="nameIn(f.id)"
            (valueChange)="set(f.id, $event || undefined)"
          />
        } @else if (asked(f); as n) {
          <div class="one">
            <app-number-field
              [label]="label(f)"
              [unit]="n.unit"
              [value]="numberIn(f.id)"
              [within]="[n.low, n.high]"
              (valueChange)="set(f.id, $event)"
            />
            @if (n.from) {
              <button
                type="button"
                class="press"
                [disabled]="live(n) === null"
                [attr.aria-label]="texts.take + label(f) + texts.fromTheInstrument"
                (click)="set(f.id, live(n)!)"
              >
                {{ liveText(n) }}
              </button>
            }
          </div>
        }
      }
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
    <button type="button" class="press" [disabled]="!complete() || problem() !== ''" (click)="enter()">
      {{ texts.enter(spoken(reader.word(say('name')))) }}
    </button>
    @if (last(); as r) {
      <p #came class="came" [class.off]="r.verdict !== 'ok'">
        <b>{{ cameTo('value', r) }}.</b> {{ cameTo('says', r) }}
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 4px 0 10px;
    }
    .fields {
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
      font-size: var(--note);
    }
    .grades label {
      display: grid;
      justify-items: center;
      align-content: start;
      min-height: 84px;
      padding: 6px;
      border: 1px solid var(--edge);
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
  imports: [ChoiceField, NumberField, SqueezePicture],
})
export class TestForm {
  protected readonly texts = texts;
  protected readonly reader = inject(ReaderHere);
  readonly id = input.required<BenchTestId>();
  readonly context = input.required<TestContext>();
  readonly last = input<TestResult | undefined>();
  readonly entered = output<TestValues>();
  protected readonly grades = squeezes.map(({ name }) => ({
    ...{ name, says: this.reader.word(`squeeze.${name}`) },
  }));
  protected readonly name = `grade-${++count}`;
  private readonly units = inject(Units);
  private readonly instruments = inject(InstrumentsService);
  protected readonly test = computed((): BenchTest => benchTests[this.id()]);
  protected readonly values = signal<Readonly<Record<string, number | string | undefined>>>({});
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
      return texts.mustBe(
        field ? this.label(field) : error.argument,
        allowedSays(error.allowed, this.reader.now()),
      );
    }
  });

  private readonly came = viewChild<ElementRef<HTMLElement>>('came');
  private asks = false;

  constructor() {
    // What came of it is seen at once, wherever the form stands in the window.
    afterRenderEffect(() => {
      const [result, at] = [this.last(), this.came()];
      if (!result || !at || !this.asks) return;
      this.asks = false;
      at.nativeElement.scrollIntoView?.({ block: 'nearest' });
    });
  }

  protected enter(): void {
    this.asks = true;
    this.entered.emit(this.filled());
  }

  protected filled(): TestValues {
    return Object.fromEntries(
      Object.entries(this.values()).filter(
        (pair): pair is [string, number | string] => pair[1] !== undefined,
      ),
    );
  }

  protected set(id: string, value: number | string | undefined): void {
    this.values.update((all) => ({ ...all, [id]: value }));
  }

  /** What there is to choose from; null for a field that asks a number. */
  protected choice(f: TestField): Choice[] | null {
    if (!('choices' in f)) return null;
    return f.choices.map((id) => ({ id, name: ecMethodNames[id as EcMethod] }));
  }

  protected nameIn(id: string): string | null {
    const value = this.values()[id];
    return typeof value === 'string' ? value : null;
  }

  protected asked(f: TestField): NumberAsked | null {
    return 'choices' in f ? null : f;
  }

  protected numberIn(id: string): number | undefined {
    const value = this.values()[id];
    return typeof value === 'number' ? value : undefined;
  }

  protected live(f: NumberAsked): number | null {
    return f.from ? (this.instruments.byKind().get(f.from)?.reading?.value ?? null) : null;
  }

  protected liveText(f: NumberAsked): string {
    const reading = f.from && this.instruments.byKind().get(f.from)?.reading;
    if (reading?.fault) return faultWords[reading.fault];
    const value = reading?.value ?? null;
    if (value === null) return texts.noReading;
    const says = this.reader.formats().reading(value, f.unit);
    const simulated = f.from && this.instruments.byKind().get(f.from)?.info.simulated;
    return texts.takeReading(simulated ? `${says}, ${common.simulated}` : says);
  }

  protected readonly spoken = inSentence;

  protected say<Part extends 'name' | 'how'>(part: Part): `test.${BenchTestId}.${Part}` {
    return `test.${this.id()}.${part}`;
  }

  protected label({ id }: TestField): string {
    return this.reader.word(`test.${this.id()}.${id}` as FieldCode);
  }

  protected cameTo(part: 'value' | 'says', result: TestResult): string {
    return this.reader.read({ say: `test.${this.id()}.${part}`, with: result });
  }
}
