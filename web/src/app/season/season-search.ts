import { inject, Injectable, signal } from '@angular/core';
import { type FinderJob } from '#core/finder/formulate';
import { type Fit, type FitItem } from '#core/season/fit-bench';
import { type Spreads } from '#core/spread/spreads';
import { type FewTold, type SeasonAnswer, type SeasonRequest } from '../workers/season.protocol';
import { SEASON_WORKER } from '../workers/tokens';
import { ReaderHere } from '../data/reader-here';

/** Looks for moves that fit the bench, and for the fewest mixes, in a worker that is made when it is first asked. */
@Injectable({ providedIn: 'root' })
export class SeasonSearch {
  private readonly reader = inject(ReaderHere);
  private readonly make = inject(SEASON_WORKER);
  private worker: Worker | null = null;
  private asked = 0;
  /** null where nothing runs. */
  readonly running = signal<{ kind: 'fit' | 'few'; share: number; tried: number } | null>(null);
  readonly fit = signal<Fit | null>(null);
  readonly few = signal<FewTold | null>(null);
  readonly problem = signal('');

  lookForFit(items: FitItem[], benchM2: number): void {
    this.fit.set(null);
    this.ask('fit', (id) => ({ kind: 'fit', id, items, benchM2 }));
  }

  lookForFew(jobs: FinderJob[], spreads: Spreads): void {
    this.few.set(null);
    this.ask('few', (id) => ({ kind: 'few', id, jobs, spreads }));
  }

  stop(): void {
    this.asked++;
    this.running.set(null);
    this.worker?.postMessage({ kind: 'stop' } satisfies SeasonRequest);
  }

  private ask(kind: 'fit' | 'few', request: (id: number) => SeasonRequest): void {
    this.asked++;
    this.problem.set('');
    this.running.set({ kind, share: 0, tried: 0 });
    this.worker ??= this.make();
    this.worker.onmessage = ({ data }: MessageEvent<SeasonAnswer>): void => {
      if (data.id !== this.asked) return;
      if (data.kind === 'progress') this.running.set({ kind, share: data.share, tried: data.tried });
      else this.running.set(null);
      if (data.kind === 'fit') this.fit.set(data.fit);
      if (data.kind === 'few') this.few.set(data.told);
      if (data.kind === 'impossible') this.problem.set(this.reader.problem(data.why));
    };
    this.worker.postMessage(request(this.asked));
  }
}
