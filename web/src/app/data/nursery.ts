import { effect, inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Nursery } from '#contract/nursery';
import { dayIn, ownTimeZone } from '#core/units/day';
import { ApiClient } from './api';
import { FolderHere } from './folder-here';
import { Resource } from './resource';

const ASK_AGAIN_MS = 5000;

/** The nursery that the server keeps: its identity and its days. */
@Injectable({ providedIn: 'root' })
export class NurseryService {
  private readonly api = inject(ApiClient);
  private readonly here = inject(FolderHere);
  readonly it = new Resource<Nursery>(() =>
    this.api.call('nursery').pipe(tap(({ id }) => this.here.isNow(id))),
  );

  constructor() {
    // Its day and identity are wanted on every page: what did not come is asked for again.
    effect((onCleanup) => {
      if (this.it.state().state !== 'failed') return;
      const timer = setTimeout(() => this.it.refresh(), ASK_AGAIN_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  /** The nursery's calendar day now; this device's own until the server has told. */
  readonly today = (): string => dayIn(new Date(), this.it.value()?.timeZone ?? ownTimeZone());

  countIn(timeZone: string): Observable<Nursery> {
    return this.api
      .call('setNursery', { body: { timeZone } })
      .pipe(tap((nursery) => this.it.change(() => nursery)));
  }
}
