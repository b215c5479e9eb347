import { type Stores } from '#server/kept/stores';
import { type SeasonDue } from '#contract/plan';
import { leftIn, toBuy, type ToBuy } from '#core/season/demand';
import { type SeasonSettings } from '#core/season/line';
import { type KeptMix, mixOf, needsOf, type SeasonNeeds } from '#core/season/needs';
import { type Season, seasonOf, type SeasonSowing } from '#core/season/season';
import { seasonSay } from '#core/season/season-facts';
import { type SeasonTask, taskOfStep, tasksOf } from '#core/season/tasks';
import { daysAfter } from '#core/units/day';
import { SowingClocks } from '#core/plants/sowing-clock';
import { Known } from '#server/base/database/known';
import { type PlantClocks } from '#server/book/plants/plant-clocks';
import { stockLines } from '#server/book/stock/stock';

/** How far back a forgotten task is still told, and how far ahead the days to come, days. */
const FORGET_AFTER = 21;
const AHEAD = 14;

export interface TaskOfSowing {
  sowing: SeasonSowing;
  task: SeasonTask;
  done: string | null;
}

/** The season counted through, for everything that the server says of it. */
export class Planner {
  private readonly sowingClocks = new Known<string, SowingClocks>();

  constructor(
    private readonly stores: Stores,
    private readonly clocks: PlantClocks,
  ) {}

  settings(): SeasonSettings {
    return this.stores.season.settings(this.stores.calendar.today());
  }

  season(): Season {
    return seasonOf(
      this.settings(),
      this.stores.season.lines(),
      this.stores.crops.byId(),
      this.stores.library.library().vessels,
    );
  }

  kept(): ReadonlyMap<number, KeptMix> {
    const all: [number, KeptMix][] = [];
    for (let from = 0; ;) {
      const page = this.stores.mixes.all({ away: 'no', from });
      for (const { mixId, name, recipe } of page) all.push([mixId, { id: mixId, name, recipe }]);
      if (page.length === 0) return new Map(all);
      from += page.length;
    }
  }

  needs(season: Season = this.season()): SeasonNeeds {
    const { made, done } = this.stores.season.plan(this.stores.calendar.today());
    const existing = new Set(made.map((each) => `${each.line} ${each.sowing} ${each.step}`));
    const started = new Set(
      done.flatMap((each) => (each.task === 'start' ? [`${each.line} ${each.sowing}`] : [])),
    );
    return needsOf(
      season,
      this.kept(),
      this.settings().school,
      this.stores.library.library(),
      this.stores.calendar.today(),
      {
        made: (...step) => existing.has(step.join(' ')),
        begun: (...sowing) => started.has(sowing.join(' ')),
      },
    );
  }

  /** How much of a saved mix is still to be mixed. */
  stillMixed(mix: number): { litres: number; on: string | null } {
    const days = this.needs().days.filter((day) => day.mix === `mix-${mix}`);
    return { litres: days.reduce((sum, { litres }) => sum + litres, 0), on: days[0]?.on ?? null };
  }

  /** First feeds by the one clock: the same until a mix, a material or how the nursery keeps is another. */
  private feeds(settings: SeasonSettings): SowingClocks {
    const kept = this.kept();
    const about = this.clocks.feedAbout({ kept, way: settings.school, soilC: settings.soilC });
    const mixes = JSON.stringify([...kept.values()]);
    const stands = [about.library, about.usual, about.ofMix, about.things, about.soilC, about.way, mixes];
    return this.sowingClocks.of('all', stands, () => new SowingClocks(about));
  }

  /** Every task of every sowing, by the day. */
  tasks(season: Season = this.season()): TaskOfSowing[] {
    const settings = this.settings();
    const { done } = this.stores.season.plan(this.stores.calendar.today());
    const existing = new Map(done.map((each) => [`${each.line} ${each.sowing} ${each.task}`, each.on]));
    const feeds = this.feeds(settings);
    return season.sowings
      .flatMap((sowing) =>
        tasksOf(sowing, settings, feeds.daysToFeed(sowing)).map((task) => ({
          ...{ sowing, task },
          done: existing.get(`${sowing.line.id} ${sowing.sowing} ${task.id}`) ?? null,
        })),
      )
      .sort((a, b) => (a.task.on < b.task.on ? -1 : a.task.on > b.task.on ? 1 : 0));
  }

