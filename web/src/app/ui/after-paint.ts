import {
  ApplicationRef,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
  type Signal,
} from '@angular/core';

/**
 * The same value a frame later: for a picture that costs a frame to draw, beside numbers that must follow the
 * hand at once. What is not there yet (null) is never waited for. Takes an injection context.
 */
export function afterPaint<T>(source: Signal<T | null>): Signal<T | null> {
  const late = signal<T | null>(null);
  const app = inject(ApplicationRef);
  let pending = 0;
  effect(() => {
    source();
    // One wait at a time, for the newest value then: a hand that never rests still moves the picture.
    pending ||= requestAnimationFrame(() => {
      pending = 0;
      late.set(untracked(source));
      // Into this very frame, not the one after it.
      app.tick();
    });
  });
  inject(DestroyRef).onDestroy(() => cancelAnimationFrame(pending));
  return computed(() => late() ?? source());
}
