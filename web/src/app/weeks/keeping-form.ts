import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Acid } from '#core/weeks/alkalinity';
import { type Cover, covers } from '#core/weeks/keeping';
import { type HouseKept, houseOn } from '#core/weeks/usual-keeping';
import { type House, houses } from '#core/weeks/weather';
import { fixed } from '#core/units/show';
import { NurseryService } from '../data/nursery';
import { Units } from '../data/units';
import { ReaderHere } from '../data/reader-here';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { shownIn } from '../ui/words/shown-in';
import { FeedMaker } from './feed-maker';
import { KeepingHere } from './keeping-here';
import { PouredWater } from './poured-water';
import { common } from '#words/en/places/common';
import { keepingForm as texts } from '#words/en/places/weeks/keeping-form';
import { dateIn } from '#words/days';

const houseNames: Record<House, string> = { dull: texts.dull, bright: texts.bright, sun: texts.sunAndWind };
const coverNames: Record<Cover, string> = {
  bare: texts.bare,
  grit: texts.grit,
  vermiculite: texts.vermiculite,
  lid: texts.lid,
};
const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1);

/** How it is kept: house, water, hand, feed and spacing, as one sets it. */
@Component({
  selector: 'app-keeping-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './keeping-form.html',
  styleUrl: './keeping-form.scss',
  imports: [ChoiceField, FeedMaker, NumberField, RouterLink, Segments],
})
export class KeepingForm {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly keeping = inject(KeepingHere);
  protected readonly pouring = inject(PouredWater);
  private readonly units = inject(Units);
  private readonly nursery = inject(NurseryService);
  private readonly reader = inject(ReaderHere);
  protected readonly houses = houses.map((id) => ({ id, name: houseNames[id] }));
  protected readonly covers = covers.map((id) => ({ id, name: coverNames[id] }));
  protected readonly looks = [
    { id: 'any', name: texts.atAnyHour },
    { id: '1', name: texts.onceADay },
    { id: '2', name: texts.twiceADay },
  ];
  protected readonly acids: { id: Acid; name: string }[] = [
    { id: 'citric', name: texts.citricAcidDry },
    { id: 'phosphoric75', name: texts.phosphoricAcid75 },
    { id: 'nitric61', name: texts.nitricAcid61 },
  ];
  protected readonly otherMonths = computed(() => {
    const set = new Set(this.keeping.now().months.map(({ month }) => month));
    return MONTHS.filter((month) => !set.has(month)).map((month) => ({
      id: String(month),
      name: this.monthName(month),
    }));
  });

  /** The month that it is now has a house of its own: days are told by that. */
  protected readonly thisMonth = computed(() => {
    const [now, today] = [this.keeping.now(), this.nursery.today()];
    const present = houseOn(now, today);
    if (present === now) return '';
    const month = this.monthName(Number(today.slice(5, 7)));
    const { celsius } = this.reader.formats();
    return texts.inThisMonth(month, this.reader.word(`weather.${present.house}`), celsius(present.tempC));
  });
  protected readonly sliders = computed(() => {
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
        max: 4,
        step: 0.05,
        value: plant.leafCoverFrom,
        says: pct(plant.leafCoverFrom),
        set: (leafCoverFrom: number) => this.keeping.patch({ plant: { ...plant, leafCoverFrom } }),
      },
      {
        name: texts.leavesOverItAtLast,
        min: 0,
        max: 4,
        step: 0.05,
        value: plant.leafCoverTo,
        says: pct(plant.leafCoverTo),
        set: (leafCoverTo: number) => this.keeping.patch({ plant: { ...plant, leafCoverTo } }),
      },
    ];
  });

  protected monthName(month: number): string {
    return dateIn(`2031-${String(month).padStart(2, '0')}-15`, 'monthName', this.reader.now().language);
  }

  protected look(id: string | null): void {
    this.keeping.patch({ looks: id === '1' ? 1 : id === '2' ? 2 : null });
  }

  protected addMonth(month: number): void {
    const { months, house, tempC } = this.keeping.now();
    const all = [...months, { month, house, tempC }];
    this.keeping.patch({ months: all.sort((a, b) => a.month - b.month) });
  }

  protected setMonth(month: number, change: Partial<HouseKept>): void {
    this.keeping.patch({
      months: this.keeping.now().months.map((each) => (each.month === month ? { ...each, ...change } : each)),
    });
  }

  protected dropMonth(month: number): void {
    this.keeping.patch({ months: this.keeping.now().months.filter((each) => each.month !== month) });
  }
}
