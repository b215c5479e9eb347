import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type KeptEvent, type Planting, standing, tallyOf } from '#core/plants/planting';
import { dayNumber } from '#core/season/days';
import { fixed } from '#core/units/show';
import { Units } from '../data/units';
import { axis, Chart, chartLook } from '../ui/pictures/chart';
import { shownIn } from '../ui/words/shown-in';
import { plantCurves as texts } from '#words/en/places/plants/plant-curves';
import { common } from '#words/en/places/common';

interface Ends {
  low: number;
  high: number;
}
interface Curve {
  name: string;
  points: [day: number, value: number][];
  unit: string;
  window: Ends | undefined;
}

/** How many stand, pH, EC and weight over the days: small, alike, side by side, each with its table. */
@Component({
  selector: 'app-plant-curves',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (curve of curves(); track curve.name) {
      <section>
        <h2>{{ curve.name }}</h2>
        <app-chart [options]="curve.options" [says]="curve.says" />
        <details>
          <summary>{{ texts.asATable }}</summary>
          <table>
            <thead>
              <tr>
                <th scope="col">{{ texts.day }}</th>
                <th scope="col">{{ curve.name }}</th>
              </tr>
            </thead>
            <tbody>
              @for (row of curve.rows; track $index) {
                <tr>
                  <td>{{ row[0] }}</td>
                  <td>{{ row[1] }}</td>
                </tr>
              }
            </tbody>
          </table>
        </details>
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
      gap: 0 24px;
    }
    app-chart {
      height: 200px;
    }
    td,
    th {
      padding: 2px 16px 2px 0;
      text-align: left;
    }
  `,
  imports: [Chart],
})
export class PlantCurves {
  protected readonly texts = texts;
  readonly planting = input.required<Planting>();
  readonly events = input.required<readonly KeptEvent[]>();
  readonly ph = input<Ends>();
  readonly ec = input<Ends>();
  private readonly units = inject(Units);

  protected readonly curves = computed(() => {
    const [planting, events] = [this.planting(), standing(this.events())];
    const began = dayNumber(planting.on);
    const day = (on: string): number => dayNumber(on) - began;
    const stand: Curve['points'] = [];
    events.forEach((event, i) => {
      if (!['up', 'count', 'lost', 'moved', 'out', 'thinned'].includes(event.kind)) return;
      const { alive } = tallyOf(planting, events.slice(0, i + 1));
      if (alive !== null) stand.push([day(event.on), alive]);
    });
    const read = (kind: 'ph' | 'ec'): Curve['points'] =>
      events
        .flatMap((event) => (event.kind === kind ? [[day(event.on), event.value] as const] : []))
        .map((p) => [...p]);
    const weighed = events.flatMap((event): Curve['points'] =>
      event.kind === 'weight' ? [[day(event.on), event.grams]] : [],
    );
    const tall = events.flatMap((event): Curve['points'] =>
      event.kind === 'size' ? [[day(event.on), event.mm]] : [],
    );
    const came = events.flatMap((event): Curve['points'] =>
      event.kind === 'up' ? [[day(event.on), event.count]] : [],
    );
    const all: Curve[] = [
      { name: common.cameUp, points: came, unit: 'plants', window: undefined },
      { name: texts.stand, points: stand, unit: 'plants', window: undefined },
      { name: 'pH', points: read('ph'), unit: 'pH', window: this.ph() },
      { name: 'EC', points: read('ec'), unit: 'mS/cm', window: this.ec() },
      { name: texts.height, points: tall, unit: 'mm', window: undefined },
      { name: common.weight, points: weighed, unit: 'g', window: undefined },
    ];
    const system = this.units.system();
    return all
      .filter(({ points }) => points.length > 1)
      .map((curve) => {
        const { unit, per, zero } = shownIn(curve.unit, system);
        const points = curve.points.map(([at, value]): [number, number] => [at, value / per + zero]);
        return { ...curve, ...drawn({ ...curve, unit, points }) };
      });
  });
}

function drawn({ name, points, unit, window }: Curve) {
  const places = ['plants', 'g', 'mm'].includes(unit) ? 0 : ['oz', 'in'].includes(unit) ? 1 : 2;
  const [first, last] = [points[0]!, points.at(-1)!];
  const between = window ? texts.rightIsTo(window.low, window.high) : '';
  return {
    says: texts.fromOnDayToOn(
      name,
      fixed(first[1], places),
      first[0],
      fixed(last[1], places),
      last[0],
      between,
    ),
    rows: points.map(([day, value]) => [String(day), fixed(value, places)] as const),
    options: {
      animation: false,
      textStyle: { fontFamily: chartLook.font },
      grid: { left: 52, right: 12, top: 12, bottom: 44 },
      xAxis: axis('day', { type: 'value' }),
      yAxis: axis(unit, { type: 'value', nameGap: 36, scale: true }),
      series: [
        {
          type: 'line',
          data: points,
          symbolSize: 8,
          lineStyle: { color: chartLook.windowEdge, width: 2 },
          itemStyle: { color: chartLook.windowEdge },
          ...(window && {
            markArea: {
              silent: true,
              itemStyle: { color: chartLook.window, opacity: 0.6 },
              data: [[{ yAxis: window.low }, { yAxis: window.high }]],
            },
          }),
        },
      ],
    },
  };
}
