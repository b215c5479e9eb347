import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { NumberField } from '../ui/number-field';
import { KitChoice } from './kit-choice';

/** The tub, the back and the kettle: they decide the loads. */
@Component({
  selector: 'app-kit-form',
  imports: [NumberField],
  template: `
    <details>
      <summary>Tub, loads and heat</summary>
      <app-number-field
        label="The tub turns, L loose"
        [value]="choice.kit().tubLitres"
        [min]="1"
        [max]="5000"
        (changed)="$event !== undefined && choice.set({ tubLitres: $event })"
      />
      <app-number-field
        label="One lifts at most, kg"
        [value]="choice.kit().liftKg"
        [min]="1"
        [max]="100"
        (changed)="$event !== undefined && choice.set({ liftKg: $event })"
      />
      <app-number-field
        label="The kettle holds, L"
        [value]="choice.kit().kettleLitres"
        [min]="0.2"
        [max]="200"
        (changed)="$event !== undefined && choice.set({ kettleLitres: $event })"
      />
      <label>
        <input
          type="checkbox"
          [checked]="choice.kit().heat"
          (change)="choice.set({ heat: $any($event.target).checked })"
        />
        heat it through
      </label>
    </details>
  `,
  styles: `
    summary {
      min-height: 44px;
      padding: 10px 0;
      cursor: pointer;
    }
    app-number-field {
      margin-bottom: 6px;
    }
    label {
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 44px;
    }
    input {
      width: 20px;
      height: 20px;
      accent-color: var(--ink);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class KitForm {
  protected readonly choice = inject(KitChoice);
}
