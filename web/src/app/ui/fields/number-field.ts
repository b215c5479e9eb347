import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';

let count = 0;

/** A number that may be left empty. What cannot be used stays as typed and is said beside it; nothing is passed on. */
@Component({
  selector: 'app-number-field',
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      class="field"
      inputmode="decimal"
      autocomplete="off"
      [id]="id"
      [value]="typed()"
      [attr.aria-invalid]="problem() ? true : null"
      [attr.aria-describedby]="problem() ? id + '-wrong' : null"
      (input)="take($any($event.target).value)"
    />
    @if (problem()) {
      <p class="wrong" [id]="id + '-wrong'" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      font-size: 14px;
      color: var(--muted);
    }
  `,
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
      if (previous && same(value, read(previous.value))) return previous.value;
      return value === undefined ? '' : String(Number(value.toFixed(3)));
    },
  });
  protected readonly problem = computed(() => {
    const number = read(this.typed());
    if (number === undefined) return '';
    const fits = number >= this.min() && number <= this.max() && (!this.whole() || Number.isInteger(number));
    const kind = this.whole() ? 'a whole number' : 'a number';
    return fits ? '' : `${this.label()}: must be ${kind} from ${this.min()} to ${this.max()}`;
  });

  protected take(text: string): void {
    this.typed.set(text);
    if (!this.problem()) this.changed.emit(read(text));
  }
}

const read = (text: string): number | undefined =>
  text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));
const same = (a: number | undefined, b: number | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(a - b) < 5e-4);
