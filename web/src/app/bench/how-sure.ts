import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { type Recipe } from '#core/recipe/recipe';
import { type ReadingId } from '#core/judge/readings';
import { type KeptDown } from '#core/spread/kept-down';
import { type Band, type Sampled } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import { SpreadChoice } from '../data/spread-choice';
import { stockedOf } from '../workers/stocked';
import { SPREAD_WORKER } from '../workers/tokens';
import { Newest } from '../workers/calls';
import { RecipeStore } from './recipe-store';

const DRAWS = 2000;
const SEED = 20_260;
/** A slider that is still moving is not sampled. */
const PAUSE_MS = 120;

/** How sure the readings are: sampled in a worker, so that the page never waits for it. */
@Injectable({ providedIn: 'root' })
export class HowSure {
  private readonly store = inject(RecipeStore);
  private readonly chosen = inject(SpreadChoice);
  private readonly worker = inject(SPREAD_WORKER)();
  private readonly sampled = signal<Sampled | null>(null);
  /** The recipe that the sample is of, and the one that is being sampled. */
  private readonly sampledOf = signal<Recipe | null>(null);
  private readonly down = signal<readonly KeptDown[] | null>(null);
  private readonly share = signal(1);
  private readonly newest = new Newest();

  /** Nothing while the recipe is another than the one that was sampled: ranges of the last beside the new would lie. */
  readonly result = computed(() => (this.sampledOf() === this.store.recipe() ? this.sampled() : null));
  /** What keeps the odds down, and which tests would lift them; told after the odds themselves. */
  readonly keptDown = computed(() => (this.result() ? this.down() : null));
  readonly progress = this.share.asReadonly();
  readonly bands = computed(
    () => new Map<ReadingId, Band>((this.result()?.bands ?? []).map((b) => [b.id, b])),
  );

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.end());
    effect(() => {
      const library = this.store.library();
      if (library) void this.worker.calls.stock(stockedOf(library));
    });
    effect((onCleanup) => {
      const recipe = this.store.recipe();
      const spreads = this.chosen.spreads();
      this.store.library();
      if (this.store.outcome().state !== 'computed') {
        this.sampled.set(null);
        return;
      }
      const timer = setTimeout(() => void this.sample(recipe, spreads), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  private async sample(recipe: Recipe, spreads: Spreads): Promise<void> {
    const { calls } = this.worker;
    this.share.set(0);
    this.down.set(null);
    // A recipe that cannot be judged has no odds: the page says why beside its parts.
    const impossible = (): null => {
      this.sampled.set(null);
      this.share.set(1);
      return null;
    };
    const sampled = await this.newest
      .call(
        (progress) => calls.sample(recipe, spreads, SEED, DRAWS, progress),
        (share) => this.share.set(share),
      )
      .catch(impossible);
    if (!sampled) return;
    this.share.set(1);
    this.sampled.set(sampled);
    this.sampledOf.set(recipe);
    const down = await this.newest.call(() => calls.keptDown()).catch(() => null);
    if (down) this.down.set(down);
  }
}
