import { inject, Injectable, signal } from '@angular/core';
import { type Swap } from '#core/finder/swap';
import { type Judgement } from '#core/judge/judge';
import { FINDER_WORKER } from '../workers/tokens';
import { type Hired, Newest } from '../workers/calls';
import { type FinderApi } from '../workers/finder.protocol';
import { RecipeStore } from './recipe-store';

/** Looks for the nearest recipe without a material, in a worker that is made the first time it is asked. */
@Injectable({ providedIn: 'root' })
export class SwapSearch {
  private readonly store = inject(RecipeStore);
  private readonly make = inject(FINDER_WORKER);
  private worker: Hired<FinderApi> | null = null;
  private readonly newest = new Newest();
  private readonly found = signal<{ from: string; swaps: readonly Swap[] } | null>(null);
  /** null until the answer is there. */
  readonly answer = this.found.asReadonly();

  async ask({ input }: Judgement, from: string): Promise<void> {
    const library = this.store.library();
    const lime = library?.amendments.get('lime-dolomitic');
    if (!library || !lime) return;
    this.found.set(null);
    const { calls } = (this.worker ??= this.make());
    const candidates = [...library.materials.values()];
    const help = { lime, gypsum: library.amendments.get('gypsum') };
    // A recipe without a nearest one says so: it has none to offer.
    const swaps = await this.newest.call(() =>
      calls.swaps(input, from, candidates, help).catch((): Swap[] => []),
    );
    if (swaps) this.found.set({ from, swaps });
  }
}
