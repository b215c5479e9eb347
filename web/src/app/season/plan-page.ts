import { dayFrom } from '#words/days';
import { ReaderHere } from '../data/reader-here';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { forkJoin, type Observable } from 'rxjs';
import { addressOf } from '#contract/routes';
import { verdictOf } from '#core/advise/findings';
import { type Judgement } from '#core/judge/judge';
import { usualMoisture } from '#core/mix/moisture';
import { dayNumber, isoWeekOf, weekNumber } from '#core/season/days';
import { fitItems } from '#core/season/fit-options';
import { type MixingDay } from '#core/season/mixing';
import { type BenchWeek } from '#core/season/bench-weeks';
import { darkWeeks } from '#core/season/lit-bench';
import { coldWeeks } from '#core/season/warm-bench';
import { nameOf, seasonSay } from '#core/season/season-facts';
import { named } from '#core/units/message';
import { MadeForChoice } from '../data/made-for';
import { Notices } from '../data/notices';
import { type SeasonLine, SeasonService } from '../data/season';
import { Units } from '../data/units';
import { RecipeStore } from '../bench/recipe-store';
import { FetchState } from '../ui/fetch-state';
import { TableFiles } from '../ui/table-files';
import { SaidPipe } from '../ui/words/said';
import { shownIn } from '../ui/words/shown-in';
import { TitlePipe } from '../ui/words/title';
import { severityWord, VerdictPipe } from '../ui/words/verdict';
import { stockAmount } from '../ui/words/stock-amount';
import { lineGiven } from './line-draft';
import { SeasonCharts } from './season-charts';
import { type BarMoved } from './season-row';
import { SeasonStrip } from './season-strip';
import { SeasonSearch } from './season-search';
import { SeasonView } from './season-view';
import { KeptLine } from '../ui/kept-line';
import { planPage as texts, restWhy } from '#words/en/places/season/plan-page';
import { common } from '#words/en/places/common';
import { NurseryService } from '../data/nursery';

/** What speaks up stands first; more than so many wait behind a line. */
const TOLD = 2;
const DAYS_LISTED = 8;

