import { inject, Injectable, computed } from '@angular/core';
import { footprintOf } from '#core/vessel/tray';
import { daysAfter } from '#core/units/day';
import { fixed } from '#core/units/show';
import { type Finding, findingsOf } from '#core/advise/findings';
import { isOfTheMix, type Trouble, troubles } from '#core/weeks/life';
import { ruleSays } from '#core/weeks/rule-facts';
import { liftAt } from '#core/weeks/lift';
import { PlantsService } from '../data/plants';
import { ReaderHere } from '../data/reader-here';
import { oddsInTimes, oddsWords } from '../ui/words/words';
import { KeepingHere } from './keeping-here';
import { PouredWater } from './poured-water';
import { WeeksHand } from './weeks-hand';
import { comes, drySays, handSays, mendOf, rhythmSays, settlingSays } from './weeks-says';
import { WeeksSearch } from './weeks-search';
import { WeeksSubject } from './weeks-subject';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';

/** What a trouble from the first day is about, as the Mix place finds it. */
const subjectOfTrouble: Partial<Record<Trouble, Finding['subject']>> = {
  salty: 'salts',
  sour: 'ph',
  sweet: 'ph',
};

/** Rarer than so is not said by itself. */
const WORTH_SAYING = 0.05;

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

/** What the weeks bring, as it is said; and the rule that keeps it right. */
@Injectable()
export class WeeksAnswer {
  private readonly reader = inject(ReaderHere);
  private readonly keeping = inject(KeepingHere);
  private readonly hand = inject(WeeksHand);
  private readonly pouring = inject(PouredWater);
  private readonly search = inject(WeeksSearch);
  private readonly subject = inject(WeeksSubject);
  private readonly taken = inject(PlantsService).takenUp();

  /** That all is right, or what goes wrong first of all: the others stand below it. */
  readonly headline = computed((): { says: string; mend: string } | null => {
    const it = this.search.lives();
    if (!it) return null;
    const weeks = Math.round(it.keeping.days / 7);
    const { allRight } = it.band;
    if (allRight > 0.5 && this.ofTheMix().length > 0) return { says: texts.mendTheMixFirst, mend: '' };
    if (allRight > 0.5)
      return {
        says: texts.rightForAllWeeks(weeks, oddsInTimes(allRight)),
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
    return `, ${this.reader.formats().day(daysAfter(planting.since, day - 1))}`;
  }
  /** What goes wrong often enough, the likeliest first; the mix's own faults apart. */
  readonly comes = computed(() => {
    const it = this.search.lives();
    if (!it) return [];
    const { troubles: band } = it.band;
    const come = troubles.flatMap((trouble) => {
      const { share, first, early, late } = band[trouble];
      // Its day is that of the one life, which every place tells; where it does not come in that, the middle one of many.
      const day = it.typical.first[trouble] ?? first;
      return day === null || share < WORTH_SAYING || isOfTheMix(trouble, it.typical.first[trouble])
        ? []
        : [{ trouble, share, day, early: early ?? day, late: late ?? day }];
    });
    const all = come.map(({ trouble }) => trouble);
    return come
      .map(({ trouble, share, day, early, late }) => ({
        ...{ trouble, share, day, says: comes[trouble], odds: capital(oddsWords(share)) },
        when:
          late - early > 1
            ? texts.aboutDayFromTo(day, this.dateOf(day), Math.min(day, early), Math.max(day, late))
            : texts.aboutDay(day, this.dateOf(day)),
        mend: mendOf(trouble, all, this.pouring.water().ecMSPerCm),
      }))
      .sort((a, b) => b.share - a.share || a.day - b.day);
  });
  /** What the mix has from its first day, in the words and with the way out of the Mix place. */
  readonly ofTheMix = computed((): readonly Finding[] => {
    const [it, subject] = [this.search.lives(), this.subject.now()];
    if (!it || !subject) return [];
    const about = troubles.flatMap((trouble) =>
      isOfTheMix(trouble, it.typical.first[trouble]) ? [subjectOfTrouble[trouble]] : [],
    );
    return findingsOf(subject.judgement).findings.filter(
      (finding) => finding.severity !== 'note' && about.includes(finding.subject),
    );
  });
  /** When it is hungry without liquid feed: the same day on every screen. */
  readonly unfed = computed(() => {
    const it = this.search.lives();
    if (!it) return '';
    const { feedFrom } = it.clock;
    if (it.keeping.plant.leafCoverTo === 0) return '';
    return feedFrom === null
      ? texts.withoutFeedItLasts(Math.round(it.keeping.days / 7))
      : texts.withoutFeedFrom(feedFrom, this.dateOf(feedFrom));
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
    return days ? rhythmSays(days) : '';
  });
  /** How long it lasts, what the hand minds, how far it sinks. */
  readonly minds = computed((): readonly string[] => {
    const it = this.subject.now();
    if (!it) return [];
    const keeping = this.hand.asked();
    if (!keeping) return [];
    const { evaluation, living, input, kind } = it;
    return [
      drySays(living, keeping),
      ...handSays(living, keeping, kind),
      settlingSays(evaluation, input, kind, keeping.days, this.reader.formats()),
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
    const [found, subject, keeping] = [this.search.found(), this.subject.now(), this.hand.asked()];
    if (!found || !subject || !keeping) return null;
    const says = ruleSays(found, subject.input.stage, keeping.plant)
      .map((message) => this.reader.read(message))
      .join(' ');
    return {
      rule: found.rule,
      says,
      odds: texts.staysRight(capital(oddsInTimes(found.odds))),
    };
  });
}
