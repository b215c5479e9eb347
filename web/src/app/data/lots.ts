import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Lot, type LotTrace } from '#contract/record';
import { Api } from './api';
import { Resource } from './resource';

/** Purchases and heaps. */
@Injectable({ providedIn: 'root' })
export class LotsService {
  private readonly api = inject(Api);
  readonly all = new Resource<readonly Lot[]>(() => this.api.call('lots'));

  one(id: number): Lot | undefined {
    return this.all.value()?.find((lot) => lot.id === id);
  }

  of(item: string): readonly Lot[] {
    return (this.all.value() ?? []).filter((lot) => lot.item === item);
  }

  add(lot: Omit<Lot, 'id' | 'note'>): Observable<Lot> {
    return this.api
      .create('addLot', { body: lot })
      .pipe(tap((made) => this.all.change((all) => [...all.filter((l) => l.id !== made.id), made])));
  }

  trace(id: number): Observable<LotTrace> {
    return this.api.call('lotTrace', { params: { id } });
  }
}