/** The season at a glance: what comes next, what speaks up, the strip of weeks, mixing days, bench and mix. */
@Component({
  selector: 'app-plan-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan-page.html',
  styleUrl: './plan-page.scss',
  imports: [
    FetchState,
    KeptLine,
    RouterLink,
    SaidPipe,
    SeasonCharts,
    SeasonStrip,
    TableFiles,
    TitlePipe,
    VerdictPipe,
  ],
})
export class PlanPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly word = severityWord;
  protected readonly service = inject(SeasonService);
  protected readonly view = inject(SeasonView);
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  private readonly notices = inject(Notices);
  protected readonly router = inject(Router);
  private readonly store = inject(RecipeStore);
  private readonly madeFor = inject(MadeForChoice);
  protected readonly allShown = signal(false);
  protected readonly allDays = signal(false);
  protected readonly search = inject(SeasonSearch);
  protected readonly fit = this.search.fit;

  /** Mixes that are not right for what they go into. */
  protected readonly faults = computed(() => {
    const all = this.view.mixesSay();
    return this.allShown() ? all : all.slice(0, TOLD);
  });
  protected readonly isStop = (judgement: Judgement): boolean => verdictOf(judgement) === 'stop';
  protected readonly shown = computed(() => {
    const all = this.view.says();
    return this.allShown() ? all : all.slice(0, TOLD);
  });
  /** The worst week of the heated bench, and of that under lights. */
  protected readonly scarce = computed(() => {
    const season = this.view.calm();
    if (!season) return [];
    const now = this.thisWeek();
    const worst = (weeks: readonly BenchWeek[]): BenchWeek | null =>
      weeks
        .filter(({ week }) => week >= now)
        .reduce<BenchWeek | null>((a, b) => (a === null || b.needM2 > a.needM2 ? b : a), null);
    const says = (what: string, kind: string, it: BenchWeek | null): string[] =>
      it
        ? [
            texts.needsInThereIs(
              what,
              this.area(it.needM2),
              kind,
              this.weekName(it.week),
              this.area(it.haveM2),
            ),
          ]
        : [];
    return [
      ...says(texts.whatComesUpRootsOr, texts.ofHeatedBench, worst(coldWeeks(season, season.settings))),
      ...says(texts.whatIsSownInThe, texts.underLights, worst(darkWeeks(season, season.settings))),
    ];
  });
  protected readonly hidden = computed(
    () => this.view.says().length + this.view.mixesSay().length - this.shown().length - this.faults().length,
  );

  /** The answer at a glance: the next thing to do, the next mixing day, the fullest week. */
  protected readonly facts = computed(() => {
    const season = this.view.season();
    if (!season) return null;
    const next = this.view.next();
    const mixing = this.view.needs()?.days[0];
    const now = this.thisWeek();
    const coming = season.weeks.filter(({ week }) => week >= now);
    const fullest = coming.reduce<(typeof coming)[number] | null>(
      (a, b) => (a === null || b.benchM2 > a.benchM2 ? b : a),
      null,
    );
    return { next, mixing, fullest, over: coming.filter((week) => week.over).length };
  });

  protected readonly restWhy = restWhy;
  protected readonly mixing = computed(() => {
    const days = this.view.needs()?.days ?? [];
    return this.allDays() ? days : days.slice(0, DAYS_LISTED);
  });
  protected readonly moreDays = computed(() => (this.view.needs()?.days.length ?? 0) - this.mixing().length);

  private thisWeek(): string {
    return isoWeekOf(weekNumber(dayNumber(this.view.today())));
  }

  protected readonly calendar = computed(() => addressOf('calendar', {}, { units: this.units.system() }));
  protected readonly subscribe = computed(() => new URL(this.calendar(), location.href).href);
  protected readonly sheet = computed(() =>
    addressOf('weekSheet', { week: this.thisWeek() }, { units: this.units.system() }),
  );

  protected weekName(week: string): string {
    return texts.weekOf(Number(week.slice(6)), week.slice(0, 4));
  }

  protected day(date: string): string {
    return dayFrom(date, this.nursery.today(), this.reader.now().language, 'short');
  }

  protected amount(litres: number): string {
    return stockAmount('material', litres, this.units.system());
  }

  protected area(m2: number): string {
    const { unit, per } = shownIn('m²', this.units.system());
    return `${(m2 / per).toFixed(1)}\u00a0${unit}`;
  }

  protected mixName(day: MixingDay): string {
    return this.view.needs()?.mixes.get(day.mix)?.name ?? day.mix;
  }

  protected forWhat(day: MixingDay): string {
    const lines = new Map((this.service.plan.value()?.lines ?? []).map((line) => [line.id, line]));
    const names = day.needs.map(({ line }) => {
      const crop = this.view.crops().get(lines.get(line)?.crop ?? '');
      return crop?.name ?? '';
    });
    return [...new Set(names)].join(', ');
  }

  /** The batch on the card, in the right amount, for its crops. */
  protected make(day: MixingDay): void {
    const mix = this.view.needs()?.mixes.get(day.mix);
    const season = this.view.season();
    if (!mix || !season) return;
    const biggest = day.needs.reduce((a, b) => (b.litres > a.litres ? b : a));
    const sowing = season.sowings.find(
      (seasonSowing) => seasonSowing.line.id === biggest.line && seasonSowing.sowing === biggest.sowing,
    );
    const kind = sowing?.steps[biggest.step]?.kind;
    const { measured: _, ...bare } = mix.recipe;
    const recipe = {
      ...bare,
      ...(kind && { vessel: kind.id, compactionPct: 100 * kind.usualCompaction }),
      job: { litres: Math.round(100 * day.litres) / 100 },
    };
    this.store.startWith(recipe);
    const name = texts.forIt2(mix.name, this.forWhat(day)).slice(0, 80);
    this.madeFor.send(
      this.store.recipe(),
      name,
      day.needs.map(({ line, sowing: nth, step }) => ({ line, sowing: nth, step })),
    );
    void this.router.navigate(['/batches', 'new']);
  }

  private before: SeasonLine | null = null;

  /** A bar under the hand: all follows while it moves, and one press takes it back. */
  protected moved({ line: id, sowing, days, rests }: BarMoved): void {
    const now = this.service.plan.value()?.lines.find((line) => line.id === id);
    if (!now) return;
    this.before ??= now;
    const line = { ...this.before, shifts: shifted(this.before, sowing, days) };
    this.service.show(line);
    if (!rests) return;
    const before = this.before;
    this.before = null;
    if (days === 0) return;
    const crop = this.view.crops().get(line.crop)?.name ?? texts.it;
    this.save(line, before, texts.movedBy(crop, days));
  }

  private save(line: SeasonLine, before: SeasonLine, says: string): void {
    this.service.change(line.id, lineGiven(line)).subscribe({
      next: () => this.notices.undoable(says, () => this.service.change(before.id, lineGiven(before))),
      error: (error: Error) => {
        this.service.show(before);
        this.notices.say(texts.notMoved(error.message));
      },
    });
  }

  /** Looks for the fewest plant-days that bring every week under the line. */
  protected look(): void {
    const season = this.view.season();
    if (!season || season.benchM2 === null) return;
    const vessels = this.store.vessels();
    const block = vessels.find(({ id }) => id === 'block-40');
    const items = fitItems(season, this.view.today(), this.view.begun(), (kind) =>
      block && kind.perTray > 1 && usualMoisture(kind.vessel) === 'sowing' ? block : null,
    );
    void this.search.lookForFit(items, season.benchM2);
  }

  protected readonly fitSays = computed(() => {
    const [fit, season] = [this.fit(), this.view.season()];
    if (!fit || !season) return null;
    return {
      fit,
      over: fit.over
        .map(({ week, m2 }) => texts.by(this.weekName(isoWeekOf(week)), this.area(m2)))
        .join(', '),
      moves: fit.moves.map(({ line, sowing, option }) => {
        const of = season.sowings.find(
          (seasonSowing) => seasonSowing.line.id === line && seasonSowing.sowing === sowing,
        )!;
        const { move } = option;
        return this.reader.read(
          'vessel' in move
            ? seasonSay('fit.blocks', { name: nameOf(of), vessel: named(of.steps[0]!.kind) })
            : seasonSay('fit.move', { name: nameOf(of), weeks: move.days / 7 }),
        );
      }),
    };
  });

  protected takeFit(): void {
    const [fit, plan] = [this.fit(), this.service.plan.value()];
    if (!fit || !plan) return;
    const changed = plan.lines.flatMap((line) => {
      const moves = fit.moves.filter((move) => move.line === line.id);
      if (moves.length === 0) return [];
      let next: SeasonLine = line;
      for (const { sowing, option } of moves) {
        const { move } = option;
        if ('days' in move) next = { ...next, shifts: shifted(next, sowing, move.days) };
        else {
          const steps = next.steps ?? this.view.crops().get(next.crop)?.steps ?? [];
          next = { ...next, steps: steps.map((s, i) => (i === 0 ? { ...s, vessel: move.vessel } : s)) };
        }
      }
      return [{ before: line, next }];
    });
    this.fit.set(null);
    const all = (lines: readonly SeasonLine[]): Observable<unknown> =>
      forkJoin(lines.map((line) => this.service.change(line.id, lineGiven(line))));
    const failed = (error: Error): void => {
      this.service.plan.refresh();
      this.notices.say(texts.notMoved(error.message));
    };
    all(changed.map(({ next }) => next)).subscribe({
      next: () => this.notices.undoable(texts.theBenchFits, () => all(changed.map(({ before }) => before))),
      error: failed,
    });
  }
}

/** Days by which the sowings are moved once one of them goes so far. */
function shifted({ shifts, count }: SeasonLine, sowing: number, days: number): number[] {
  const all = Array.from({ length: count }, (_, k) => shifts[k] ?? 0);
  all[sowing - 1] = Math.max(-366, Math.min(366, all[sowing - 1]! + days));
  return all;
}
