import { computed, inject, Injectable } from '@angular/core';
import { type UsualKeeping } from '#core/weeks/usual-keeping';
import { RecipeStore } from './recipe-store';
import { isSameKeeping, KeepingService } from '../data/keeping';

/** How the recipe on the bench is kept: as it is tried, by its own where it is saved, or as usual. */
@Injectable({ providedIn: 'root' })
export class BenchKeeping {
  private readonly service = inject(KeepingService);
  private readonly store = inject(RecipeStore);
  /** Number of the saved recipe that is open. */
  readonly mix = computed(() => this.store.opened()?.mixId ?? null);
  readonly own = computed(() => this.service.ofMix(this.mix()));
  private readonly saved = computed(() => this.own() ?? this.service.usual());
  readonly now = computed((): UsualKeeping => this.service.tried.value() ?? this.saved());
  readonly is = computed((): 'usual' | 'own' | 'tried' =>
    isSameKeeping(this.now(), this.saved()) ? (this.own() ? 'own' : 'usual') : 'tried',
  );

  try(change: Partial<UsualKeeping>): void {
    this.service.tried.set({ ...this.now(), ...change });
  }

  /** What is tried is left. */
  leave(): void {
    this.service.tried.forget();
  }
}
