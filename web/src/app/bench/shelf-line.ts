import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { type Material } from '#core/material/material';
import { litresIn } from '#core/units/factors';
import { Notices } from '../data/notices';
import { ShelfService, type ShelfChange } from '../data/shelf';
import { Units } from '../data/units';
import { NumberField } from '../ui/fields/number-field';
import { TickField } from '../ui/fields/tick-field';
import { Swatch } from '../ui/pictures/swatch';
import { materialSays, shortName } from '../ui/words/words';
import { shelfLine as texts } from '#words/en/places/bench/shelf-line';

/** One material of the shelf: whether it stands here, its price, whether it wants using up. What else belongs to it is put inside. */
@Component({
  selector: 'app-shelf-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let line = this.line();
    <app-tick-field [checked]="line.here" (checkedChange)="put({ here: $event })">
      <app-swatch class="swatch" [class.away]="!line.here" [material]="material().id" />
      <span>
        {{ name() }}
        @if (withState()) {
          <span class="term">{{ says() }}</span>
        }
      </span>
    </app-tick-field>
    @if (line.here) {
      <button
        type="button"
        class="press quiet"
        [attr.aria-expanded]="opened()"
        [attr.aria-label]="opens() + texts.ofIt + name()"
        (click)="opened.set(!opened())"
      >
        @if (line.costPerL !== null) {
          {{ (line.costPerL * per().litres).toFixed(2) }}<span class="unit">/{{ per().unit }}</span>
        } @else {
          {{ texts.price }}
        }
      </button>
      @if (opened()) {
        <div class="more">
          <app-number-field
            [label]="texts.priceLoose"
            [unit]="texts.perL"
            within="pricePerUnit"
            [value]="line.costPerL ?? undefined"
            (valueChange)="put({ costPerL: $event ?? null })"
          />
          <ng-content />
          <app-tick-field class="use" [checked]="line.useUp" (checkedChange)="put({ useUp: $event })">
            {{ texts.useUpSoon }}
          </app-tick-field>
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      align-items: center;
      line-height: 1.15;
    }
    .swatch {
      flex: none;
      width: 22px;
      height: 26px;
    }
    .away {
      opacity: 0.45;
    }
    .press.quiet {
      padding: 0 4px;
      text-decoration: underline dotted;
      text-underline-offset: 3px;
    }
    .more {
      grid-column: 1 / -1;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
      gap: 8px 12px;
      padding: 0 0 10px;
    }
    .use {
      align-self: end;
    }
  `,
  imports: [NumberField, Swatch, TickField],
})
export class ShelfLineRow {
  protected readonly texts = texts;
  private readonly shelf = inject(ShelfService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  readonly material = input.required<Material>();
  /** Whether it is said what the material does. */
  readonly withState = input(false);
  /** What the button opens, for those who do not see it. */
  readonly opens = input(texts.price2);
  protected readonly opened = signal(false);
  protected readonly line = computed(() => this.shelf.line(this.material().id));
  protected readonly name = computed(() => shortName(this.material().name));
  protected readonly says = computed(() => materialSays(this.material().id, this.material().role));
  /** Prices are typed per litre or per gallon, kept per litre. */
  protected readonly per = computed(() =>
    this.units.system() === 'metric' ? { unit: 'L', litres: 1 } : { unit: 'gal', litres: litresIn.gallon },
  );

  protected put(change: ShelfChange): void {
    this.shelf.change(this.material().id, change, (why) => this.notices.say(texts.notKept(why)));
  }
}
