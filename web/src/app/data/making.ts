import { inject, Injectable } from '@angular/core';
import {
  catchError,
  filter,
  map,
  type Observable,
  of,
  Subject,
  throwError,
  timeout,
  TimeoutError,
} from 'rxjs';
import { type Answer } from '#contract/endpoints';
import { ApiClient, ApiError, type GivenToCreate } from './api';
import { Outbox } from './outbox';
import { type ForMaking, type LaterName } from './outbox-store';
import { making as texts } from '#words/en/places/data/making';

/** What is said of something that waits on this device. */
export const keptHere = (called: string): string => texts.outOfReachIsKept(called);
/** So long an answer is waited for before what was entered goes into the outbox. */
const PATIENCE_MS = 8000;

/**
 * Makes what can also be made out of reach. Where nobody answers it is kept on this device, sent under the same key once
 * the nursery is back, and made once.
 */
@Injectable({ providedIn: 'root' })
export class Making {
  private readonly api = inject(ApiClient);
  private readonly outbox = inject(Outbox);
  private readonly later = new Subject<{ make: LaterName; body: object; made: object }>();

  constructor() {
    this.outbox.acknowledged((taken) => {
      if ('make' in taken) this.later.next(taken);
    });
  }

  /** @param called what its person calls it @returns what was made; null where it waits on this device */
  make<K extends LaterName>(name: K, given: GivenToCreate<K>, called: string): Observable<Answer<K> | null> {
    const { params, body, about } = given as Pick<ForMaking, 'params' | 'body' | 'about'>;
    const what = { make: name, params, body, about };
    // Pressed again while it waits: it is sent under its first key, and made once.
    if (this.outbox.waitsFor(what)) {
      void this.outbox.send();
      return of(null);
    }
    return this.api.create(name, given).pipe(
      timeout(PATIENCE_MS),
      catchError((error: unknown) => {
        const silent = error instanceof TimeoutError || (error instanceof ApiError && error.status === 0);
        if (!silent) return throwError(() => error);
        this.outbox.enterMaking(this.api.handOver(name, given), { ...what, called });
        return of(null);
      }),
    );
  }

  /** What had waited and is made now. */
  madeLater<K extends LaterName>(...names: K[]): Observable<{ body: object; made: Answer<K> }> {
    return this.later.pipe(
      filter(({ make }) => (names as LaterName[]).includes(make)),
      map(({ body, made }) => ({ body, made: made as Answer<K> })),
    );
  }
}
