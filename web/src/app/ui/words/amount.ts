import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { showQuantity, type Quantity } from '#core/units/said';
import { Units } from '../../data/units';

/** A quantity with its unit small beside it, in the units of the reader. */
@Component({
  selector: 'app-amount',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `{{ shown().text }}<span class="unit">&nbsp;{{ shown().unit }}</span>`,
  styles: `
    :host {
      white-space: nowrap;
    }
  `,
})
export class Amount {
  readonly of = input.required<Quantity>();
  private readonly units = inject(Units);
  protected readonly shown = computed(() => showQuantity(this.of(), this.units.system()));
}
