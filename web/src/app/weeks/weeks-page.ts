import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { formatDate } from '@angular/common';
import { RouterLink } from '@angular/router';
import { daysAfter } from '#core/units/day';
import { houses, weathers } from '#core/mix/dry-down';
import { phWindow, windowsOf } from '#core/judge/windows';
import { fixed } from '#core/units/show';
import { acidityMeqPerMgN } from '#core/water/liquid-feed';
import { type Acid } from '#core/water/alkalinity';
import { type Keeping, troubles } from '#core/water/life';
import { liftAt } from '#core/water/lift';
import { called } from '#core/plants/care';
import { footprintOf } from '#core/vessel/tray';
import { RecipeStore } from '../bench/recipe-store';
import { KeepingService } from '../data/keeping-choice';
import { LibraryService } from '../data/library';
import { PlantsService } from '../data/plants';
import { SeasonService } from '../data/season';
import { SpreadChoice } from '../data/spread-choice';
import { Units } from '../data/units';
import { WatersService } from '../data/waters';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { Amount } from '../ui/words/amount';
import { shownIn } from '../ui/words/shown-in';
import { oddsWords, stageNames } from '../ui/words/words';
import { FeedMaker } from './feed-maker';
import { WeeksChart, type WeeksLine } from './weeks-chart';
import { comes, drySays, handSays, mends, rhythmOf, settlingSays } from './weeks-says';
import { WeeksSearch } from './weeks-search';
import { PouredWater } from './poured-water';
import { WeeksSubject } from './weeks-subject';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

const PAUSE_MS = 250;
/** Rarer than so is not said by itself. */
const WORTH_SAYING = 0.05;

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

