import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { type EChartsCoreOption } from 'echarts/core';
import { NgxEchartsDirective, provideEchartsCore } from 'ngx-echarts';

/** Colours and type that every chart shares with the page. */
export const chartLook = {
  ink: '#13231c',
  muted: '#4c5e55',
  hairline: '#c3cec6',
  water: '#2f7f9e',
  solid: '#5a4632',
  window: '#c9dccf',
  windowEdge: '#2e6b4c',
  action: '#f2a900',
  font: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
} as const;

/** An axis in the look of the page. */
export const axis = (name: string, extra: object = {}): object => ({
  name,
  nameLocation: 'middle',
  nameGap: 26,
  nameTextStyle: { color: chartLook.muted, fontSize: 13 },
  axisLabel: { color: chartLook.ink, fontSize: 13 },
  axisLine: { lineStyle: { color: chartLook.muted } },
  splitLine: { lineStyle: { color: chartLook.hairline } },
  ...extra,
});

/** A drawn chart. What it shows must stand in words beside it: a canvas says nothing to a screen reader. */
@Component({
  selector: 'app-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [provideEchartsCore({ echarts: () => import('./echarts').then((m) => m.echarts) })],
  template: `
    <div
      echarts
      role="img"
      [attr.aria-label]="says()"
      [options]="options()"
      [autoResize]="true"
      (chartClick)="picked.emit($event.dataIndex)"
    ></div>
  `,
  styles: `
    :host {
      display: block;
    }
    div {
      width: 100%;
      height: 100%;
    }
  `,
  imports: [NgxEchartsDirective],
})
export class Chart {
  readonly options = input.required<EChartsCoreOption>();
  /** What the chart shows, in a sentence. */
  readonly says = input.required<string>();
  /** Index of the point that was pressed. */
  readonly picked = output<number>();
}
