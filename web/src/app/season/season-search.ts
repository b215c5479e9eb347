import { inject, Injectable, signal } from '@angular/core';
import { type FinderJob } from '#core/finder/formulate';
import { type Fit, type FitItem } from '#core/season/fit-bench';
import { type Spreads } from '#core/spread/spreads';
import { type Hired, Newest, type Progress, refusalOf } from '../workers/calls';
import { type FewTold, type SeasonApi } from '../workers/season.protocol';
import { SEASON_WORKER } from '../workers/tokens';
import { ReaderHere } from '../data/reader-here';

/** Looks for moves that fit the bench, and for the fewest mixes, in a worker that is made when it is first asked. */
@Injectable({ providedIn: 'root' })
export class SeasonSearch {
  private readonly reader = inject(ReaderHere);
  private readonly make = inject(SEASON_WORKER);
  private worker: Hired<SeasonApi> | null = null;
  private readonly newest = new Newest();
  /** null where nothing runs. */
  readonly running = signal<{ kind: 'fit' | 'few'; share: number; tried: number } | null>(null);
  readonly fit = signal<Fit | null>(null);
  readonly few = signal<FewTold | null>(null);
  readonly problem = signal('');

  async lookForFit(items: FitItem[], benchM2: number): Promise<void> {
    this.fit.set(null);
    this.fit.set(await this.ask('fit', ({ fit }) => fit(items, benchM2)));
  }

  async lookForFew(jobs: FinderJob[], spreads: Spreads): Promise<void> {
    this.few.set(null);
    this.few.set(await this.ask('few', ({ few }, progress) => few(jobs, spreads, progress)));
  }

  stop(): void {
    this.newest.forget();
    this.running.set(null);
    void this.worker?.calls.stop();
  }

  private async ask<T>(
    kind: 'fit' | 'few',
    call: (calls: Hired<SeasonApi>['calls'], progress: Progress) => Promise<T | null>,
  ): Promise<T | null> {
    this.problem.set('');
    this.running.set({ kind, share: 0, tried: 0 });
    const { calls } = (this.worker ??= this.make());
    try {
      const answer = await this.newest.call(
        (progress) => call(calls, progress),
        (share, tried = 0) => this.running.set({ kind, share, tried }),
      );
      if (answer) this.running.set(null);
      return answer;
    } catch (error) {
      this.running.set(null);
      this.problem.set(this.reader.problem(refusalOf(error)));
      return null;
    }
  }
}
