import { inject, Injectable } from '@angular/core';
import { type Observable } from 'rxjs';
import { type DueStep } from '#contract/today';
import { Api } from './api';

@Injectable({ providedIn: 'root' })
export class TodayService {
  private readonly api = inject(Api);

  due(): Observable<DueStep[]> {
    return this.api.get<DueStep[]>('today');
  }
}

export type { DueStep };
