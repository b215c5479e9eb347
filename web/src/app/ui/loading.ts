import { type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, map, of, startWith, switchMap, type Observable } from 'rxjs';

/** Something fetched by the id in the address: on its way, there, or why it is not. */
export type Loading<T> = { state: 'loading' } | { state: 'there'; it: T } | { state: 'failed'; why: string };

/** Follows the id: another one is fetched anew, and a failure does not end the following. */
export function loadingOf<T>(id: Signal<string>, fetch: (id: number) => Observable<T>): Signal<Loading<T>> {
  return toSignal(
    toObservable(id).pipe(
      switchMap((given) =>
        fetch(Number(given)).pipe(
          map((it): Loading<T> => ({ state: 'there', it })),
          catchError((error: Error) => of<Loading<T>>({ state: 'failed', why: error.message })),
          startWith<Loading<T>>({ state: 'loading' }),
        ),
      ),
    ),
    { initialValue: { state: 'loading' } },
  );
}
