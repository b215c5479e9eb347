import { inject, Injectable } from '@angular/core';
import { type Observable, Subject, startWith, switchMap, tap } from 'rxjs';
import { type Kit } from '#core/batch/order-of-work';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { type Recipe } from '#core/recipe/recipe';
import { type UnitSystem } from '#core/units/show';
import { type Stage } from '#core/mix/stage';
import { Api } from './api';

export interface BatchLine {
  id: number;
  name: string;
  madeOn: string;
  stage: Stage;
  vessel: string;
  litres: number;
}

export interface Batch {
  id: number;
  name: string;
  mixId: number | null;
  madeOn: string;
  createdAt: string;
  snapshot: BatchSnapshot;
}

export interface NewBatch {
  /** Made here, so that a save that is sent twice stays one batch. */
  key: string;
  name: string;
  recipe: Recipe;
  mixVersionId: number | null;
  madeOn: string;
  units: UnitSystem;
  scoop: string;
  kit: Kit;
}

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
