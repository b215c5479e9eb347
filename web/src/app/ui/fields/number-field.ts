import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { numberProblem, readNumber } from './number-text';

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
  readonly min = input.required<number>();
  readonly max = input.required<number>();
  readonly whole = input(false);
  /** undefined when the field was emptied. */
  readonly changed = output<number | undefined>();

  protected readonly id = `number-${++count}`;
  /** What a person types stands until the value becomes another one than was typed. */
  protected readonly typed = linkedSignal<number | undefined, string>({
    source: this.value,
    computation: (value, previous) => {
      if (previous && same(value, readNumber(previous.value))) return previous.value;
      return value === undefined ? '' : String(Number(value.toFixed(3)));
    },
  });
  protected readonly problem = computed(() => {
    const number = readNumber(this.typed());
    const bounds = { min: this.min(), max: this.max(), whole: this.whole() };
    return number === undefined ? '' : numberProblem(this.label(), number, bounds);
  });

  protected take(text: string): void {
    this.typed.set(text);
    if (!this.problem()) this.changed.emit(readNumber(text));
  }
}

const same = (a: number | undefined, b: number | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(a - b) < 5e-4);
