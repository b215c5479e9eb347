import { dateIn } from '#words/days';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  airUnderMist,
  baseHeatC,
  cuttingDays,
  type CuttingStage,
  dilute,
  type LeafKind,
  mistIn,
  rootedOf,
  vpdKPa,
  vpdWindow,
  type Wood,
} from '#core/plants/cuttings';
import { cuttings } from '#core/plants/cuttings-list';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type Range } from '#core/units/limits';
import { fixed } from '#core/units/show';
import { RecipeStore } from '../bench/recipe-store';
import { CuttingService } from '../data/cutting-choice';
import { LibraryService } from '../data/library';
import { NurseryService } from '../data/nursery';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { DayField } from '../ui/fields/day-field';
import { TypedDay } from '../ui/fields/typed-day';
import { cuttingsPage as texts } from '#words/en/places/cuttings/cuttings-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

const ROOTING_DAYS = 21;

const stageSays: Record<CuttingStage, string> = {
  stick: texts.stick,
  callus: texts.callus,
  root: texts.roots,
  tone: texts.wean,
};
const mistSays: Record<LeafKind, Record<CuttingStage, string>> = {
  leafy: {
    stick: texts.leavesNeverDryAFine,
    callus: texts.stillWetLeavesAndLonger,
    root: texts.lessTheMixDrainsBetween,
    tone: texts.noneButOnHotNoons,
  },
  grey: {
    stick: texts.barelyMist,
    callus: texts.barelyMist,
    root: texts.hardlyAnyMist,
    tone: texts.noneButOnHotNoons,
  },
  bare: { stick: texts.noMist, callus: texts.noMist, root: texts.noMist, tone: texts.noMistOnceInLeaf },
};
const woodSays: Record<Wood, string> = {
  softwood: texts.softwoodSoftNewShoots,
  'semi-ripe': texts.semiRipeFirmAtThe,
  hardwood: texts.hardwoodRipeAndMostlyLeafless,
};

