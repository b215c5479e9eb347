import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { choiceField as texts } from '#words/en/places/ui/fields/choice-field';
import { TitlePipe } from '../words/title';

/** One of a few to choose from. */
export interface Choice {
  id: string;
  name: string;
}

let count = 0;

/** One of a list. */
@Component({
  selector: 'app-choice-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <select #box class="field" [id]="id" (change)="value.set(box.value)">
      @if (none() !== null) {
        <option value="" [selected]="!value()">{{ none() }}</option>
      }
      @if (elsewhere(); as words) {
        <option [value]="value()" selected disabled>{{ words }}</option>
      }
      @for (choice of choices(); track choice.id) {
        <option [value]="choice.id" [selected]="choice.id === value()">{{ choice | title }}</option>
      }
    </select>
  `,
  host: { class: 'entry' },
  imports: [TitlePipe],
})
export class ChoiceField {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice[]>();
  /** The id of the choice; empty or null for none. */
  readonly value = model.required<string | null>();
  /** What stands for no choice; null where one must be chosen. */
  readonly none = input<string | null>(null);
  protected readonly id = `choice-${++count}`;
  /** What stands there for a value that is none of the choices: never the first of them. */
  protected readonly elsewhere = computed(() => {
    const value = this.value() ?? '';
    if (value === '') return this.none() === null ? 'choose' : '';
    const existing = this.choices().length === 0 || this.choices().some((choice) => choice.id === value);
    return existing ? '' : texts.aChoiceFromThisList;
  });
}
