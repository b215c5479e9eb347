import { inject, Injectable, computed } from '@angular/core';
import { houses, weathers } from '#core/mix/dry-down';
import { fixed } from '#core/units/show';
import { acidityMeqPerMgN } from '#core/water/liquid-feed';
import { type Acid } from '#core/water/alkalinity';
import { type Keeping } from '#core/water/life';
import { KeepingService } from '../data/keeping-choice';
import { LibraryService } from '../data/library';
import { Units } from '../data/units';
import { shownIn } from '../ui/words/shown-in';
import { PouredWater } from './poured-water';
import { WeeksSubject } from './weeks-subject';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';

/** How it is kept: what can be set, and what that is in figures. */
@Injectable()
export class WeeksHand {
  private readonly keeping = inject(KeepingService);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  private readonly pouring = inject(PouredWater);
  private readonly subject = inject(WeeksSubject);
  readonly houses = houses.map((id) => ({
    id,
    name: { dull: texts.dull, bright: texts.bright, sun: texts.sunAndWind }[id],
  }));
  readonly acids: { id: Acid; name: string }[] = [
    { id: 'citric', name: texts.citricAcidDry },
    { id: 'phosphoric75', name: texts.phosphoricAcid75 },
    { id: 'nitric61', name: texts.nitricAcid61 },
  ];

  /** What the chosen feed leaves behind; nothing where none is chosen. */
  private readonly feedAcid = computed(() => {
    const product = this.library()?.amendments.get(this.keeping.now().feed ?? '');
    return product && product.nPct > 0 ? acidityMeqPerMgN(product) : 0;
  });
  /** As it is kept, in figures; acid has taken its share of the alkalinity. */
  readonly asked = computed((): Keeping => {
    const [{ weeks, house, tempC, rule, plant }, { alkalinityMgPerL, ecMSPerCm }] = [
      this.keeping.now(),
      this.pouring.water(),
    ];
    const left = 1 - (this.pouring.acidified()?.neutralisedShare ?? 0);
    return {
      ...{ days: 7 * weeks, seed: 1, rule, plant, feedAcidMeqPerMgN: this.feedAcid() },
      readings: (this.subject.now()?.readings ?? []).filter(({ day }) => day >= 1 && day <= 7 * weeks),
      weather: { tempC, evaporationMmPerH: weathers.find(({ id }) => id === house)!.evaporationMmPerH },
      water: { ecMSPerCm, alkalinityMgPerL: alkalinityMgPerL * left },
    };
  });

  readonly sliders = computed(() => {
    const { rule, plant } = this.keeping.now();
    const { unit } = shownIn('mg/L', this.units.system());
    const pct = (share: number): string => `${fixed(100 * share, 0)} %`;
    return [
      {
        name: texts.waterWhenThisShareOf,
        min: 0.1,
        max: 1,
        step: 0.05,
        value: rule.waterAt,
        says: pct(rule.waterAt),
        set: (waterAt: number) => this.keeping.setRule({ waterAt }),
      },
      {
        name: texts.shareToLetRunThrough,
        min: 0,
        max: 60,
        step: 5,
        value: rule.leachPct,
        says: `${rule.leachPct} %`,
        set: (leachPct: number) => this.keeping.setRule({ leachPct }),
      },
      {
        name: texts.feedNitrogenInTheWater,
        min: 0,
        max: 300,
        step: 5,
        value: rule.feedNMgPerL,
        says: `${rule.feedNMgPerL} ${unit}`,
        set: (feedNMgPerL: number) => this.keeping.setRule({ feedNMgPerL }),
      },
      {
        name: texts.feedFromDay,
        min: 0,
        max: 84,
        step: 1,
        value: rule.feedFromDay,
        says: String(rule.feedFromDay),
        set: (feedFromDay: number) => this.keeping.setRule({ feedFromDay }),
      },
      {
        name: texts.leavesOverTheMixAt,
        min: 0,
        max: 1.5,
        step: 0.05,
        value: plant.leafCoverFrom,
        says: pct(plant.leafCoverFrom),
        set: (leafCoverFrom: number) => this.keeping.patch({ plant: { ...plant, leafCoverFrom } }),
      },
      {
        name: texts.leavesOverItAtLast,
        min: 0,
        max: 1.5,
        step: 0.05,
        value: plant.leafCoverTo,
        says: pct(plant.leafCoverTo),
        set: (leafCoverTo: number) => this.keeping.patch({ plant: { ...plant, leafCoverTo } }),
      },
    ];
  });
}