/** Cuttings, from sticking to roots. */
@Component({
  selector: 'app-cuttings-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './cuttings-page.html',
  styleUrl: './cuttings-page.scss',
  imports: [ChoiceField, DayField, NumberField, RouterLink],
})
export class CuttingsPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly choice = inject(CuttingService);
  private readonly store = inject(RecipeStore);
  private readonly library = inject(LibraryService).library;
  private readonly today = inject(NurseryService).today;
  protected readonly plants = cuttings.map(({ id, name }) => ({ id, name }));
  protected readonly tested = signal<number | undefined>(undefined);
  protected readonly rooted = signal<number | undefined>(undefined);
  protected readonly rootedRange = computed((): Range => [0, this.tested() ?? 1000]);

  protected readonly day = new TypedDay(() => this.choice.now().on ?? this.today());
  private readonly on = computed(() => (this.day.problem() ? this.today() : this.day.value()));

  protected readonly cutting = computed(
    () => cuttings.find(({ id }) => id === this.choice.now().cutting) ?? cuttings[0]!,
  );
  private readonly days = computed(() => cuttingDays(this.cutting(), this.on(), this.choice.now().baseC));

  private said(day: string): string {
    return dateIn(day, 'short', this.reader.now().language);
  }

  protected readonly headline = computed(() => {
    const { name, wood } = this.cutting();
    const root = this.days().find(({ stage }) => stage === 'root')!;
    return texts.rootsFromTo(name, woodSays[wood], this.said(root.from), this.said(root.until));
  });
  protected readonly steps = computed(() =>
    this.days().map(({ stage, from, until }) => ({
      name: stageSays[stage],
      days: from === until ? this.said(from) : texts.to(this.said(from), this.said(until)),
      now: from <= this.today() && this.today() < until && stage === this.stageNow(),
      warmth: stage === 'tone' ? texts.coolerBaseHeatOff : this.heatSays(),
      mist: mistSays[this.cutting().leaves][stage],
    })),
  );
  private heatSays(): string {
    const { leaves } = this.cutting();
    const { low, high } = baseHeatC[leaves];
    const range = this.reader.formats().celsiusRange(low, high);
    return leaves === 'bare' ? texts.coolNoHeat(range) : texts.atTheBase(range);
  }

  /** The last stage that has begun; sticking before. */
  private readonly stageNow = computed(
    () => this.days().findLast(({ from }) => from <= this.today())?.stage ?? 'stick',
  );

  /** The mix on the bench where it is one for rooting, else the usual one. */
  private readonly mix = computed(() => {
    const library = this.library();
    if (!library) return null;
    const bench = this.store.recipe();
    const own = bench.stage === 'rooting' && bench.components.length > 0;
    const recipe = own ? bench : starterMixes.rooting;
    return this.reader.attempt(() => ({
      own,
      noun: library.vessels.get(recipe.vessel)?.name ?? recipe.vessel,
      air: airUnderMist(mixInputOf(recipe, library), ROOTING_DAYS),
    }));
  });

  protected readonly remarks = computed((): { says: string; warn: boolean }[] => {
    const { airC, humidity, baseC } = this.choice.now();
    const { leaves } = this.cutting();
    const { celsius, celsiusRange } = this.reader.formats();
    const result: { says: string; warn: boolean }[] = [];
    const stage = this.stageNow();
    const window = vpdWindow[leaves]?.[stage];
    const mist = humidity === null ? null : mistIn(leaves, stage, vpdKPa(airC, humidity));
    if (humidity !== null && window && mist) {
      const kPa = vpdKPa(airC, humidity);
      const { low, high } = window;
      const so = { more: texts.mistMoreOrShade, right: texts.thatIsRight, less: texts.mistLessLetAirIn }[
        mist
      ];
      result.push({
        says: texts.airPulls(
          ...[celsius(airC), humidity, fixed(kPa, 2)],
          ...[stageSays[stage].toLowerCase(), fixed(low, 1), fixed(high, 1), so],
        ),
        warn: mist !== 'right',
      });
    }
    const heat = baseHeatC[leaves];
    const range = celsiusRange(heat.low, heat.high);
    if (baseC < heat.low)
      result.push({
        says:
          leaves === 'bare'
            ? texts.tooColdForWood(celsius(baseC), range)
            : texts.rootsAreSlow(celsius(baseC), range),
        warn: true,
      });
    if (baseC > heat.high)
      result.push({
        says:
          leaves === 'bare'
            ? texts.budsBreakFirst(celsius(baseC), range)
            : texts.rotsSooner(celsius(baseC), range),
        warn: true,
      });
    // Nothing stands under mist that has no leaves.
    if (leaves === 'bare') return result;
    const mix = this.mix();
    if (mix && 'air' in mix) {
      const { low, high, limit, surelyFrom, perhapsFrom } = mix.air;
      const whose = mix.own ? texts.theRootingMixThatIs : texts.theUsualRootingMix;
      const holds = texts.hasToAirAfterThree(whose, mix.noun, fixed(low, 0), fixed(high, 0), fixed(limit, 0));
      result.push(
        perhapsFrom === null
          ? { says: texts.staysAbove(holds), warn: false }
          : {
              says: texts.fallsUnder(
                holds,
                surelyFrom === null ? texts.itMayFall : texts.itFalls,
                perhapsFrom === 1 ? texts.fromTheFirstDay : texts.fromDay(perhapsFrom),
              ),
              warn: true,
            },
      );
    } else if (mix) result.push({ says: mix.why, warn: true });
    return result;
  });

  protected readonly wants = computed(() => {
    const { name, wood, hormonePpm } = this.cutting();
    const [low, high] = hormonePpm;
    return low === 0 ? texts.rootsWithoutADipUp(name, high) : texts.toPpmAQuickDip(name, wood, low, high);
  });
  protected readonly dip = computed(() => {
    const { stockPpm, dipPpm, dipMl } = this.choice.now();
    const { volume } = this.reader.formats();
    if (stockPpm === null) return null;
    const it = this.reader.attempt(() => dilute(stockPpm, dipPpm, dipMl, this.cutting().wood));
    if ('why' in it) return it;
    return {
      says: texts.dipMade(volume(it.stockMl / 1000), volume(it.waterMl / 1000), fixed(it.toOne, 2)),
    };
  });

  protected readonly count = computed(() => {
    const [tested, rooted] = [this.tested(), this.rooted()];
    if (tested === undefined || rooted === undefined || rooted > tested) return '';
    const { share, low, high, wean } = rootedOf(rooted, tested);
    const pct = (of: number): string => fixed(100 * of, 0);
    return texts.haveRootsOfTheWhole(
      pct(share),
      pct(low),
      pct(high),
      this.cutting().leaves === 'bare'
        ? wean
          ? texts.lineThemOut
          : texts.notYetLookAgain
        : wean
          ? texts.beginToWeanBaseHeat
          : texts.notYetKeepMistAnd,
    );
  });

  constructor() {
    effect(() => {
      const day = this.day.value();
      if (!this.day.problem() && day !== this.today()) untracked(() => this.choice.patch({ on: day }));
    });
  }
}
