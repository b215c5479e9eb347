import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type BodyGiven } from '#contract/endpoints';
import { type ChangedLot, type Lot, type LotTrace, type NewMove, type StockLine } from '#contract/lots';
import { ApiClient } from './api';
import { Resource } from './resource';

/** Purchases, heaps, seed and empty vessels. */
@Injectable({ providedIn: 'root' })
export class LotsService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<readonly Lot[]>(() => this.api.call('lots'));
  /** What is left of each item, over all its lots. */
  readonly stock = new Resource<readonly StockLine[]>(() => this.api.call('stock'));

  one(id: number): Lot | undefined {
    return this.all.value()?.find((lot) => lot.id === id);
  }

  of(item: string): readonly Lot[] {
    return (this.all.value() ?? []).filter((lot) => lot.item === item);
  }

  add(lot: Omit<BodyGiven<'addLot'>, 'key'>): Observable<Lot> {
    return this.api.create('addLot', { body: lot }).pipe(tap((made) => this.put(made)));
  }

  move(id: number, move: Omit<NewMove, 'key'>): Observable<Lot> {
    return this.api.create('addMove', { params: { id }, body: move }).pipe(tap((made) => this.put(made)));
  }

  change(id: number, change: ChangedLot): Observable<Lot> {
    return this.api.call('changeLot', { params: { id }, body: change }).pipe(tap((made) => this.put(made)));
  }

  trace(id: number): Observable<LotTrace> {
    return this.api.call('lotTrace', { params: { id } });
  }

  private put(made: Lot): void {
    this.all.change((all) => [...all.filter((lot) => lot.id !== made.id), made]);
    this.stock.refresh();
  }
}
export type { Lot, LotTrace, StockLine };
