import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Between } from '#core/weeks/life-band';
import { fixed } from '#core/units/show';
import { axis, Chart, chartLook } from '../ui/pictures/chart';
import { weeksChart as texts } from '#words/en/places/weeks/weeks-chart';

/** What is right from one day to another; null for an end that it has not. */
export interface WeeksWindow {
  from: number;
  to: number;
  low: number | null;
  high: number | null;
}

/** One figure over the days: the middle of many lives, where nine in ten lie, and the window that is right. */
export interface WeeksLine {
  name: string;
  /** As it is read. */
  unit: string;
  places: number;
  /** From day 1. */
  days: readonly Between[];
  /** By age; none where there is no window. */
  windows: readonly WeeksWindow[];
  /** What it is below a window that has no upper end. */
  below?: string;
}

@Component({
  selector: 'app-weeks-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ line().name }}</h2>
    <app-chart [options]="options()" [says]="says()" />
    <p class="term">{{ says() }}</p>
  `,
  styles: `
    app-chart {
      height: 180px;
    }
    p {
      margin: 0;
    }
  `,
  imports: [Chart],
})
export class WeeksChart {
  readonly line = input.required<WeeksLine>();
  protected readonly says = computed(() => {
    const { days, places, unit, windows, below } = this.line();
    const [first, last] = [days[0]!, days.at(-1)!];
    const say = (of: Between): string =>
      of.high - of.low < 10 ** -places
        ? fixed(of.middle, places)
        : texts.to(fixed(of.middle, places), fixed(of.low, places), fixed(of.high, places));
    // What is right at last.
    const window = windows.at(-1);
    const right = ((): string => {
      if (!window) return '';
      const [low, high] = [window.low, window.high].map((end) => (end === null ? null : fixed(end, places)));
      if (low === null) return texts.rightUpTo(high);
      return high === null ? texts.below(below, low) : texts.rightFromTo(low, high);
    })();
    return texts.day1Day(say(first), days.length, say(last), unit, right);
  });
  protected readonly options = computed(() => {
    const { days, unit, windows, places } = this.line();
    const at = (of: keyof Between): [number, number][] => days.map((day, i) => [i + 1, day[of]]);
    const bare = { type: 'line', symbol: 'none', silent: true, lineStyle: { opacity: 0 }, stack: 'band' };
    const top = Math.max(...days.map((day) => day.high), ...windows.map(({ high }) => high ?? -Infinity));
    const low = Math.min(...days.map((day) => day.low), ...windows.map((window) => window.low ?? Infinity));
    const room = (top - low) * 0.08 || 1;
    const floor = low >= 0 ? Math.max(0, low - room) : low - room;
    return {
      animation: false,
      textStyle: { fontFamily: chartLook.font },
      grid: { left: 56, right: 12, top: 10, bottom: 44 },
      xAxis: axis('day', { type: 'value', min: 1, max: days.length }),
      yAxis: axis(unit, {
        ...{ type: 'value', nameGap: 40, min: floor, max: top + room, splitNumber: 4 },
        axisLabel: {
          color: chartLook.ink,
          fontSize: 13,
          formatter: (value: number) => fixed(value, places),
        },
      }),
      series: [
        { ...bare, data: at('low') },
        {
          ...bare,
          data: days.map((day, i): [number, number] => [i + 1, day.high - day.low]),
          areaStyle: { color: chartLook.muted, opacity: 0.28 },
        },
        {
          type: 'line',
          data: at('middle'),
          symbol: 'none',
          lineStyle: { color: chartLook.ink, width: 2.5 },
          ...(windows.length > 0 && {
            markArea: {
              silent: true,
              itemStyle: { color: chartLook.window, opacity: 0.65 },
              data: windows.map((each) => [
                { xAxis: each.from, yAxis: each.low ?? floor },
                { xAxis: each.to, yAxis: each.high ?? top + room },
              ]),
            },
          }),
        },
      ],
    };
  });
}
