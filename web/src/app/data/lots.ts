import { inject, Injectable, signal } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Lot, type LotTrace } from '#contract/record';
import { Api } from './api';
import { uuid } from './uuid';

/** Purchases and heaps. */
@Injectable({ providedIn: 'root' })
export class LotsService {
  private readonly api = inject(Api);
  private readonly known = signal<readonly Lot[]>([]);
  readonly all = this.known.asReadonly();

  constructor() {
    this.api.get<Lot[]>('lots').subscribe({ next: (lots) => this.known.set(lots), error: () => undefined });
  }

  one(id: number): Lot | undefined {
    return this.known().find((lot) => lot.id === id);
  }

  add(lot: Omit<Lot, 'id' | 'note'>): Observable<Lot> {
    return this.api
      .post<Lot>('lots', { key: uuid(), ...lot })
      .pipe(tap((made) => this.known.update((all) => [...all, made])));
  }

  trace(id: number): Observable<LotTrace> {
    return this.api.get<LotTrace>(`lots/${id}/trace`);
  }
}
