import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { keptNumber, numberProblem, rangeOf, readIn, type Within } from './number-text';
import { stepper as texts } from '#words/en/places/ui/fields/stepper';

let count = 0;

/**
 * A number with big minus and plus. Typing is kept as typed: what cannot be used is said beside it and nothing
 * changes until it can.
 */
@Component({
  selector: 'app-stepper',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row" role="group" [attr.aria-label]="label()">
      <button
        type="button"
        [disabled]="value() <= range()[0]"
        [attr.aria-label]="texts.less + label()"
        (click)="nudge(-1)"
      >
        −
      </button>
      <input
        #box
        inputmode="decimal"
        autocomplete="off"
        [id]="id"
        [class.long]="typed().length > 4"
        [value]="typed()"
        [attr.aria-label]="label()"
        [attr.aria-invalid]="problem() ? true : null"
        [attr.aria-describedby]="problem() ? id + '-wrong' : null"
        (input)="take(box.value)"
        (blur)="tidy()"
        (keydown.arrowUp)="$event.preventDefault(); nudge(1)"
        (keydown.arrowDown)="$event.preventDefault(); nudge(-1)"
        (focus)="box.select()"
      />
      @if (unit()) {
        <span class="unit">{{ unit() }}</span>
      }
      <button
        type="button"
        [disabled]="value() >= range()[1]"
        [attr.aria-label]="texts.more + label()"
        (click)="nudge(1)"
      >
        +
      </button>
    </div>
    @if (problem()) {
      <p class="wrong" [id]="id + '-wrong'" role="alert">{{ problem() }}</p>
    }
  `,
  styleUrl: './stepper.scss',
})
export class Stepper {
  protected readonly texts = texts;
  readonly label = input.required<string>();
  readonly value = input.required<number>();
  readonly within = input.required<Within>();
  /** Of what is kept, one of what is shown: litres in a gallon. Steps are of what is shown. */
  readonly per = input(1);
  readonly step = input(1);
  readonly unit = input('');
  readonly changed = output<number>();

  protected readonly range = computed(() => rangeOf(this.within()));
  private readonly shown = computed(() => this.value() / this.per());
  protected readonly id = `stepper-${++count}`;
  /** What stands in the field: the value, until a person types. */
  protected readonly typed = linkedSignal(() => written(this.shown()));
  protected readonly problem = computed(() => {
    const number = readIn(this.typed(), this.unit()) ?? NaN;
    return numberProblem(this.label(), number, this.within(), this.per());
  });

  protected take(text: string): void {
    this.typed.set(text);
    if (this.problem()) return;
    const number = readIn(text, this.unit());
    if (number !== undefined && number !== this.shown()) this.emit(number);
  }

  /** On leaving, a usable number is written the usual way; one that is not stays as typed. */
  protected tidy(): void {
    if (!this.problem()) this.typed.set(written(this.shown()));
  }

  protected nudge(direction: 1 | -1): void {
    const step = this.step();
    // The next whole step in that direction, so that 4.3 goes to 4.5 or 4 by halves.
    const at = this.shown() / step;
    const next = direction > 0 ? Math.floor(at + 1 + 1e-9) : Math.ceil(at - 1 - 1e-9);
    const [low, high] = this.range();
    const shown = Math.min(high / this.per(), Math.max(low / this.per(), next * step));
    this.typed.set(written(shown));
    this.emit(Number(shown.toFixed(6)));
  }

  private emit(shown: number): void {
    this.changed.emit(keptNumber(shown, this.within(), this.per()));
  }
}

/** Short enough for its field: fewer decimals as the number grows. */
const written = (value: number): string =>
  String(Number(value.toFixed(value >= 100 ? 1 : value >= 10 ? 2 : 3)));
