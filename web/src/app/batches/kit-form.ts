import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { type Heat, heats } from '#core/batch/kit';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { ChoiceField } from '../ui/fields/choice-field';
import { KitChoice } from '../data/kit-choice';

const heatWords: Record<Heat, string> = {
  none: 'not heated',
  boiling: 'with boiling water',
  oven: 'in the oven',
  steam: 'with steam',
};

type KitNumber = 'tubLitres' | 'liftKg' | 'kettleLitres';

const numbers: Asked<KitNumber>[] = [
  { name: 'tubLitres', label: 'The tub turns, loose', unit: 'L', within: 'tubLitres' },
  { name: 'liftKg', label: 'One lifts at most', unit: 'kg', within: 'liftKg' },
  { name: 'kettleLitres', label: 'The kettle holds', unit: 'L', within: 'kettleLitres' },
];

/** The tub, the back and the kettle: they decide the loads. */
@Component({
  selector: 'app-kit-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>Tub, loads and heat</summary>
      <app-number-list [asked]="numbers" [values]="choice.kit()" (typed)="set($event)" />
      <app-choice-field
        label="Heat it through"
        [choices]="heats"
        [value]="choice.kit().heat"
        (valueChange)="heat($event!)"
      />
    </details>
  `,
  styles: `
    app-number-field {
      margin-bottom: 6px;
    }
  `,
  imports: [ChoiceField, NumberList],
})
export class KitForm {
  protected readonly choice = inject(KitChoice);
  protected readonly heats = heats.map((id) => ({ id, name: heatWords[id] }));
  protected readonly numbers = numbers;

  protected set([name, value]: [KitNumber, number | undefined]): void {
    if (value !== undefined) this.choice.set({ [name]: value });
  }

  protected heat(id: string): void {
    this.choice.set({ heat: id as Heat });
  }
}
