import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { labelSizes } from '#core/batch/label-sizes';
import { addressOf } from '#contract/routes';
import { ScoopChoice } from '../data/scoop-choice';
import { Units } from '../data/units';
import { RunState } from './run-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';

/** Labels of a batch, as a PDF that any printer can do. */
@Component({
  selector: 'app-label-form',
  imports: [ChoiceField, NumberField, TextField],
  template: `
    <div class="fields">
      <app-text-field label="Plant (its name comes first)" [value]="plant()" (changed)="plant.set($event)" />
      <app-choice-field label="Labels" [choices]="sizes" [value]="size()" (changed)="size.set($event)" />
      <app-number-field
        label="How many"
        [value]="count()"
        within="labels"
        [whole]="true"
        (changed)="count.set($event ?? 1)"
      />
      <app-text-field label="Sown on" kind="date" [value]="sown()" (changed)="sown.set($event)" />
    </div>
    <a class="press" [href]="address()" target="_blank" rel="noopener">Labels to print</a>
    <a class="press" [href]="card()" target="_blank" rel="noopener">Card as PDF</a>
  `,
  styles: `
    .fields {
      margin-bottom: 10px;
    }
    .press {
      margin-right: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LabelForm {
  readonly batch = input.required<number>();
  private readonly units = inject(Units);
  protected readonly sizes = labelSizes;
  protected readonly size = signal<string>(labelSizes[0]!.id);
  protected readonly count = signal(24);
  protected readonly sown = signal('');
  protected readonly plant = signal('');
  protected readonly address = computed(() =>
    addressOf(
      'labels',
      { id: this.batch() },
      {
        size: this.size(),
        count: String(this.count()),
        units: this.units.system(),
        ...(this.sown() && { sown: this.sown() }),
        ...(this.plant().trim() && { plant: this.plant().trim().slice(0, 60) }),
      },
    ),
  );
  private readonly scoop = inject(ScoopChoice).of(
    computed(() => String(this.batch())),
    inject(RunState).snapshot,
  );
  protected readonly card = computed(() =>
    addressOf('card', { id: this.batch() }, { units: this.units.system(), scoop: this.scoop.id() }),
  );
}
