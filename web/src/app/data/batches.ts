import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Batch, type BatchLine, type NewBatch } from '#contract/batches';
import { Api } from './api';
import { Resource } from './resource';

@Injectable({ providedIn: 'root' })
export class BatchesService {
  private readonly api = inject(Api);

  private listed: Resource<readonly BatchLine[]> | undefined;

  /** The list, fresh for a page that looks at it. */
  list(): Resource<readonly BatchLine[]> {
    if (this.listed) this.listed.refresh();
    return (this.listed ??= new Resource(() => this.api.call('batches')));
  }

  one(id: number): Observable<Batch> {
    return this.api.call('batch', { params: { id } });
  }

  keep(batch: NewBatch): Observable<Batch> {
    return this.api.call('keepBatch', { body: batch }).pipe(tap(() => this.listed?.refresh()));
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayBatch', { params: { id } }).pipe(tap(() => this.listed?.refresh()));
  }

  bringBack(id: number): Observable<void> {
    return this.api.call('restoreBatch', { params: { id } }).pipe(tap(() => this.listed?.refresh()));
  }
}

export type { Batch, BatchLine };
