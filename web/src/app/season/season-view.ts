import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { debounce, of, tap, timer } from 'rxjs';
import { leftIn, toBuy } from '#core/season/demand';
import { type KeptMix, needsOf } from '#core/season/needs';
import { seasonOf } from '#core/season/season';
import { seasonSays } from '#core/season/season-says';
import { type SeasonTask, tasksOf } from '#core/season/tasks';
import { InstrumentsService } from '../data/instruments';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { MixesService } from '../data/mixes';
import { NurseryService } from '../data/nursery';
import { SeasonService } from '../data/season';

const CALM_MS = 120;

/** The season counted through, as the pages of it look at it. */
@Injectable({ providedIn: 'root' })
export class SeasonView {
  private readonly service = inject(SeasonService);
  private readonly library = inject(LibraryService).library;
  private readonly mixes = inject(MixesService);
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly forecast = inject(InstrumentsService).weather();

  readonly today = this.nursery.today;
  readonly crops = computed(() => new Map((this.service.crops.value() ?? []).map((one) => [one.id, one])));
  readonly kept = computed(
    (): ReadonlyMap<number, KeptMix> =>
      new Map(
        (this.mixes.all.value() ?? []).map(({ mixId, name, recipe }) => [mixId, { id: mixId, name, recipe }]),
      ),
  );

  /** null until all of it is there. */
  readonly season = computed(() => {
    const [plan, library] = [this.service.plan.value(), this.library()];
    if (!plan || !library || !this.service.crops.value()) return null;
    return {
      ...seasonOf(plan.settings, plan.lines, this.crops(), library.vessels),
      settings: plan.settings,
      done: new Map(plan.done.map((one) => [`${one.line} ${one.sowing} ${one.task}`, one.on])),
      made: new Map(plan.made.map((one) => [`${one.line} ${one.sowing} ${one.step}`, one.batch])),
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

  readonly begun = computed(() => {
    const season = this.season();
    return (line: number, sowing: number): boolean => season?.done.has(`${line} ${sowing} start`) ?? false;
  });

  readonly says = computed(() => {
    const season = this.calm();
    return season ? seasonSays(season.sowings, season.settings, this.today(), this.begun()) : [];
  });

  readonly needs = computed(() => {
    const [season, library] = [this.calm(), this.library()];
    if (!season || !library) return null;
    const made = (...step: [number, number, number]): boolean => season.made.has(step.join(' '));
    return needsOf(
      season,
      this.kept(),
      season.settings.school,
      library,
      this.today(),
      made,
      this.forecast.value() ?? [],
    );
  });

  readonly toBuy = computed(() => {
    const needs = this.needs();
    const stock = this.lots.stock.value();
    if (!needs || !stock) return null;
    return toBuy(needs.demands, (kind, item) => leftIn(stock, kind, item));
  });

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
      for (const task of tasksOf(sowing, season.settings)) {
        const done = season.done.has(`${sowing.line.id} ${sowing.sowing} ${task.id}`);
        if (!done && task.on >= today && (next === null || task.on < next.on)) next = task;
      }
    }
    return next;
  });
}
