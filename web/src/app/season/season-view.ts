import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { debounce, of, tap, timer } from 'rxjs';
import { leftIn, toBuy } from '#core/season/demand';
import { type KeptMix, needsOf } from '#core/season/needs';
import { MixFaults } from '#core/season/mix-faults';
import { SowingClocks } from '#core/plants/sowing-clock';
import { type LineSeason, lineSeason, seasonOfLines, type SeasonSowing } from '#core/season/season';
import { type SeasonSays, seasonSays, worstFirst } from '#core/season/season-says';
import { sourSays } from '#core/season/sour-says';
import { type SeasonTask, tasksOf } from '#core/season/tasks';
import { houseOn } from '#core/weeks/usual-keeping';
import { KeepingService } from '../data/keeping';
import { InstrumentsService } from '../data/instruments';
import { ApproachChoice } from '../data/approach-choice';
import { LibraryService } from '../data/library';
import { LibraryAsked } from '../data/library-asked';
import { LotsService } from '../data/lots';
import { MixesService } from '../data/mixes';
import { NurseryService } from '../data/nursery';
import { type SeasonLine, SeasonService } from '../data/season';
import { afterPaint } from '../ui/after-paint';

const CALM_MS = 120;

/** The season counted through, as the pages of it look at it. */
@Injectable({ providedIn: 'root' })
export class SeasonView {
  private readonly service = inject(SeasonService);
  private readonly library = inject(LibraryService).library;
  private readonly asked = inject(LibraryAsked).library;
  private readonly approach = inject(ApproachChoice).approach;
  private readonly mixes = inject(MixesService);
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly keeping = inject(KeepingService);
  private readonly forecast = inject(InstrumentsService).weather();

  readonly today = this.nursery.today;
  readonly crops = computed(() => new Map((this.service.crops.value() ?? []).map((each) => [each.id, each])));
  readonly kept = computed(
    (): ReadonlyMap<number, KeptMix> =>
      new Map(
        (this.mixes.all.value() ?? []).map(({ mixId, name, recipe }) => [mixId, { id: mixId, name, recipe }]),
      ),
  );

  private readonly settings = computed(() => this.service.plan.value()?.settings);
  private readonly doneList = computed(() => this.service.plan.value()?.done);
  private readonly madeList = computed(() => this.service.plan.value()?.made);
  private readonly done = computed(
    () =>
      new Map(
        (this.doneList() ?? []).map((each) => [`${each.line} ${each.sowing} ${each.task}`, each.on] as const),
      ),
  );
  private readonly made = computed(
    () =>
      new Map(
        (this.madeList() ?? []).map(
          (each) => [`${each.line} ${each.sowing} ${each.step}`, each.batch] as const,
        ),
      ),
  );

  /** Counts a line once: of a season that is planned anew at every touch only what was touched changes. */
  private readonly count = computed(() => {
    const [settings, library, crops] = [this.settings(), this.library(), this.crops()];
    if (!settings || !library || !this.service.crops.value()) return null;
    return once((line: SeasonLine) => lineSeason(settings, line, crops, library.vessels));
  });

  /** null until all of it is there. */
  readonly season = computed(() => {
    const [plan, count] = [this.service.plan.value(), this.count()];
    if (!plan || !count) return null;
    const lines = plan.lines.map(count);
    return {
      ...seasonOfLines(plan.settings, lines),
      ...{ lines, settings: plan.settings, done: this.done(), made: this.made() },
    };
  });

  /** The same, once the hand rests: what is long to reckon waits for that. */
  readonly calm = toSignal(
    // The first of it at once.
    toObservable(this.season).pipe(
      debounce((season) => (season === null || !this.seen ? of(0) : timer(CALM_MS))),
      tap((season) => (this.seen ||= season !== null)),
    ),
    { initialValue: null },
  );
  private seen = false;
  /** A frame after that: what speaks up is not held up by what is longest to reckon. */
  readonly late = afterPaint(this.calm);

  readonly begun = computed(() => {
    const begun = new Set(
      (this.doneList() ?? []).flatMap((each) => (each.task === 'start' ? [place(each)] : [])),
    );
    return (line: number, sowing: number): boolean => begun.has(place({ line, sowing }));
  });

