import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { type Heat, heats } from '#core/batch/kit';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { ChoiceField } from '../ui/fields/choice-field';
import { KitChoice } from '../data/kit-choice';
import { kitForm as texts } from '#words/en/places/batches/kit-form';

const heatWords: Record<Heat, string> = {
  none: texts.notHeated,
  boiling: texts.withBoilingWater,
  oven: texts.inTheOven,
  steam: texts.withSteam,
};

type KitNumber = 'tubLitres' | 'liftKg' | 'kettleLitres';

const numbers: Asked<KitNumber>[] = [
  { name: 'tubLitres', label: texts.theTubTurnsLoose, unit: 'L', within: 'tubLitres' },
  { name: 'liftKg', label: texts.oneLiftsAtMost, unit: 'kg', within: 'liftKg' },
  { name: 'kettleLitres', label: texts.theKettleHolds, unit: 'L', within: 'kettleLitres' },
];

/** The tub, the back and the kettle: they decide the loads. */
@Component({
  selector: 'app-kit-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>{{ texts.tubLoadsAndHeat }}</summary>
      <app-number-list [asked]="numbers" [values]="choice.kit()" (typed)="set($event)" />
      <app-choice-field
        [label]="texts.heatItThrough"
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
  protected readonly texts = texts;
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
