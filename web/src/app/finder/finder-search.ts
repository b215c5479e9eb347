import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type Conflict, type FinderJob, type Formulated } from '#core/finder/formulate';
import { type Material } from '#core/material/material';
import { merged, type SearchResult } from '#core/finder/search';
import { SpreadChoice } from '../data/spread-choice';
import { FINDER_WORKER } from '../workers/tokens';
import { heard, type Hired, Newest, type Progress, refusalOf } from '../workers/calls';
import { type FinderApi, type Told, type ToldAll, type WhyThere } from '../workers/finder.protocol';
import { ReaderHere } from '../data/reader-here';

const KEEP = 24;
const DRAWS = 600;
const SEED = 20_260;
const MOST_WORKERS = 8;

/** A recipe in the list, with its odds once they are drawn. */
export interface Listed extends Told {
  odds: number | null;
}

/** Names a found recipe by its parts. */
export const keyOf = (found: Formulated): string =>
  Object.entries(found.parts)
    .map(([id, n]) => `${id}:${n}`)
    .join(',');

export type FinderState =
  | { state: 'idle' }
  | { state: 'searching'; share: number; tried: number }
  | { state: 'done'; tried: number; feasible: number; ms: number; conflict: Conflict | null }
  | { state: 'stopped' }
  | { state: 'impossible'; why: string };

/** Searches in as many workers as the machine has cores; what it found stays until the next answer is there. */
@Injectable()
export class FinderSearch {
  private readonly reader = inject(ReaderHere);
  private readonly chosen = inject(SpreadChoice);
  private readonly workers: readonly Hired<FinderApi>[];
  /** What the newest search asks, step by step; a newer one, or a stop, makes all of it unheard. */
  private readonly newest = new Newest();
  private readonly explaining = new Newest();
  private readonly now = signal<FinderState>({ state: 'idle' });
  private readonly listed = signal<{ every: readonly Listed[]; perSet: readonly Listed[] }>({
    every: [],
    perSet: [],
  });
  private readonly answered = signal<FinderJob | null>(null);
  private readonly explained = signal<{ parts: string; why: WhyThere } | null>(null);
  readonly reasons = this.explained.asReadonly();

  /** Every recipe by rank, or only the best of each set of materials. */
  readonly everyRecipe = signal(false);
  readonly state = this.now.asReadonly();
  readonly list = computed(() => (this.everyRecipe() ? this.listed().every : this.listed().perSet));
  /** The job that the list answers. */
  readonly answeredJob = this.answered.asReadonly();
  readonly busy = computed(() => this.now().state === 'searching');

  constructor() {
    const make = inject(FINDER_WORKER);
    const cores = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency || 1));
    this.workers = Array.from({ length: cores }, () => make());
    inject(DestroyRef).onDestroy(() => this.workers.forEach((worker) => worker.end()));
  }

  async start(job: FinderJob): Promise<void> {
    const startedAt = performance.now();
    this.explaining.forget();
    this.now.set({ state: 'searching', share: 0, tried: 0 });
    try {
      const result = await this.newest.call(
        (progress) => this.searchAll(job, progress),
        (share, tried = 0) => this.now.set({ state: 'searching', share, tried }),
      );
      if (!result) return;
      // One worker works the best out in full, so that the page never waits for it.
      const answer = await this.newest.call(() => this.workers[0]!.calls.tell(job, result, KEEP));
      if (!answer) return;
      const { tried, feasible } = result;
      const ms = performance.now() - startedAt;
      this.now.set({ state: 'done', tried, feasible, ms, conflict: answer.conflict });
      await this.drawOdds(this.show(job, answer));
    } catch (error) {
      this.now.set({ state: 'impossible', why: this.reader.problem(refusalOf(error)) });
    }
  }

  stop(): void {
    this.newest.forget();
    this.explaining.forget();
    for (const { calls } of this.workers) void calls.stop();
    this.now.set({ state: 'stopped' });
  }

  /** Asks why a recipe is where it is; the answer comes into `reasons`. */
  async explain(
    { found, parts }: Listed,
    first: Listed,
    familiar: Uint8Array | null,
    elsewhere: readonly Material[],
  ): Promise<void> {
    const job = this.answered();
    if (!job) return;
    const { calls } = this.workers.at(-1)!;
    const why = await this.explaining.call(() =>
      calls.why(job, { found, parts }, first.parts, familiar, [...elsewhere]),
    );
    if (why) this.explained.set({ parts: parts.join(), why });
  }

  /** Each worker tries its share of all recipes. @returns the best of all, or null where it was given up */
  private async searchAll(job: FinderJob, progress: Progress): Promise<SearchResult | null> {
    const of = this.workers.length;
    const each = this.workers.map(() => ({ share: 0, tried: 0 }));
    const sum = (key: 'share' | 'tried'): number => each.reduce((all, item) => all + item[key], 0);
    const results = await Promise.all(
      this.workers.map(async ({ calls }, worker) => {
        const tell = (share: number, tried = 0): void => {
          each[worker] = { share, tried };
          progress(sum('share') / of, sum('tried'));
        };
        const result = await calls.search(job, KEEP, { worker, of }, heard(tell));
        if (result) tell(1, result.tried);
        return result;
      }),
    );
    const found = results.filter((searchResult) => searchResult !== null);
    return found.length === of ? merged(found, KEEP) : null;
  }

  /** Shows what was found. @returns every recipe of the lists, once */
  private show(job: FinderJob, { every, perSet }: ToldAll): readonly Listed[] {
    const made = new Map<Told, Listed>();
    const listed = (result: Told): Listed => {
      let each = made.get(result);
      if (!each) made.set(result, (each = { ...result, odds: null }));
      return each;
    };
    this.answered.set(job);
    this.listed.set({ every: every.map(listed), perSet: perSet.map(listed) });
    return [...made.values()];
  }

  /** Recipes are dealt out to the workers in turn; each tells its odds as soon as it has them. */
  private async drawOdds(drawn: readonly Listed[]): Promise<void> {
    const spreads = this.chosen.spreads();
    await Promise.all(
      this.workers.map(async ({ calls }, worker) => {
        const dealt = drawn.filter((_, i) => i % this.workers.length === worker);
        if (dealt.length === 0) return;
        const inputs = dealt.map((listed) => listed.found.judgement.input);
        const odds = await calls.odds(inputs, spreads, SEED, DRAWS);
        if (odds) this.tellOdds(new Map(dealt.map((listed, i) => [listed.found, odds[i] ?? null])));
      }),
    );
  }

  private tellOdds(odds: ReadonlyMap<Formulated, number | null>): void {
    const withOdds = (list: readonly Listed[]): Listed[] =>
      list.map((listed) => (odds.has(listed.found) ? { ...listed, odds: odds.get(listed.found)! } : listed));
    this.listed.update(({ every, perSet }) => ({ every: withOdds(every), perSet: withOdds(perSet) }));
  }
}