  /** What is due, and what comes in the days ahead. */
  due(): SeasonDue[] {
    const today = this.stores.calendar.today();
    const [from, to] = [daysAfter(today, -FORGET_AFTER), daysAfter(today, AHEAD)];
    const season = this.season();
    const { days, mixes } = this.needs(season);
    const mixing = days
      .filter(({ on }) => on <= to)
      .map((day): SeasonDue => {
        const { line, sowing } = day.needs[0]!;
        const { name } = mixes.get(day.mix)!;
        return {
          ...{ line, sowing, task: `mix-${day.mix}-${day.on}`, on: day.on },
          text: seasonSay('task.mix', { why: day.rest.why, latest: day.late ? null : day.latest }),
          mix: { name, litres: day.litres },
          fills: null,
          state: day.on <= today ? 'due' : 'waiting',
        };
      });
    const fillsOf = this.fills();
    const all = this.tasks(season);
    const at = ({ sowing }: TaskOfSowing): string => `${sowing.line.id} ${sowing.sowing}`;
    const begun = new Set(all.filter(({ done }) => done !== null).map(at));
    const isPlanted = ({ sowing: { line, sowing } }: TaskOfSowing): boolean =>
      this.stores.plants.ofStep({ line: line.id, sowing, step: 0 }).length > 0;
    const tasks = all
      .filter(({ task }) => task.on >= from && task.on <= to)
      // What was never begun wants nothing but that; and when it is up, its planting tells.
      .filter((each) => each.task.id === taskOfStep(0) || begun.has(at(each)))
      .filter((each) => each.task.id !== 'up' || !isPlanted(each))
      .flatMap(({ sowing, task, done }): SeasonDue[] => {
        const fills = fillsOf(sowing, task.id);
        // What plantings ticked and did not fill is half done.
        const isPart = fills !== null && fills.filled > 0 && fills.filled < fills.cells;
        if (done !== null && !isPart) return [];
        return [
          {
            ...{ line: sowing.line.id, sowing: sowing.sowing, task: task.id, on: task.on, text: task.text },
            ...{ mix: null, fills, state: task.on <= today ? 'due' : 'waiting' },
          },
        ];
      });
    return [...tasks, ...mixing].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  }

  /** What a task fills, and how much of it plantings have filled: looked up only where they ticked it. */
  private fills(): (sowing: SeasonSowing, task: string) => SeasonDue['fills'] {
    const key = (line: number, sowing: number, task: string): string => `${line} ${sowing} ${task}`;
    const ticked = new Set(
      this.stores.season.tickedByPlantings().map((each) => key(each.line, each.sowing, each.task)),
    );
    const made = new Map(
      this.stores.season
        .plan(this.stores.calendar.today())
        .made.map((each) => [key(each.line, each.sowing, taskOfStep(each.step)), each.batch]),
    );
    return ({ line, crop, sowing, steps, perCell }, task) => {
      const step = steps.findIndex((_, i) => taskOfStep(i) === task);
      const { kind, cells } = steps[step] ?? {};
      if (!kind || cells === undefined) return null;
      const at = { line: line.id, sowing, step };
      const plantings = ticked.has(key(line.id, sowing, task)) ? this.stores.plants.ofStep(at) : [];
      return {
        ...{ step, crop: line.crop, name: line.name, vessel: kind.id, cells },
        start: step > 0 || crop.start === 'divide' ? 'pot' : crop.start === 'stick' ? 'strike' : 'sow',
        perCell: step === 0 ? perCell : 1,
        filled: plantings.reduce((sum, each) => sum + each.cells, 0),
        batch: made.get(key(line.id, sowing, task)) ?? null,
      };
    };
  }

  /** What the season takes that is not there. */
  short(): ToBuy[] {
    const stock = stockLines(this.stores.lots, this.stores.calendar.today());
    return toBuy(this.needs().demands, (kind, item) => leftIn(stock, kind, item)).filter(
      (each) => each.short > 0,
    );
  }

  /** Name of the mix that a step of a sowing is filled with. */
  mixName(step: Parameters<typeof mixOf>[0]): string {
    return mixOf(step, this.kept(), this.settings().school).name;
  }
}
