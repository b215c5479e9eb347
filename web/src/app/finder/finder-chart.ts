import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { type Formulated } from '#core/finder/formulate';
import { axis, Chart, chartLook } from '../ui/pictures/chart';
import { keyOf, type Listed } from './finder-search';
import { finderChart as texts } from '#words/en/places/finder/finder-chart';

/** Every listed recipe as a point: what it costs, or its peat, against the odds that all is right. */
@Component({
  selector: 'app-finder-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-chart [options]="options()" [says]="says()" (picked)="picked.emit($event)" />
    <button type="button" class="press quiet" (click)="byPeat.set(!byPeat())">
      {{ byPeat() ? texts.showPriceInsteadOfPeat : texts.showPeatInsteadOfPrice }}
    </button>
  `,
  styles: `
    app-chart {
      height: 186px;
    }
    .press {
      padding: 0;
      font-weight: 450;
      font-size: var(--note);
      text-decoration: underline;
    }
  `,
  imports: [Chart],
})
export class FinderChart {
  protected readonly texts = texts;
  readonly list = input.required<readonly Listed[]>();
  readonly chosen = input.required<string | null>();
  readonly picked = output<number>();
  protected readonly byPeat = signal(false);

  private readonly points = computed(() =>
    this.list().map((listed) => [this.across(listed.found), (listed.odds ?? 0) * 100] as const),
  );
  protected readonly says = computed(() => {
    const odds = this.points().map(([, y]) => y);
    return texts.recipesByAndOddsOdds(
      this.points().length,
      this.byPeat() ? 'peat' : 'price',
      Math.min(...odds).toFixed(0),
      Math.max(...odds).toFixed(0),
    );
  });
  protected readonly options = computed(() => {
    const chosen = this.chosen();
    const data = this.list().map((listed, i) => {
      const on = keyOf(listed.found) === chosen;
      return {
        value: this.points()[i],
        symbolSize: on ? 20 : 13,
        symbol: on ? 'diamond' : 'circle',
        itemStyle: { color: on ? chartLook.ink : chartLook.water, opacity: on ? 1 : 0.75 },
      };
    });
    return {
      animation: false,
      textStyle: { fontFamily: chartLook.font },
      grid: { left: 48, right: 14, top: 10, bottom: 42 },
      xAxis: axis(this.byPeat() ? '% peat' : texts.pricePerL, { type: 'value', scale: true }),
      yAxis: axis(texts.allRightIn100, { type: 'value', min: 0, max: 100, nameGap: 34 }),
      series: [{ type: 'scatter', data }],
    };
  });

  private across(found: Formulated): number {
    return this.byPeat() ? found.judgement.evaluation.peat * 100 : (found.costPerL ?? 0);
  }
}
