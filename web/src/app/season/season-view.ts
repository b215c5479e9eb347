import { computed, inject, Injectable } from '@angular/core';
import { leftIn, toBuy } from '#core/season/demand';
import { type KeptMix, needsOf } from '#core/season/needs';
import { seasonOf } from '#core/season/season';
import { seasonSays } from '#core/season/season-says';
import { tasksOf } from '#core/season/tasks';
import { InstrumentsService } from '../data/instruments';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { MixesService } from '../data/mixes';
import { NurseryService } from '../data/nursery';
import { SeasonService } from '../data/season';

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

  readonly begun = computed(() => {
    const season = this.season();
    return (line: number, sowing: number): boolean => season?.done.has(`${line} ${sowing} start`) ?? false;
  });

  readonly says = computed(() => {
    const season = this.season();
    return season ? seasonSays(season.sowings, season.settings, this.today(), this.begun()) : [];
  });

  readonly needs = computed(() => {
    const [season, library] = [this.season(), this.library()];
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

  /** What comes next of a sowing that is not done. */
  readonly tasks = computed(() => {
    const season = this.season();
    if (!season) return [];
    return season.sowings
      .flatMap((sowing) =>
        tasksOf(sowing, season.settings).map((task) => ({
          ...{ sowing, task },
          done: season.done.get(`${sowing.line.id} ${sowing.sowing} ${task.id}`) ?? null,
        })),
      )
      .sort((a, b) => a.task.on.localeCompare(b.task.on));
  });
}
