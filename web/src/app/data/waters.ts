import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type NewWater, type OwnWater } from '#contract/water';
import { ApiClient } from './api';
import { Resource } from './resource';

/** The nursery's waters: mains, well, rain. */
@Injectable({ providedIn: 'root' })
export class WatersService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<readonly OwnWater[]>(() => this.api.call('waters'));

  add(water: Omit<NewWater, 'key'>): Observable<OwnWater> {
    return this.api.create('keepWater', { body: water }).pipe(tap(() => this.all.refresh()));
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayWater', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }

  restore(id: number): Observable<void> {
    return this.api.call('restoreWater', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }
}
