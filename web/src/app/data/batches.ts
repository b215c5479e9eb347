import { inject, Injectable } from '@angular/core';
import { type Observable, Subject, startWith, switchMap, tap } from 'rxjs';
import { type Batch, type BatchLine, type NewBatch } from '#contract/batches';
import { Api } from './api';

@Injectable({ providedIn: 'root' })
export class BatchesService {
  private readonly api = inject(Api);
  private readonly changed = new Subject<void>();

  readonly all$: Observable<BatchLine[]> = this.changed.pipe(
    startWith(undefined),
    switchMap(() => this.api.get<BatchLine[]>('batches')),
  );

  one(id: number): Observable<Batch> {
    return this.api.get<Batch>(`batches/${id}`);
  }

  keep(batch: NewBatch): Observable<Batch> {
    return this.api.post<Batch>('batches', batch).pipe(tap(() => this.changed.next()));
  }

  putAway(id: number): Observable<void> {
    return this.api.remove(`batches/${id}`).pipe(tap(() => this.changed.next()));
  }

  bringBack(id: number): Observable<void> {
    return this.api.post<void>(`batches/${id}/restore`, {}).pipe(tap(() => this.changed.next()));
  }
}

export type { Batch, BatchLine };
