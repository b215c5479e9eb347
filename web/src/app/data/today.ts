import { inject, Injectable } from '@angular/core';
import { type DueStep } from '#contract/today';
import { ApiClient } from './api';
import { Resource } from './resource';

@Injectable({ providedIn: 'root' })
export class TodayService {
  private readonly api = inject(ApiClient);

  /** What is due, for a page that looks at it. */
  due(): Resource<DueStep[]> {
    return new Resource(() => this.api.call('today'));
  }
}

export type { DueStep };
