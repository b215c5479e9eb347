import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** Whether the page is as narrow as a phone's, where styles lay one thing under another. Takes an injection context. */
export function narrow(): Signal<boolean> {
  const asked = matchMedia('(max-width: 760px)');
  const is = signal(asked.matches);
  const heard = (): void => is.set(asked.matches);
  asked.addEventListener('change', heard);
  inject(DestroyRef).onDestroy(() => asked.removeEventListener('change', heard));
  return is.asReadonly();
}
