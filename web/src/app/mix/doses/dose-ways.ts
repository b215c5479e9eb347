import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { type Amendment } from '#core/material/amendment';
import { doseFrom, doseInWays, doseWays, type DoseSetting, type DoseWay } from '#core/units/dose-ways';
import { significant } from '#core/units/show';
import { volumeL } from '#core/vessel/vessel';
import { kept } from '../../data/kept';
import { LotsService } from '../../data/lots';
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

/** A dose typed as people say it, and read in every way that fits; through the mix, or into the top alone. */
@Component({
  selector: 'app-dose-ways',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details appFold #fold="appFold">
      <summary>{{ texts.enterItAnotherWay }}</summary>
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
          <app-number-field
            [label]="texts.aBarrowHolds"
            unit="L"
            within="measureLitres"
            [value]="barrow.value()"
            (valueChange)="barrow.set($event ?? 80)"
          />
          <app-number-field
            [label]="texts.onlyIntoTheTopOr"
            within="layerPct"
            [value]="layerPct()"
            (valueChange)="layered.emit($event)"
          />
        </div>
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
  readonly dosed = output<number>();
  readonly layered = output<number | undefined>();
  private readonly store = inject(RecipeStore);
  private readonly lots = inject(LotsService);
  private readonly system = inject(Units).system;
  protected readonly barrow = kept<number>('barrow-litres', 80, (stored) =>
    typeof stored === 'number' && stored > 0 ? stored : undefined,
  );
  protected readonly amount = signal<number | undefined>(undefined);
  protected readonly picked = signal<string | null>('gramsPerBatch');

  private readonly setting = computed((): DoseSetting => {
    const lot = this.lots.of(this.amendment().id).find(({ quantity }) => quantity !== null);
    return {
      bulkDensityGPerMl: this.amendment().bulkDensityGPerMl,
      batchLitres: Math.max(0.001, this.store.litres()),
      potLitres: volumeL(this.store.kind().vessel),
      barrowLitres: this.barrow.value(),
      sackKg: lot?.quantity ?? null,
    };
  });
  private readonly fits = computed(() => {
    const us = this.system() === 'us';
    const sack = this.setting().sackKg !== null;
    return doseWays.filter((way) => !(us && METRIC_ONLY.includes(way)) && (way !== 'sacksPerBatch' || sack));
  });
  protected readonly ways = computed(() => this.fits().map((id) => ({ id, name: words[id] })));
  /** Never one that is not offered: the list would show another than the one that counts. */
  protected readonly way = computed(() => this.fits().find((id) => id === this.picked()) ?? this.fits()[0]!);
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
