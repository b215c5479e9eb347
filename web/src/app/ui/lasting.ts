import { linkedSignal, type Signal } from '@angular/core';

/** What was there last, while there is nothing: so that the place it takes does not close. */
export function lasting<T>(source: () => T | null): Signal<T | null> {
  return linkedSignal<T | null, T | null>({
    source,
    computation: (now, previous) => now ?? previous?.value ?? null,
  }).asReadonly();
}