  /** How warm the house is on a day, where the months differ. */
  readonly warmOn = computed(() => {
    const usual = this.keeping.usual();
    return usual.months.length === 0 ? undefined : (day: string): number => houseOn(usual, day).tempC;
  });
  /** By the day, which no signal tells. */
  private readonly sayOn = computed(() => {
    const [settings, begun, warmOn] = [this.settings(), this.begun(), this.warmOn()];
    let of: { today: string; says: (each: LineSeason) => SeasonSays[] } | null = null;
    return (today: string): ((each: LineSeason) => SeasonSays[]) => {
      if (!settings) return () => [];
      if (of?.today !== today)
        of = { today, says: once((each) => seasonSays(each.sowings, settings, today, begun, warmOn)) };
      return of.says;
    };
  });
  readonly says = computed(() => {
    const season = this.calm();
    if (!season) return [];
    const of = this.sayOn()(this.today());
    const sour = sourSays(season.sowings, this.kept(), season.settings.school);
    return worstFirst([...sour, ...season.lines.flatMap(of)]);
  });

  /** Mixes in the vessels of the season, as the Mix place judges them. */
  readonly mixFaults = computed(() => {
    const [settings, library] = [this.settings(), this.asked()];
    if (!settings || !library) return null;
    return new MixFaults(this.kept(), settings.school, library, this.approach().loudness);
  });
  /** Of every line, its loudest; each mix in each vessel once. */
  readonly mixesSay = computed(() => {
    const [season, faults] = [this.late(), this.mixFaults()];
    if (!season || !faults) return [];
    const told = new Set<string>();
    return season.lines
      .flatMap(({ sowings }) => sowings.slice(0, 1).flatMap((sowing) => faults.of(sowing)))
      .filter(({ mix, kind }) => {
        const key = `${mix} ${kind.id}`;
        const isNew = !told.has(key);
        told.add(key);
        return isNew;
      });
  });

  readonly needs = computed(() => {
    const [season, library] = [this.late(), this.library()];
    if (!season || !library) return null;
    const made = (line: number, sowing: number, step: number): boolean =>
      season.made.has(`${line} ${sowing} ${step}`);
    return needsOf(
      season,
      this.kept(),
      season.settings.school,
      library,
      this.today(),
      { made, begun: this.begun() },
      this.forecast.value() ?? [],
    );
  });

  readonly toBuy = computed(() => {
    const needs = this.needs();
    const stock = this.lots.stock.value();
    if (!needs || !stock) return null;
    return toBuy(needs.demands, (kind, item) => leftIn(stock, kind, item));
  });

  /** First feeds by the one clock; null until all that they hang on is there. */
  private readonly clocks = computed(() => {
    const [settings, library, things] = [this.settings(), this.library(), this.keeping.things()];
    if (!settings || !library || !things || !this.keeping.answer.value()) return null;
    const { school: way, soilC } = settings;
    const [usual, ofMix] = [this.keeping.usual(), this.keeping.mixes()];
    return new SowingClocks({ kept: this.kept(), way, library, soilC, usual, ofMix, things });
  });

  /** All that a sowing wants, by the day. */
  tasksOf(sowing: SeasonSowing): SeasonTask[] {
    const [settings, clocks] = [this.settings(), this.clocks()];
    return settings ? tasksOf(sowing, settings, clocks?.daysToFeed(sowing)) : [];
  }

  /** The first task from today on that is not done; only sowings that may hold it are looked through. */
  readonly next = computed(() => {
    const season = this.calm();
    if (!season) return null;
    const today = this.today();
    const open = season.sowings
      .filter(({ plantOn }) => plantOn >= today)
      .sort((a, b) => (a.steps[0]!.from < b.steps[0]!.from ? -1 : 1));
    let next: SeasonTask | null = null;
    for (const sowing of open) {
      if (next && sowing.steps[0]!.from > next.on) break;
      for (const task of this.tasksOf(sowing)) {
        const done = season.done.has(`${sowing.line.id} ${sowing.sowing} ${task.id}`);
        if (!done && task.on >= today && (next === null || task.on < next.on)) next = task;
      }
    }
    return next;
  });
}

/** Reckons each thing once, as long as somebody holds it. */
function once<K extends object, V>(reckon: (key: K) => V): (key: K) => V {
  const existing = new WeakMap<K, V>();
  return (key) => {
    const present = existing.get(key);
    if (present !== undefined) return present;
    const made = reckon(key);
    existing.set(key, made);
    return made;
  };
}

/** One number for a sowing of a line. */
const place = ({ line, sowing }: { line: number; sowing: number }): number => line * 1000 + sowing;
