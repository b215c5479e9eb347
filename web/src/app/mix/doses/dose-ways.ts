import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { type Amendment } from '#core/material/amendment';
import { doseFrom, doseInWays, doseWays, type DoseSetting, type DoseWay } from '#core/units/dose-ways';
import { significant } from '#core/units/show';
import { volumeL } from '#core/vessel/vessel';
import { HoldsChoice } from '../../data/holds-choice';
import { kept } from '../../data/kept';
import { LotsService } from '../../data/lots';
import { MeasuresService } from '../../data/measures';
import { ReaderHere } from '../../data/reader-here';
import { Units } from '../../data/units';
import { RecipeStore } from '../../bench/recipe-store';
import { ChoiceField } from '../../ui/fields/choice-field';
import { NumberField } from '../../ui/fields/number-field';
import { Fold } from '../../ui/fold';
import { doseWays as texts } from '#words/en/places/mix/doses/dose-ways';

const words: Record<DoseWay, string> = {
  gPerL: 'g/L',
  kgPerM3: 'kg/m³',
  lbPerYd3: 'lb/yd³',
  ozPerGal: 'oz/gal',
  tablespoonsPerGal: texts.tablespoonsToTheGallon,
  teaspoonsPerGal: texts.teaspoonsToTheGallon,
  kilogramsPerBatch: texts.kgToTheBatch,
  poundsPerBatch: texts.poundsToTheBatch,
  ouncesPerBatch: texts.ouncesToTheBatch,
  gramsPerBatch: texts.gToTheBatch,
  cupsPerBatch: texts.cupsToTheBatch,
  tablespoonsPerBatch: texts.tablespoonsToTheBatch,
  teaspoonsPerBatch: texts.teaspoonsToTheBatch,
  gramsPerPot: texts.gToEachVessel,
  ouncesPerPot: texts.ouncesToEachVessel,
  cupsPerPot: texts.cupsToEachVessel,
  tablespoonsPerPot: texts.tablespoonsToEachVessel,
  measuresPerBatch: texts.measuresToTheBatch,
  measuresPerPot: texts.measuresToEachVessel,
  gramsPerBarrow: texts.gToABarrow,
  cupsPerBarrow: texts.cupsToABarrow,
  sacksPerBatch: texts.sacksToTheBatch,
};
const METRIC_ONLY: DoseWay[] = [
  'gPerL',
  'kgPerM3',
  'kilogramsPerBatch',
  'gramsPerBatch',
  'gramsPerPot',
  'gramsPerBarrow',
];

/** Zones of a vessel, % of its mix. Common practice, no source. */
const zones = [
  { id: '50', name: texts.topHalf },
  { id: '33', name: texts.topThird },
  { id: '25', name: texts.topQuarter },
  { id: '15', name: texts.trench },
  { id: '10', name: texts.ring },
  { id: '5', name: texts.underThePlant },
];

/** Ways that count in a measure of one's own. */
const MEASURED: DoseWay[] = ['measuresPerBatch', 'measuresPerPot'];

