import { inject, Injectable, signal } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type OwnMeasure } from '#core/batch/scoops';
import { Api } from './api';
import { uuid } from './uuid';

/** The person's own buckets, cups and tubs. */
@Injectable({ providedIn: 'root' })
export class MeasuresService {
  private readonly api = inject(Api);
  private readonly known = signal<readonly OwnMeasure[]>([]);
  readonly all = this.known.asReadonly();

  constructor() {
    this.refresh();
  }

  add(measure: Omit<OwnMeasure, 'id'>): Observable<OwnMeasure> {
    return this.api.post<OwnMeasure>('measures', { key: uuid(), ...measure }).pipe(tap(() => this.refresh()));
  }

  putAway(id: number): Observable<void> {
    return this.api.remove(`measures/${id}`).pipe(tap(() => this.refresh()));
  }

  restore(id: number): Observable<void> {
    return this.api.post<void>(`measures/${id}/restore`, {}).pipe(tap(() => this.refresh()));
  }

  private refresh(): void {
    this.api.get<OwnMeasure[]>('measures').subscribe({
      next: (all) => this.known.set(all),
      error: () => undefined,
    });
  }
}