/** The weeks to come: water, salts, nitrogen and pH of the mix on the bench, as it will be kept. */
@Component({
  selector: 'app-weeks-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [WeeksSearch, WeeksSubject, PouredWater],
  host: { class: 'page' },
  templateUrl: './weeks-page.html',
  styleUrl: './weeks-page.scss',
  imports: [
    DayPipe,
    TitlePipe,
    Amount,
    ChoiceField,
    FeedMaker,
    NumberField,
    RouterLink,
    Segments,
    WeeksChart,
  ],
})
export class WeeksPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly store = inject(RecipeStore);
  protected readonly keeping = inject(KeepingService);
  protected readonly search = inject(WeeksSearch);
  private readonly units = inject(Units);
  private readonly waters = inject(WatersService);
  private readonly library = inject(LibraryService).library;
  protected readonly subject = inject(WeeksSubject);
  protected readonly pouring = inject(PouredWater);
  private readonly crops = inject(SeasonService).crops;
  private readonly taken = inject(PlantsService).takenUp();
  private readonly spreads = inject(SpreadChoice).spreads;
  protected readonly stageNames = stageNames;
  protected readonly houses = houses.map((id) => ({
    id,
    name: { dull: texts.dull, bright: texts.bright, sun: texts.sunAndWind }[id],
  }));
  protected readonly acids: { id: Acid; name: string }[] = [
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
  private readonly askedOf = computed((): Keeping => {
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
  protected readonly why = computed(() => this.subject.why() || this.search.problem());

  protected readonly headline = computed(() => {
    const it = this.search.lives();
    if (!it) return '';
    const weeks = Math.round(it.keeping.days / 7);
    const { allRight } = it.band;
    if (allRight > 0.5)
      return texts.rightForAllWeeks(
        weeks,
        allRight > 0.985 ? texts.nearlyAlways : texts.inLives(oddsWords(allRight).replace('in 10', 'of 10')),
      );
    const [worst] = this.comes();
    return worst ? `${capital(worst.says)} ${worst.when}` : '';
  });
  protected readonly named = computed(() => {
    const planting = this.subject.now()?.planting;
    if (!planting) return '';
    const crop = this.crops.value()?.find(({ id }) => id === planting.crop);
    return called(planting, crop ?? { name: planting.crop });
  });
  /** Of a planting the day is a date. */
  private dateOf(day: number): string {
    const planting = this.subject.now()?.planting;
    if (!planting) return '';
    return `, ${formatDate(daysAfter(planting.on, day - 1), 'd MMM', 'en')}`;
  }
  /** What goes wrong often enough, the likeliest first. */
  protected readonly comes = computed(() => {
    const band = this.search.lives()?.band;
    if (!band) return [];
    return troubles
      .flatMap((trouble) => {
        const { share, first } = band.troubles[trouble];
        return first === null || share < WORTH_SAYING
          ? []
          : [
              {
                trouble,
                says: comes[trouble],
                day: first,
                when: first <= 1 ? texts.fromTheFirstDay : texts.aboutDay(first, this.dateOf(first)),
                share,
                odds: capital(oddsWords(share)),
                // What is so on the first day no watering made.
                mend: first <= 1 ? texts.thatIsTheMixItself : mends[trouble],
              },
            ];
      })
      .sort((a, b) => b.share - a.share || a.day - b.day);
  });

  /** When a hand that lifts it waters, and how much from below brings it back. */
  protected readonly lift = computed(() => {
    const subject = this.subject.now();
    if (!subject) return null;
    const { evaluation, kind } = subject;
    const { perTray, noun } = kind;
    const own = this.taken.value()?.find(({ vessel }) => vessel === kind.id);
    const at = liftAt(evaluation, this.keeping.now().rule.waterAt, perTray, footprintOf(kind));
    const { mass, length } = this.reader.formats();
    return [
      {
        ...{ name: texts.liftItWaterAAt(noun), of: { massG: at.cellG } },
        says: texts.wetItWeighs(mass(evaluation.wetWeightG)),
      },
      ...(perTray > 1
        ? [
            {
              ...{ name: texts.orATrayOfAt(perTray), of: { massG: at.trayG } },
              says: texts.wetTrayWeighs(mass(perTray * evaluation.wetWeightG)),
            },
          ]
        : []),
      {
        ...{ name: texts.fromBelowPour, of: { volumeL: at.missingMl / 1000 } },
        says: texts.pouredDeep(
          length(at.depthMm!),
          own
            ? texts.minutesAs(
                fixed(own.minutes, 0),
                own.times === 1 ? texts.youTimedIt : texts.timingsOfYoursSay(own.times),
              )
            : texts.halfAnHour,
        ),
      },
    ];
  });
  protected readonly rhythm = computed(() => {
    const days = this.search.lives()?.typical.days;
    return days ? rhythmOf(days) : '';
  });
  /** How long it lasts, what the hand minds, how far it sinks. */
  protected readonly minds = computed((): readonly string[] => {
    const it = this.subject.now();
    if (!it) return [];
    const { evaluation, input, kind } = it;
    const { plant, weeks } = this.keeping.now();
    return [
      drySays(evaluation, plant.leafCoverTo),
      ...handSays(evaluation, input, kind),
      settlingSays(evaluation, input, kind, 7 * weeks, this.reader.formats()),
    ];
  });
  protected readonly readingsSay = computed(() => {
    const it = this.subject.now();
    if (!it?.planting) return '';
    const inside = it.readings.filter(({ day }) => day >= 1 && day <= 7 * this.keeping.now().weeks).length;
    return inside === 0
      ? texts.noPhOrEcReading
      : texts.theLinesGoThroughOf(inside === 1 ? texts.theOneReading : texts.theReadings(inside));
  });

  protected readonly lines = computed((): WeeksLine[] => {
    const [it, subject] = [this.search.lives(), this.subject.now()];
    if (!it || !subject) return [];
    const { input, evaluation, kind } = subject;
    const windows = windowsOf(input);
    const ph = phWindow(input, evaluation);
    const system = this.units.system();
    const mL = shownIn('mL', system);
    const water = it.typical.days.map(({ waterMl }) => {
      const shown = waterMl / mL.per;
      return { low: shown, middle: shown, high: shown };
    });
    const wilts =
      (1000 * evaluation.column.volumeL * evaluation.drained.water - 0.9 * evaluation.availableWaterMl) /
      mL.per;
    const of = (line: 'ph' | 'ecSaturatedMSPerCm' | 'nMgPerL') => it.band.days.map((day) => day[line]);
    return [
      {
        ...{
          name: texts.waterInEach(kind.noun),
          unit: mL.unit,
          places: mL.unit === 'mL' ? 0 : 1,
        },
        ...{ days: water, window: { low: wilts, high: null }, below: 'dry' },
      },
      {
        name: common.availableNitrogen,
        unit: shownIn('mg/L', system).unit,
        places: 0,
        days: of('nMgPerL'),
        window: { low: 10, high: null },
        below: 'short',
      },
      { name: 'pH', unit: 'pH', places: 1, days: of('ph'), window: { low: ph.low, high: ph.high } },
      {
        ...{ name: texts.saltsSaturatedExtract, unit: 'mS/cm', places: 2, days: of('ecSaturatedMSPerCm') },
        window: { low: null, high: windows.ecSaturatedMSPerCm.high + evaluation.harmlessEcMSPerCm },
      },
    ];
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

  protected readonly found = computed(() => {
    const found = this.search.found();
    if (!found) return null;
    const { rule, waterings, left } = found;
    const { unit } = shownIn('mg/L', this.units.system());
    const feed =
      rule.feedNMgPerL === 0
        ? texts.noFeed
        : texts.ofNitrogenFromDay(rule.feedNMgPerL, unit, rule.feedFromDay);
    const says = texts.waterWhenOfItsWater(
      fixed(100 * rule.waterAt, 0),
      rule.leachPct === 0 ? texts.letNone : texts.letIt(rule.leachPct),
      feed,
      waterings,
    );
    return {
      rule,
      says:
        left.length === 0
          ? texts.keepsAllInsideWithThe(says)
          : texts.noneOfRulesKeepsAll(
              found.tried,
              says,
              left.map(({ trouble, first }) => texts.fromDay(comes[trouble], first)).join(', '),
              left.map(({ trouble }) => mends[trouble]).join(' '),
            ),
    };
  });

  constructor() {
    effect((onCleanup) => {
      const [subject, asked, spreads] = [this.subject.now(), this.askedOf(), this.spreads()];
      if (!subject) return;
      // A slider that still moves is not lived through.
      const timer = setTimeout(() => this.search.live(subject.input, asked, spreads), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected lookForRule(): void {
    const subject = this.subject.now();
    if (subject) this.search.lookForRule(subject.input, this.askedOf());
  }

  protected takeRule(rule: Keeping['rule']): void {
    this.search.found.set(null);
    this.keeping.patch({ rule });
  }
}
