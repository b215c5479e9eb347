import { inject, Injectable, computed } from '@angular/core';
import { footprintOf } from '#core/vessel/tray';
import { daysAfter } from '#core/units/day';
import { fixed } from '#core/units/show';
import { troubles } from '#core/water/life';
import { liftAt } from '#core/water/lift';
import { KeepingService } from '../data/keeping-choice';
import { PlantsService } from '../data/plants';
import { ReaderHere } from '../data/reader-here';
import { Units } from '../data/units';
import { shownIn } from '../ui/words/shown-in';
import { oddsWords } from '../ui/words/words';
import { comes, drySays, handSays, mends, rhythmOf, settlingSays } from './weeks-says';
import { WeeksSearch } from './weeks-search';
import { WeeksSubject } from './weeks-subject';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';

/** Rarer than so is not said by itself. */
const WORTH_SAYING = 0.05;

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

/** What the weeks bring, as it is said; and the rule that keeps it right. */
@Injectable()
export class WeeksAnswer {
  private readonly reader = inject(ReaderHere);
  private readonly keeping = inject(KeepingService);
  private readonly search = inject(WeeksSearch);
  private readonly units = inject(Units);
  private readonly subject = inject(WeeksSubject);
  private readonly taken = inject(PlantsService).takenUp();

  /** That all is right, or what goes wrong first of all: the others stand below it. */
  readonly headline = computed((): { says: string; mend: string } | null => {
    const it = this.search.lives();
    if (!it) return null;
    const weeks = Math.round(it.keeping.days / 7);
    const { allRight } = it.band;
    if (allRight > 0.5)
      return {
        says: texts.rightForAllWeeks(
          weeks,
          allRight > 0.985
            ? texts.nearlyAlways
            : texts.inLives(oddsWords(allRight).replace('in 10', 'of 10')),
        ),
        mend: '',
      };
    const [worst] = this.comes();
    return worst ? { says: `${worst.odds}: ${worst.says}, ${worst.when}.`, mend: worst.mend } : null;
  });
  /** What else goes wrong often enough. */
  readonly others = computed(() => {
    const headline = this.headline()?.mend ?? '';
    const others = headline ? this.comes().slice(1) : this.comes();
    // What mends several is said with the first of them.
    const mends = [headline, ...others.map(({ mend }) => mend)];
    return others.map((other, i) => (mends.indexOf(other.mend) <= i ? { ...other, mend: '' } : other));
  });
  /** Of a planting the day is a date. */
  private dateOf(day: number): string {
    const planting = this.subject.now()?.planting;
    if (!planting) return '';
    return `, ${this.reader.formats().day(daysAfter(planting.on, day - 1))}`;
  }
  /** What goes wrong often enough, the likeliest first. */
  readonly comes = computed(() => {
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
  readonly lift = computed(() => {
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
  readonly rhythm = computed(() => {
    const days = this.search.lives()?.typical.days;
    return days ? rhythmOf(days) : '';
  });
  /** How long it lasts, what the hand minds, how far it sinks. */
  readonly minds = computed((): readonly string[] => {
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
  readonly readingsSay = computed(() => {
    const it = this.subject.now();
    if (!it?.planting) return '';
    const inside = it.readings.filter(({ day }) => day >= 1 && day <= 7 * this.keeping.now().weeks).length;
    return inside === 0
      ? texts.noPhOrEcReading
      : texts.theLinesGoThroughOf(inside === 1 ? texts.theOneReading : texts.theReadings(inside));
  });

  readonly found = computed(() => {
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
}
