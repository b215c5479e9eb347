import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { keptNumber, numberProblem, readNumber, type Within } from './number-text';

let count = 0;

/** A number that may be left empty. What cannot be used stays as typed and is said beside it; nothing is passed on. */
@Component({
  selector: 'app-number-field',
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      #box
      class="field"
      inputmode="decimal"
      autocomplete="off"
      [id]="id"
      [value]="typed()"
      [attr.aria-invalid]="problem() ? true : null"
      [attr.aria-describedby]="problem() ? id + '-wrong' : null"
      (input)="take(box.value)"
    />
    @if (problem()) {
      <p class="wrong" [id]="id + '-wrong'" role="alert">{{ problem() }}</p>
    }
  `,
  host: { class: 'entry' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly value = input.required<number | undefined>();
  readonly within = input.required<Within>();
  /** Of what is kept, one of what is shown: litres in a gallon. */
  readonly per = input(1);
  /** What is shown where 0 is kept: 32 for °F. */
  readonly zero = input(0);
  readonly whole = input(false);
  /** undefined when the field was emptied. */
  readonly changed = output<number | undefined>();

  protected readonly id = `number-${++count}`;
  /** What a person types stands until the value becomes another one than was typed. */
  protected readonly typed = linkedSignal<number | undefined, string>({
    source: computed(() => {
      const value = this.value();
      return value === undefined ? undefined : value / this.per() + this.zero();
    }),
    computation: (value, previous) => {
      if (previous && same(value, readNumber(previous.value))) return previous.value;
      return value === undefined ? '' : String(Number(value.toFixed(3)));
    },
  });
  protected readonly problem = computed(() => {
    const number = readNumber(this.typed());
    if (number === undefined) return '';
    return numberProblem(this.label(), number, this.within(), this.per(), this.whole(), this.zero());
  });

  protected take(text: string): void {
    this.typed.set(text);
    if (this.problem()) return;
    const number = readNumber(text);
    this.changed.emit(
      number === undefined ? undefined : keptNumber(number - this.zero(), this.within(), this.per()),
    );
  }
}

const same = (a: number | undefined, b: number | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(a - b) < 5e-4);
