import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type Conflict, type FinderJob, type Formulated } from '#core/finder/formulate';
import { type Material } from '#core/material/material';
import { merged, type SearchResult } from '#core/finder/search';
import { SpreadChoice } from '../data/spread-choice';
import { FINDER_WORKER } from '../workers/tokens';
import { type FinderAnswer, type FinderRequest, type Told, type Why } from '../workers/finder.protocol';
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
  private readonly workers: Worker[];
  private readonly now = signal<FinderState>({ state: 'idle' });
  private readonly listed = signal<{ every: readonly Listed[]; perSet: readonly Listed[] }>({
    every: [],
    perSet: [],
  });
  private readonly answered = signal<FinderJob | null>(null);
  private asked = 0;
  private job: FinderJob | null = null;
  private startedAt = 0;
  private results: SearchResult[] = [];
  private drawn: readonly Listed[] = [];
  private sum: SearchResult | null = null;
  private readonly explained = signal<{ parts: string; why: Why } | null>(null);
  readonly reasons = this.explained.asReadonly();
  private progress: { share: number; tried: number }[] = [];

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
    this.workers.forEach((worker, i) => {
      worker.addEventListener('message', ({ data }: MessageEvent<FinderAnswer>) => this.take(data, i));
    });
    inject(DestroyRef).onDestroy(() => this.workers.forEach((worker) => worker.terminate()));
  }

  start(job: FinderJob): void {
    this.asked++;
    this.job = job;
    this.startedAt = performance.now();
    this.results = [];
    this.progress = this.workers.map(() => ({ share: 0, tried: 0 }));
    this.now.set({ state: 'searching', share: 0, tried: 0 });
    this.workers.forEach((worker, i) => {
      const of = this.workers.length;
      this.send(worker, { kind: 'search', id: this.asked, job, keep: KEEP, worker: i, of });
    });
  }

  stop(): void {
    this.asked++;
    for (const worker of this.workers) this.send(worker, { kind: 'stop' });
    this.now.set({ state: 'stopped' });
  }

  private take(answer: FinderAnswer, from: number): void {
    if (answer.id !== this.asked || !this.job) return;
    switch (answer.kind) {
      case 'progress': {
        this.progress[from] = { share: answer.share, tried: answer.tried };
        const share = this.progress.reduce((sum, p) => sum + p.share, 0) / this.workers.length;
        const tried = this.progress.reduce((sum, p) => sum + p.tried, 0);
        this.now.set({ state: 'searching', share, tried });
        return;
      }
      case 'found':
        this.results.push(answer.result);
        this.progress[from] = { share: 1, tried: answer.result.tried };
        if (this.results.length === this.workers.length) this.finish(this.job, merged(this.results, KEEP));
        return;
      case 'told':
        this.show(answer);
        return;
      case 'why':
        this.explained.set({ parts: answer.parts.join(), why: answer.why });
        return;
      case 'odds':
        this.tell(answer.odds, from);
        return;
      case 'impossible':
        this.now.set({ state: 'impossible', why: this.reader.problem(answer.why) });
        return;
      case 'swaps':
        return;
    }
  }

  /** All have answered: one worker works the best out in full, so that the page never waits for it. */
  private finish(job: FinderJob, result: SearchResult): void {
    this.sum = result;
    this.send(this.workers[0]!, { kind: 'tell', id: this.asked, job, result, keep: KEEP });
  }

  private show({ every, perSet, conflict }: Extract<FinderAnswer, { kind: 'told' }>): void {
    const { job, sum } = this;
    if (!job || !sum) return;
    const made = new Map<Told, Listed>();
    const listed = (told: Told): Listed => {
      let one = made.get(told);
      if (!one) made.set(told, (one = { ...told, odds: null }));
      return one;
    };
    this.answered.set(job);
    this.listed.set({ every: every.map(listed), perSet: perSet.map(listed) });
    this.drawn = [...made.values()];
    this.now.set({
      state: 'done',
      tried: sum.tried,
      feasible: sum.feasible,
      ms: performance.now() - this.startedAt,
      conflict,
    });
    this.workers.forEach((worker, w) => {
      const inputs = this.dealtTo(w).map((one) => one.found.judgement.input);
      if (inputs.length === 0) return;
      const spreads = this.chosen.spreads();
      this.send(worker, { kind: 'odds', id: this.asked, inputs, spreads, seed: SEED, draws: DRAWS });
    });
  }

  /** Asks why a recipe is where it is; the answer comes into `reasons`. */
  explain(one: Listed, first: Listed, familiar: Uint8Array | null, elsewhere: readonly Material[]): void {
    const job = this.answered();
    if (!job) return;
    const { found, parts } = one;
    this.send(this.workers.at(-1)!, {
      kind: 'why',
      id: this.asked,
      job,
      one: { found, parts },
      ...{ first: first.parts, familiar },
      elsewhere: [...elsewhere],
    });
  }

  /** Recipes are dealt out to the workers in turn. */
  private dealtTo(worker: number): Listed[] {
    return this.drawn.filter((_, i) => i % this.workers.length === worker);
  }

  private tell(odds: readonly number[], worker: number): void {
    const told = new Map(this.dealtTo(worker).map((one, i) => [one.found, odds[i] ?? null]));
    const withOdds = (list: readonly Listed[]): Listed[] =>
      list.map((one) => (told.has(one.found) ? { ...one, odds: told.get(one.found)! } : one));
    this.listed.update(({ every, perSet }) => ({ every: withOdds(every), perSet: withOdds(perSet) }));
  }

  private send(worker: Worker, request: FinderRequest): void {
    worker.postMessage(request);
  }
}
