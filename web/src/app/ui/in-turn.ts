import { afterNextRender, DestroyRef, effect, inject, Injector, signal, type Signal } from '@angular/core';

/**
 * How many pieces of a page may stand: none until it is ready, then one more after each is drawn, each in a task of
 * its own, so that a slow phone shows the first at once and hears the hand between two of them. Takes an injection
 * context.
 *
 * @param pieces how many there are, 1 or more
 * @param ready whether the first can be drawn
 */
export function inTurn(pieces: number, ready: () => boolean): Signal<number> {
  const standing = signal(0);
  const injector = inject(Injector);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const next = (): void => {
    standing.update((count) => count + 1);
    if (standing() < pieces) afterNextRender(() => (timer = setTimeout(next)), { injector });
  };
  const start = effect(() => {
    if (!ready()) return;
    timer = setTimeout(next);
    start.destroy();
  });
  inject(DestroyRef).onDestroy(() => clearTimeout(timer));
  return standing.asReadonly();
}
