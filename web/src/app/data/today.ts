import { inject, Injectable } from '@angular/core';
import { type Observable } from 'rxjs';
import { Api } from './api';

export interface DueStep {
  batchId: number;
  batch: string;
  step: string;
  text: string;
  /** due: the day has come · waiting: it has not · open: the batch is begun, and this is its next step. */
  state: 'due' | 'waiting' | 'open';
  on: string | null;
}

@Injectable({ providedIn: 'root' })
export class TodayService {
  private readonly api = inject(Api);

  due(): Observable<DueStep[]> {
    return this.api.get<DueStep[]>('today');
  }
}
