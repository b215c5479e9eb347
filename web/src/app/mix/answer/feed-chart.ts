import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Feeding } from '#core/mix/feeding';
import { axis, Chart, chartLook } from '../../ui/pictures/chart';
import { feedChart as texts } from '#words/en/places/mix/answer/feed-chart';

/** Nitrogen within reach against what the plant has taken up, week by week. */
@Component({
  selector: 'app-feed-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<app-chart [options]="options()" [says]="says()" />`,
  styles: `
    app-chart {
      height: 190px;
    }
  `,
  imports: [Chart],
})
export class FeedChart {
  readonly feeding = input.required<Feeding>();
  protected readonly says = computed(() => {
    const last = this.feeding().weeks.at(-1)!;
    return texts.nitrogenInEachVesselOver(last.week, last.supplyMg.toFixed(0), last.demandMg.toFixed(0));
  });
  protected readonly options = computed(() => {
    const { weeks } = this.feeding();
    const line = (name: string, color: string, type: 'solid' | 'dashed', values: number[]): object => ({
      name,
      type: 'line',
      data: values,
      symbol: 'none',
      lineStyle: { color, width: 3, type },
      endLabel: { show: true, formatter: name, color, fontSize: 13, fontWeight: 600 },
    });
    return {
      animation: false,
      textStyle: { fontFamily: chartLook.font },
      grid: { left: 46, right: 78, top: 12, bottom: 40 },
      xAxis: axis('week', { type: 'category', data: weeks.map((w) => w.week) }),
      yAxis: axis('mg N', { type: 'value', nameGap: 34 }),
      series: [
        line(
          'ready',
          chartLook.windowEdge,
          'solid',
          weeks.map((w) => w.supplyMg),
        ),
        line(
          'wanted',
          chartLook.solid,
          'dashed',
          weeks.map((w) => w.demandMg),
        ),
      ],
    };
  });
}
