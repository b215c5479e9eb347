import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  model,
} from '@angular/core';
import { Units } from '../../data/units';
import { shownIn } from '../words/shown-in';
import { keptNumber, numberProblem, readIn, type Within } from './number-text';

let count = 0;

/** A number that may be left empty. What cannot be used stays as typed and is said beside it; nothing is passed on. */
@Component({
  selector: 'app-number-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ name() }}</label>
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
})
export class NumberField {
  readonly label = input.required<string>();
  /** undefined while it is empty. */
  readonly value = model.required<number | undefined>();
  readonly within = input.required<Within>();
  /** What it is kept in; it is named, read and typed in the reader's. */
  readonly unit = input('');
  readonly whole = input(false);

  private readonly units = inject(Units);
  private readonly shown = computed(() => shownIn(this.unit(), this.units.system()));
  protected readonly name = computed(() => [this.label(), this.shown().unit].filter(Boolean).join(', '));

  protected readonly id = `number-${++count}`;
  /** What a person types stands until the value becomes another one than was typed. */
  protected readonly typed = linkedSignal<number | undefined, string>({
    source: computed(() => {
      const value = this.value();
      return value === undefined ? undefined : value / this.shown().per + this.shown().zero;
    }),
    computation: (value, previous) => {
      if (previous && same(value, this.read(previous.value))) return previous.value;
      return value === undefined ? '' : String(Number(value.toFixed(3)));
    },
  });
  protected readonly problem = computed(() => {
    const number = this.read(this.typed());
    if (number === undefined) return '';
    const { per, zero } = this.shown();
    return numberProblem(this.name(), number, this.within(), per, this.whole(), zero);
  });

  private read(text: string): number | undefined {
    return readIn(text, this.shown().unit);
  }

  protected take(text: string): void {
    this.typed.set(text);
    if (this.problem()) return;
    const number = this.read(text);
    const { per, zero } = this.shown();
    this.value.set(number === undefined ? undefined : keptNumber(number - zero, this.within(), per));
  }
}

const same = (a: number | undefined, b: number | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(a - b) < 5e-4);
