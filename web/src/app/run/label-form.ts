import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReaderHere } from '../data/reader-here';
import { labelSizes, sheetName } from '#core/batch/label-sizes';
import { addressOf } from '#contract/routes';
import { ScoopChoice } from '../data/scoop-choice';
import { Money } from '../data/money';
import { Units } from '../data/units';
import { RunState } from './run-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { labelForm as texts } from '#words/en/places/run/label-form';
import { common } from '#words/en/places/common';

/** Labels of a batch, as a PDF that any printer can do. */
@Component({
  selector: 'app-label-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <app-text-field [label]="texts.plantItsNameComesFirst" [(value)]="plant" />
      <app-choice-field [label]="texts.labels" [choices]="sizes()" [(value)]="size" />
      <app-number-field [label]="common.howMany" within="labels" [whole]="true" [(value)]="count" />
      <app-text-field [label]="texts.sownOn" kind="date" [(value)]="sown" />
    </div>
    <a class="press" [href]="address()" target="_blank" rel="noopener">{{ texts.labelsToPrint }}</a>
    <a class="press" [href]="card()" target="_blank" rel="noopener">{{ texts.cardAsPdf }}</a>
  `,
  styles: `
    .fields {
      margin-bottom: 10px;
    }
    .press {
      margin-right: 8px;
    }
  `,
  imports: [ChoiceField, NumberField, TextField],
})
export class LabelForm {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly batch = input.required<number>();
  private readonly units = inject(Units);
  private readonly money = inject(Money);
  private readonly reader = inject(ReaderHere);
  protected readonly sizes = computed(() =>
    labelSizes.map((labelSize) => ({ id: labelSize.id, name: this.reader.read(sheetName(labelSize)) })),
  );
  protected readonly size = signal<string>(labelSizes[0]!.id);
  protected readonly count = signal<number | undefined>(24);
  protected readonly sown = signal('');
  protected readonly plant = signal('');
  protected readonly address = computed(() =>
    addressOf(
      'labels',
      { id: this.batch() },
      {
        size: this.size(),
        count: String(this.count() ?? 1),
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
    addressOf(
      'card',
      { id: this.batch() },
      { units: this.units.system(), scoop: this.scoop.id(), sign: this.money.sign() },
    ),
  );
}
