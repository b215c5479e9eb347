import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type OwnMeasure } from '#core/batch/scoops';
import { ApiClient } from './api';
import { Resource } from './resource';

/** The person's own buckets, cups and tubs. */
@Injectable({ providedIn: 'root' })
export class MeasuresService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<readonly OwnMeasure[]>(() => this.api.call('measures'));

  add(measure: Omit<OwnMeasure, 'id'>): Observable<OwnMeasure> {
    return this.api.create('keepMeasure', { body: measure }).pipe(tap(() => this.all.refresh()));
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayMeasure', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }

  restore(id: number): Observable<void> {
    return this.api.call('restoreMeasure', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }
}
