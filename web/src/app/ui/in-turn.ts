import {
  ApplicationRef,
  DestroyRef,
  effect,
  inject,
  Injector,
  runInInjectionContext,
  signal,
} from '@angular/core';

/** The name of a piece of the page, or what is to be worked out before the pieces behind it. */
export type TurnStep<Piece extends string> = Piece | (() => unknown);

/**
 * Lets a page stand piece by piece once it is ready, each in a task of its own, so that a slow phone shows the first
 * at once and hears the hand between two of them. Takes an injection context.
 *
 * @param steps in their order; a function is called where nothing follows what it reads
 * @param ready whether the first can be taken
 * @returns whether a piece stands by now
 * @example const stands = inTurn(['answer', () => inject(Prices), 'costs'], () => library() !== null);
 */
export function inTurn<Piece extends string>(
  steps: readonly TurnStep<Piece>[],
  ready: () => boolean,
): (piece: Piece) => boolean {
  const standing = signal<ReadonlySet<Piece>>(new Set());
  const [injector, app] = [inject(Injector), inject(ApplicationRef)];
  let timer: ReturnType<typeof setTimeout> | undefined;
  let frame = 0;
  const goOn = (from: number): void => {
    if (from < steps.length) timer = setTimeout(() => take(from));
  };
  const take = (at: number): void => {
    const step = steps[at]!;
    if (typeof step === 'function') {
      runInInjectionContext(injector, step);
      goOn(at + 1);
      return;
    }
    standing.update((present) => new Set(present).add(step));
    // Made at once and laid out with the next frame: two tasks, not one. A page out of sight has no frames.
    app.tick();
    if (document.hidden) goOn(at + 1);
    else frame = requestAnimationFrame(() => goOn(at + 1));
  };
  const start = effect(() => {
    if (!ready()) return;
    goOn(0);
    start.destroy();
  });
  inject(DestroyRef).onDestroy(() => {
    clearTimeout(timer);
    cancelAnimationFrame(frame);
  });
  return (piece) => standing().has(piece);
}
