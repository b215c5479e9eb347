import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type NamedMix } from '#core/season/needs';
import { dayNumber, isoWeekOf, weekNumber } from '#core/season/days';
import { type Season } from '#core/season/season';
import { mixOf, type KeptMix } from '#core/season/needs';
import { Units } from '../data/units';
import { axis, Chart, chartLook } from '../ui/pictures/chart';
import { shownIn } from '../ui/words/shown-in';
import { seasonCharts as texts } from '#words/en/places/season/season-charts';

const COLOURS = [chartLook.windowEdge, chartLook.solid, chartLook.water, chartLook.action, chartLook.muted];
/** Printed in black it is told by its hatching. */
const decals = [null, 'rect', 'triangle', 'circle', 'diamond'];

/** Bench and mix by week, each with its table. */
@Component({
  selector: 'app-season-charts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="bench-weeks">
      <h2 id="bench-weeks">{{ texts.benchByWeek }}</h2>
      <app-chart [options]="bench().options" [says]="bench().says" />
      <details>
        <summary>{{ texts.asATable }}</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">{{ texts.week }}</th>
              <th scope="col">{{ texts.bench(area().unit) }}</th>
              <th scope="col">{{ texts.overBy }}</th>
            </tr>
          </thead>
          <tbody>
            @for (row of bench().rows; track row.week) {
              <tr>
                <th scope="row">{{ row.week }}</th>
                <td>{{ row.m2 }}</td>
                <td>{{ row.over || '–' }}</td>
              </tr>
            }
          </tbody>
        </table>
      </details>
    </section>
    <section aria-labelledby="mix-weeks">
      <h2 id="mix-weeks">{{ texts.mixByWeek }}</h2>
      <app-chart [options]="mix().options" [says]="mix().says" />
      <details>
        <summary>{{ texts.asATable }}</summary>
        <div class="wide" tabindex="0" role="region" [attr.aria-label]="texts.mixByWeek">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ texts.week }}</th>
                @for (name of mix().names; track name) {
                  <th scope="col">{{ name }}, {{ volume().unit }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (row of mix().rows; track row.week) {
                <tr>
                  <th scope="row">{{ row.week }}</th>
                  @for (cell of row.cells; track $index) {
                    <td>{{ cell || '–' }}</td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
      </details>
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 0 32px;
    }
    app-chart {
      height: 210px;
    }
    .wide {
      overflow-x: auto;
    }
    th,
    td {
      padding: 3px 14px 3px 0;
      border-bottom: 1px solid var(--hairline);
      font-weight: 400;
      text-align: right;
    }
    th:first-child {
      text-align: left;
    }
    thead th {
      color: var(--muted);
      font-size: var(--small);
    }
    @media (max-width: 760px) {
      :host {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  imports: [Chart],
})
export class SeasonCharts {
  protected readonly texts = texts;
  readonly season = input.required<Season>();
  readonly kept = input.required<ReadonlyMap<number, KeptMix>>();
  readonly way = input.required<string | null>();
  private readonly units = inject(Units);
  protected readonly area = computed(() => shownIn('m²', this.units.system()));
  protected readonly volume = computed(() => shownIn('L', this.units.system()));

  protected readonly bench = computed(() => {
    const { weeks, benchM2 } = this.season();
    const { unit, per } = this.area();
    const present = benchM2 === null ? null : benchM2 / per;
    const over = weeks.filter((week) => week.over);
    const shown = (m2: number): string => (m2 / per).toFixed(1);
    const rows = weeks.map((week) => ({
      week: week.week,
      m2: shown(week.benchM2),
      over: week.over ? shown(week.benchM2 - benchM2!) : '',
    }));
    const says = texts.benchByWeekAtMost(
      shown(Math.max(0, ...weeks.map((w) => w.benchM2))),
      unit,
      present === null ? '' : texts.ofIt(present.toFixed(1)),
      over.length,
    );
    return {
      rows,
      says,
      options: {
        ...base,
        xAxis: axis('week', { type: 'category', data: weeks.map((w) => w.week.slice(6)) }),
        yAxis: axis(unit, { type: 'value', nameGap: 40 }),
        series: [
          {
            type: 'bar',
            barCategoryGap: '12%',
            data: weeks.map((week) => ({
              value: Number((week.benchM2 / per).toFixed(2)),
              itemStyle: week.over
                ? { color: chartLook.action, borderColor: chartLook.ink }
                : { color: chartLook.window, borderColor: chartLook.windowEdge },
            })),
            ...(present !== null && {
              markLine: {
                symbol: 'none',
                silent: true,
                lineStyle: { color: chartLook.ink, width: 2, type: 'solid' },
                label: {
                  formatter: texts.theBench,
                  position: 'insideEndTop',
                  color: chartLook.ink,
                  fontSize: 13,
                },
                data: [{ yAxis: present }],
              },
            }),
          },
        ],
      },
    };
  });

  protected readonly mix = computed(() => {
    const { per, unit } = this.volume();
    const byMix = new Map<string, { name: string; weeks: Map<number, number> }>();
    for (const { steps } of this.season().sowings)
      for (const step of steps) {
        if (step.mixL === 0) continue;
        const { key, name }: NamedMix = mixOf(step.step, this.kept(), this.way());
        let existing = byMix.get(key);
        if (!existing) byMix.set(key, (existing = { name, weeks: new Map() }));
        const week = weekNumber(dayNumber(step.from));
        existing.weeks.set(week, (existing.weeks.get(week) ?? 0) + step.mixL / per);
      }
    const all = [...byMix.values()];
    const numbers = [...new Set(all.flatMap((each) => [...each.weeks.keys()]))].sort((a, b) => a - b);
    const [first, last] = [numbers[0] ?? 0, numbers.at(-1) ?? -1];
    const weeks = Array.from({ length: last - first + 1 }, (_, i) => first + i);
    const whole = all.reduce((sum, each) => sum + [...each.weeks.values()].reduce((a, b) => a + b, 0), 0);
    return {
      names: all.map((each) => each.name),
      rows: numbers.map((week) => ({
        week: isoWeekOf(week),
        cells: all.map((each) => each.weeks.get(week)?.toFixed(1) ?? ''),
      })),
      says: texts.mixByTheWeekIn(all.map((each) => each.name).join(', '), whole.toFixed(0), unit),
      options: {
        ...base,
        grid: { ...base.grid, top: 34 },
        legend: { top: 0, left: 40, itemGap: 14, textStyle: { color: chartLook.ink, fontSize: 13 } },
        xAxis: axis('week', { type: 'category', data: weeks.map((week) => isoWeekOf(week).slice(6)) }),
        yAxis: axis(unit, { type: 'value', nameGap: 40 }),
        series: all.map((each, i) => ({
          type: 'bar',
          name: each.name,
          stack: 'mix',
          barCategoryGap: '12%',
          itemStyle: {
            color: COLOURS[i % COLOURS.length],
            ...(decals[i % decals.length] && {
              decal: { symbol: decals[i % decals.length], color: 'rgba(255,255,255,0.35)', symbolSize: 0.5 },
            }),
          },
          data: weeks.map((week) => Number((each.weeks.get(week) ?? 0).toFixed(2))),
        })),
      },
    };
  });
}

const base = {
  animation: false,
  textStyle: { fontFamily: chartLook.font },
  grid: { left: 54, right: 14, top: 12, bottom: 40 },
};
