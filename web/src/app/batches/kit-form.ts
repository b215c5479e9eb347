import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type Heat, heats } from '#core/batch/kit';
import { gramsIn, litresIn } from '#core/units/factors';
import { Units } from '../data/units';
import { NumberField } from '../ui/fields/number-field';
import { ChoiceField } from '../ui/fields/choice-field';
import { KitChoice } from '../data/kit-choice';

const heatWords: Record<Heat, string> = {
  none: 'not heated',
  boiling: 'with boiling water',
  oven: 'in the oven',
  steam: 'with steam',
};

/** The tub, the back and the kettle: they decide the loads. */
@Component({
  selector: 'app-kit-form',
  imports: [ChoiceField, NumberField],
  template: `
    <details>
      <summary>Tub, loads and heat</summary>
      <app-number-field
        [label]="'The tub turns, ' + per().volume + ' loose'"
        [value]="choice.kit().tubLitres"
        [per]="per().litres"
        within="tubLitres"
        (changed)="$event !== undefined && choice.set({ tubLitres: $event })"
      />
      <app-number-field
        [label]="'One lifts at most, ' + per().mass"
        [value]="choice.kit().liftKg"
        [per]="per().kg"
        within="liftKg"
        (changed)="$event !== undefined && choice.set({ liftKg: $event })"
      />
      <app-number-field
        [label]="'The kettle holds, ' + per().volume"
        [value]="choice.kit().kettleLitres"
        [per]="per().litres"
        within="kettleLitres"
        (changed)="$event !== undefined && choice.set({ kettleLitres: $event })"
      />
      <app-choice-field
        label="Heat it through"
        [choices]="heats"
        [value]="choice.kit().heat"
        (changed)="heat($event)"
      />
    </details>
  `,
  styles: `
    app-number-field {
      margin-bottom: 6px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class KitForm {
  protected readonly choice = inject(KitChoice);
  protected readonly heats = heats.map((id) => ({ id, name: heatWords[id] }));
  private readonly units = inject(Units);
  protected readonly per = computed(() =>
    this.units.system() === 'metric'
      ? { volume: 'L', litres: 1, mass: 'kg', kg: 1 }
      : { volume: 'gal', litres: litresIn.gallon, mass: 'lb', kg: gramsIn.pound / 1000 },
  );

  protected heat(id: string): void {
    this.choice.set({ heat: id as Heat });
  }
}