/** A dose typed as people say it, and read in every way that fits; through the mix, or into the top alone. */
@Component({
  selector: 'app-dose-ways',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details appFold #fold="appFold">
      <summary>{{ called() }}</summary>
      @if (fold.opened()) {
        <div class="fields">
          <app-number-field [label]="texts.soMuch" within="stock" [(value)]="amount" />
          <app-choice-field
            [label]="texts.ofLabel"
            [choices]="ways()"
            [value]="way()"
            (valueChange)="picked.set($event)"
          />
          <button type="button" class="press" [disabled]="asked() === null" (click)="take()">
            {{ texts.doseItSo }}
          </button>
          @if (isMeasured() && own().length > 1) {
            <app-choice-field
              [label]="texts.whichMeasure"
              [choices]="own()"
              [value]="pickedMeasure() ?? own()[0]!.id"
              (valueChange)="pickedMeasure.set($event)"
            />
          }
          <app-number-field
            [label]="texts.aBarrowHolds"
            unit="L"
            within="measureLitres"
            [value]="holds.value().barrowLitres"
            (valueChange)="holds.set('barrowLitres', $event)"
          />
          @if (way() === 'sacksPerBatch' && !ofDelivery()) {
            <app-number-field
              [label]="texts.aSackHolds"
              unit="kg"
              within="packageKg"
              [value]="sacks.value()[amendment().id]"
              (valueChange)="setSack($event)"
            />
          }
          @if (layers()) {
            <app-choice-field
              [label]="texts.zone"
              [none]="texts.throughAll"
              [choices]="zones"
              [value]="zoneId()"
              (valueChange)="layered.emit($event ? +$event : undefined)"
            />
            <app-number-field
              [label]="texts.onlyIntoTheTopOr"
              within="layerPct"
              [value]="layerPct()"
              (valueChange)="layered.emit($event)"
            />
          }
        </div>
        @if (zoneSays(); as words) {
          <p class="term">{{ words }}</p>
        }
        @if (asked(); as g) {
          <p class="term" role="status">{{ texts.thatIs(said(g)) }}</p>
        }
        <p class="term">{{ texts.now(said(gPerL())) }}</p>
      }
    </details>
  `,
  styles: `
    :host {
      grid-column: 1 / -1;
    }
    summary {
      font-size: var(--note);
    }
    p {
      margin: 4px 0;
    }
  `,
  imports: [ChoiceField, Fold, NumberField],
})
export class DoseWays {
  protected readonly texts = texts;
  readonly amendment = input.required<Amendment>();
  readonly gPerL = input.required<number>();
  readonly layerPct = input<number | undefined>(undefined);
  /** Whether it may go into a layer: lime to a pH is mixed through. */
  readonly layers = input(true);
  readonly called = input<string>(texts.enterItAnotherWay);
  readonly dosed = output<number>();
  readonly layered = output<number | undefined>();
  private readonly store = inject(RecipeStore);
  private readonly lots = inject(LotsService);
  private readonly measures = inject(MeasuresService);
  private readonly system = inject(Units).system;
  private readonly reader = inject(ReaderHere);
  protected readonly holds = inject(HoldsChoice);
  /** What a whole sack holds, kg, by product, where no delivery tells. */
  protected readonly sacks = kept<Record<string, number>>('sack-kg', {}, (stored) =>
    typeof stored === 'object' && stored !== null ? (stored as Record<string, number>) : undefined,
  );
  protected readonly amount = signal<number | undefined>(undefined);
  protected readonly picked = signal<string | null>('gramsPerBatch');

  /** Measures of one's own: the handful that was measured once. */
  protected readonly own = computed(() =>
    (this.measures.all.value() ?? []).map(({ id, name, litres }) => ({ id: String(id), name, litres })),
  );
  protected readonly pickedMeasure = signal<string | null>(null);
  private readonly measure = computed(() => {
    const own = this.own();
    return own.find(({ id }) => id === this.pickedMeasure()) ?? own[0] ?? null;
  });

  protected readonly ofDelivery = computed(
    () => this.lots.of(this.amendment().id).find(({ quantity }) => quantity !== null)?.quantity ?? null,
  );
  private readonly setting = computed((): DoseSetting => {
    return {
      bulkDensityGPerMl: this.amendment().bulkDensityGPerMl,
      batchLitres: Math.max(0.001, this.store.litres()),
      potLitres: volumeL(this.store.kind().vessel),
      barrowLitres: this.holds.value().barrowLitres,
      sackKg: this.ofDelivery() ?? this.sacks.value()[this.amendment().id] ?? null,
      measureLitres: this.measure()?.litres ?? null,
    };
  });
  private readonly fits = computed(() => {
    const us = this.system() === 'us';
    return doseWays.filter(
      (way) => !(us && METRIC_ONLY.includes(way)) && (!MEASURED.includes(way) || this.measure() !== null),
    );
  });
  protected readonly ways = computed(() => this.fits().map((id) => ({ id, name: words[id] })));
  /** Never one that is not offered: the list would show another than the one that counts. */
  protected readonly way = computed(() => this.fits().find((id) => id === this.picked()) ?? this.fits()[0]!);
  protected readonly zones = zones;
  protected readonly zoneId = computed(() => {
    const layer = this.layerPct();
    return layer === undefined ? null : String(layer);
  });
  /** What the zone holds of each vessel and of all of them. */
  protected readonly zoneSays = computed(() => {
    const layer = this.layerPct();
    if (layer === undefined) return '';
    const { volume } = this.reader.formats();
    const share = layer / 100;
    return texts.zoneHolds(
      volume(share * volumeL(this.store.kind().vessel)),
      this.store.kind().noun,
      volume(share * this.store.litres()),
    );
  });
  protected readonly isMeasured = computed(() => MEASURED.includes(this.way()));
  protected readonly asked = computed(() => {
    const amount = this.amount();
    if (amount === undefined) return null;
    try {
      return doseFrom(amount, this.way(), this.setting());
    } catch (error) {
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  });

  protected setSack(kg: number | undefined): void {
    const { [this.amendment().id]: _, ...others } = this.sacks.value();
    this.sacks.set(kg === undefined ? others : { ...others, [this.amendment().id]: kg });
  }

  protected said(gPerL: number): string {
    return doseInWays(gPerL, this.setting())
      .filter(({ way, amount }) => this.fits().includes(way) && amount >= 0.01 && amount < 10_000)
      .map(({ way, amount }) => `${significant(amount, 3)} ${words[way]}`)
      .join(' · ');
  }

  protected take(): void {
    const gPerL = this.asked();
    if (gPerL === null) return;
    this.dosed.emit(Math.min(1000, Math.round(gPerL * 1000) / 1000));
    this.amount.set(undefined);
  }
}
