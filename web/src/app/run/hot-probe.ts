import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { heatLost, moreHotWater } from '#core/batch/hot-water';
import { HEAT_TO_C, SHED_C } from '#core/batch/heat-steps';
import { fixed } from '#core/units/show';
import { limits } from '#core/units/limits';
import { hotProbe as texts } from '#words/en/places/run/hot-probe';
import { KitChoice } from '../data/kit-choice';
import { ReaderHere } from '../data/reader-here';
import { NumberField } from '../ui/fields/number-field';

/** What to do where the probe reads less than the heat that was meant: so much more, and what tub and air took. */
@Component({
  selector: 'app-hot-probe',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-number-field [label]="texts.probeReads" unit="°C" within="probeC" [(value)]="read" />
    @if (says(); as words) {
      <p role="status">{{ words }}</p>
    }
    @if (lossPct(); as pct) {
      <button type="button" class="press quiet" (click)="kit.set({ heatLossPct: pct })">
        {{ texts.countOn(shown(pct)) }}
      </button>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      max-width: 320px;
    }
    p {
      margin: 0;
      font-weight: 650;
    }
  `,
  imports: [NumberField],
})
export class HotProbe {
  protected readonly texts = texts;
  protected readonly kit = inject(KitChoice);
  private readonly reader = inject(ReaderHere);
  /** Boiling water that was poured so far, L, and what the mix takes to be a degree warmer. */
  readonly pouredLitres = input.required<number>();
  readonly mixKJPerK = input.required<number>();
  protected readonly read = signal<number | undefined>(undefined);
  private readonly warmed = computed(() => {
    const read = this.read();
    return read === undefined || read <= SHED_C || read >= 100 ? null : read;
  });
  protected readonly says = computed(() => {
    const read = this.warmed();
    if (read === null) return '';
    const more = moreHotWater(this.mixKJPerK(), this.pouredLitres(), read, HEAT_TO_C);
    const { volume, celsius } = this.reader.formats();
    return more > 0 ? texts.pourMore(volume(more), celsius(HEAT_TO_C)) : texts.warmEnough;
  });
  /** Whole percent, as it can be counted on next time; null where it is what was counted on. */
  protected readonly lossPct = computed(() => {
    const read = this.warmed();
    if (read === null) return null;
    const pct = Math.round(100 * heatLost(this.mixKJPerK(), this.pouredLitres(), SHED_C, read));
    return pct > limits.heatLossPct[1] || pct === this.kit.kit().heatLossPct ? null : pct;
  });

  protected shown(pct: number): string {
    return fixed(pct, 0);
  }
}
