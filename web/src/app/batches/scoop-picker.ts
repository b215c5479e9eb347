import { ChangeDetectionStrategy, Component, computed, inject, model } from '@angular/core';
import { ownScoops, scoops } from '#core/batch/scoops';
import { MeasuresService } from '../data/measures';
import { Units } from '../data/units';

/** Which measure stands at the bench. */
@Component({
  selector: 'app-scoop-picker',
  template: `
    <label for="scoop">Counted in</label>
    <select id="scoop" class="field" (change)="scoop.set($any($event.target).value)">
      @for (one of offered(); track one.id) {
        <option [value]="one.id" [selected]="one.id === scoop()">{{ one.name }}</option>
      }
    </select>
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
export class ScoopPicker {
  readonly scoop = model.required<string>();
  private readonly units = inject(Units);
  private readonly measures = inject(MeasuresService);
  protected readonly offered = computed(() => {
    const system = this.units.system();
    return [...ownScoops(this.measures.all(), system), ...scoops.filter((s) => s.system === system)];
  });
}
