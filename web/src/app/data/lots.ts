import { inject, Injectable, signal } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { Api } from './api';

export interface Lot {
  id: number;
  item: string;
  name: string;
  receivedOn: string;
}

export interface LotTrace {
  lot: Lot;
  batches: { id: number; name: string; madeOn: string }[];
  uses: { batchId: number; data: { what: string; count: number; on: string } }[];
}

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

  add(lot: Omit<Lot, 'id'>): Observable<Lot> {
    return this.api.post<Lot>('lots', lot).pipe(tap((made) => this.known.update((all) => [...all, made])));
  }

  trace(id: number): Observable<LotTrace> {
    return this.api.get<LotTrace>(`lots/${id}/trace`);
  }
}
