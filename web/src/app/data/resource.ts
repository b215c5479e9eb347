import { computed, effect, signal, untracked, type Signal } from '@angular/core';
import { type Observable, type Subscription } from 'rxjs';

export type Loading<T> = { state: 'loading' } | { state: 'ready'; it: T } | { state: 'failed'; why: string };

/**
 * Something of the server, fetched once and shared by all who look: on its way, there, or why it is not. What was
 * there stays in sight while it is fetched again.
 */
export class Resource<T> {
  private readonly now = signal<Loading<T>>({ state: 'loading' });
  private running: Subscription | undefined;
  readonly state = this.now.asReadonly();
  /** The thing itself, once it is there. */
  readonly value = computed(() => {
    const now = this.now();
    return now.state === 'ready' ? now.it : undefined;
  });

  constructor(private readonly fetch: () => Observable<T>) {
    this.refresh();
  }

  refresh(): void {
    this.running?.unsubscribe();
    if (this.now().state === 'failed') this.now.set({ state: 'loading' });
    this.running = this.fetch().subscribe({
      next: (it) => this.now.set({ state: 'ready', it }),
      error: (error: Error) => this.now.set({ state: 'failed', why: error.message }),
    });
  }

  /** Changes what is there, before the server has said so; nothing where nothing is there yet. */
  change(how: (it: T) => T): void {
    this.now.update((now) => (now.state === 'ready' ? { state: 'ready', it: how(now.it) } : now));
  }

  /** Another thing is asked for: the one in sight goes. */
  clear(): void {
    this.now.set({ state: 'loading' });
    this.refresh();
  }
}

/** Follows the id in the address: another one is fetched anew. Call where things are injected. */
export function resourceOf<T>(id: Signal<string>, fetch: (id: number) => Observable<T>): Lazy<T> {
  const made = signal<Resource<T> | null>(null);
  effect(() => {
    id();
    untracked(() => {
      const present = made();
      if (present) present.clear();
      else made.set(new Resource(() => fetch(Number(id()))));
    });
  });
  return {
    state: computed(() => made()?.state() ?? { state: 'loading' }),
    value: computed(() => made()?.value()),
    refresh: () => made()?.refresh(),
  };
}

/** What a page needs of a resource. */
export type Lazy<T> = Pick<Resource<T>, 'state' | 'value' | 'refresh'>;
