import { ChangeDetectionStrategy, Component, computed, inject, output, input } from '@angular/core';
import { ownScoops, scoops } from '#core/batch/scoops';
import { MeasuresService } from '../data/measures';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { scoopPicker as texts } from '#words/en/places/batches/scoop-picker';

/** Which measure stands at the bench. */
@Component({
  selector: 'app-scoop-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-choice-field
      [label]="texts.countedIn"
      [choices]="offered()"
      [value]="scoop()"
      (valueChange)="chosen.emit($event!)"
    />
  `,
  imports: [ChoiceField],
})
export class ScoopPicker {
  protected readonly texts = texts;
  readonly scoop = input.required<string>();
  readonly chosen = output<string>();
  private readonly units = inject(Units);
  private readonly measures = inject(MeasuresService);
  protected readonly offered = computed(() => {
    const system = this.units.system();
    const own = ownScoops(this.measures.all.value() ?? [], system);
    return [...own, ...scoops.filter((s) => s.system === system)];
  });
}
