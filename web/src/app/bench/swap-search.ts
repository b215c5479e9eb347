import { inject, Injectable, signal } from '@angular/core';
import { type Swap } from '#core/finder/swap';
import { type Judgement } from '#core/judge/judge';
import { FINDER_WORKER } from '../workers/tokens';
import { type FinderAnswer } from '../workers/finder.protocol';
import { RecipeStore } from './recipe-store';

/** Looks for the nearest recipe without a material, in a worker that is made the first time it is asked. */
@Injectable({ providedIn: 'root' })
export class SwapSearch {
  private readonly store = inject(RecipeStore);
  private readonly make = inject(FINDER_WORKER);
  private worker: Worker | null = null;
  private asked = 0;
  private readonly found = signal<{ from: string; swaps: readonly Swap[] } | null>(null);
  /** null until the answer is there. */
  readonly answer = this.found.asReadonly();

  ask({ input }: Judgement, from: string): void {
    const library = this.store.library();
    const lime = library?.amendments.get('lime-dolomitic');
    if (!library || !lime) return;
    this.asked++;
    this.found.set(null);
    this.waitFor(from).postMessage({
      kind: 'swaps',
      id: this.asked,
      input,
      from,
      candidates: [...library.materials.values()],
      help: { lime, gypsum: library.amendments.get('gypsum') },
    });
  }

  private waitFor(from: string): Worker {
    this.worker ??= this.make();
    this.worker.onmessage = ({ data }: MessageEvent<FinderAnswer>): void => {
      if (data.id !== this.asked) return;
      if (data.kind === 'swaps') this.found.set({ from, swaps: data.swaps });
      if (data.kind === 'impossible') this.found.set({ from, swaps: [] });
    };
    return this.worker;
  }
}
