import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { type Recipe } from '#core/recipe/recipe';
import { type ReadingId } from '#core/judge/readings';
import { type KeptDown } from '#core/spread/kept-down';
import { type Band, type Sampled } from '#core/spread/sample';
import { SpreadChoice } from '../data/spread-choice';
import { SPREAD_WORKER } from '../workers/tokens';
import { type SpreadAnswer, type SpreadRequest } from '../workers/spread.protocol';
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
  private asking: Recipe | null = null;
  private readonly down = signal<readonly KeptDown[] | null>(null);
  private readonly share = signal(1);
  private asked = 0;

  /** Nothing while the recipe is another than the one that was sampled: ranges of the last beside the new would lie. */
  readonly result = computed(() => (this.sampledOf() === this.store.recipe() ? this.sampled() : null));
  /** What keeps the odds down, and which tests would lift them; told after the odds themselves. */
  readonly keptDown = computed(() => (this.result() ? this.down() : null));
  readonly progress = this.share.asReadonly();
  readonly bands = computed(
    () => new Map<ReadingId, Band>((this.result()?.bands ?? []).map((b) => [b.id, b])),
  );

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<SpreadAnswer>) => this.take(data));
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    effect(() => {
      const library = this.store.library();
      if (!library) return;
      this.send({
        kind: 'library',
        materials: [...library.materials.values()],
        amendments: [...library.amendments.values()],
        vessels: [...library.vessels.values()],
        windows: library.windows,
      });
    });
    effect((onCleanup) => {
      const recipe = this.store.recipe();
      const spreads = this.chosen.spreads();
      this.store.library();
      if (this.store.outcome().state !== 'computed') {
        this.sampled.set(null);
        return;
      }
      const timer = setTimeout(() => {
        this.asked++;
        this.asking = recipe;
        this.share.set(0);
        this.down.set(null);
        this.send({ kind: 'sample', id: this.asked, recipe, spreads, seed: SEED, draws: DRAWS });
      }, PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  private take(answer: SpreadAnswer): void {
    if (answer.id !== this.asked) return;
    if (answer.kind === 'progress') this.share.set(answer.share);
    else this.share.set(1);
    if (answer.kind === 'done') {
      this.sampled.set(answer.sampled);
      this.sampledOf.set(this.asking);
    }
    if (answer.kind === 'kept-down') this.down.set(answer.by);
    if (answer.kind === 'impossible') this.sampled.set(null);
  }

  private send(request: SpreadRequest): void {
    this.worker.postMessage(request);
  }
}
