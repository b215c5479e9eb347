import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type NewOrder, type Order } from '#contract/orders';
import { ApiClient } from './api';
import { Resource } from './resource';

/** What is ordered and has not come. */
@Injectable({ providedIn: 'root' })
export class OrdersService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<readonly Order[]>(() => this.api.call('orders'));

  add(order: Omit<NewOrder, 'key'>): Observable<Order> {
    return this.api.create('addOrder', { body: order }).pipe(tap(() => this.all.refresh()));
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayOrder', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }

  bringBack(id: number): Observable<void> {
    return this.api.call('restoreOrder', { params: { id } }).pipe(tap(() => this.all.refresh()));
  }
}
export type { Order };
