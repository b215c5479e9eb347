import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Desk, type DueStep } from '#contract/today';
import { ApiClient } from './api';
import { Resource } from './resource';

@Injectable({ providedIn: 'root' })
export class TodayService {
  private readonly api = inject(ApiClient);
  /** What was put off, and how cold tonight is to be. */
  readonly desk = new Resource<Desk>(() => this.api.call('desk'));

  /** What is due, for a page that looks at it. */
  due(): Resource<DueStep[]> {
    return new Resource(() => this.api.call('today'));
  }

  /** @param until first day on which it is told again; null takes it back */
  putOff(item: string, until: string | null): Observable<Desk> {
    return this.api
      .call('putOff', { body: { item, until } })
      .pipe(tap((desk) => this.desk.change(() => desk)));
  }

  setLow(on: string, celsius: number | null): Observable<Desk> {
    return this.api
      .call('setLow', { body: { on, celsius } })
      .pipe(tap((desk) => this.desk.change(() => desk)));
  }
}

export type { DueStep };
