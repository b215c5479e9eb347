import { DestroyRef, inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Batch, type BatchLine, type MadeInYear, type NewBatch } from '#contract/batches';
import { type About } from '#contract/about';
import { type QueryGiven } from '#contract/endpoints';
import { ApiClient } from './api';
import { Making } from './making';
import { Resource } from './resource';
import { batches as texts } from '#words/en/places/data/batches';

/** By words of the name, by the month in which it was made, by what its tub is. */
type Asked = Pick<QueryGiven<'batches'>, 'find' | 'month' | 'only'>;
interface BatchesListed {
  lines: Resource<readonly BatchLine[]>;
  ask: (what: Asked) => void;
  /** The rows from one on. */
  more: (from: number) => Observable<BatchLine[]>;
}

@Injectable({ providedIn: 'root' })
export class BatchesService {
  private readonly api = inject(ApiClient);
  private readonly making = inject(Making);
  private readonly changed = new Set<() => void>();

  constructor() {
    this.making.madeLater('keepBatch').subscribe(() => this.tell());
  }

  /** A list, for a page that looks at it; it follows what is put away and brought back until the page is left. Call where things are injected. */
  list(away: 'no' | 'yes'): BatchesListed {
    let asked: Asked = {};
    const lines = new Resource<readonly BatchLine[]>(() =>
      this.api.call('batches', { query: { away, ...asked } }),
    );
    const again = (): void => lines.refresh();
    this.changed.add(again);
    inject(DestroyRef).onDestroy(() => this.changed.delete(again));
    return {
      lines,
      ask: (what) => {
        if (JSON.stringify(what) === JSON.stringify(asked)) return;
        asked = what;
        again();
      },
      more: (from) => this.api.call('batches', { query: { away, ...asked, from: String(from) } }),
    };
  }

  private tell(): void {
    for (const again of this.changed) again();
  }

  one(id: number): Observable<Batch> {
    return this.api.call('batch', { params: { id } });
  }

  /** What was made in a year, by recipe; of the present one where none is named. */
  madeIn(year: string | undefined): Observable<MadeInYear> {
    return this.api.call('madeInYear', { query: year === undefined ? {} : { year } });
  }

  /** @returns null where it waits on this device until the nursery is in reach */
  keep(body: Omit<NewBatch, 'key'>, about: readonly About[]): Observable<Batch | null> {
    return this.making
      .make('keepBatch', { body, about }, texts.batch(body.name))
      .pipe(tap(() => this.tell()));
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayBatch', { params: { id } }).pipe(tap(() => this.tell()));
  }

  bringBack(id: number): Observable<void> {
    return this.api.call('restoreBatch', { params: { id } }).pipe(tap(() => this.tell()));
  }
}

export type { Batch, BatchLine };
