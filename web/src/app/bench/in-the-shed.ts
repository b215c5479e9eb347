import { computed, inject, Injectable } from '@angular/core';
import { billOf, takesOf } from '#core/mix/takes';
import { volumeL } from '#core/vessel/vessel';
import { makeable } from '#core/package/stock';
import { LotsService } from '../data/lots';
import { Prices } from '../data/prices';
import { RecipeStore } from './recipe-store';

/** What the recipe at hand takes from the shed and costs. */
@Injectable({ providedIn: 'root' })
export class InTheShed {
  private readonly store = inject(RecipeStore);
  private readonly lots = inject(LotsService);
  private readonly prices = inject(Prices);

  private readonly evaluation = computed(() => this.store.behind()?.outcome.judgement.evaluation ?? null);
  /** For a litre of finished mix. */
  readonly takes = computed(() => {
    const evaluation = this.evaluation();
    return evaluation ? takesOf(evaluation) : [];
  });
  /** How much can still be made of it, what ends first, what is missing for the job. */
  readonly stock = computed(() => {
    const left = new Map((this.lots.stock.value() ?? []).map((each) => [each.item, each.left]));
    return this.takes().length === 0
      ? null
      : makeable(this.takes(), left, Math.max(0.001, this.store.litres()));
  });
  readonly bill = computed(() => billOf(this.takes(), (item) => this.prices.of(item)));
  readonly litres = this.store.litres;
  /** Of one vessel: what a plant in it costs in mix. */
  readonly eachL = computed(() => volumeL(this.store.kind().vessel));
  readonly noun = computed(() => this.store.kind().noun);

  nameOf(item: string): string {
    const library = this.store.library();
    return (library?.materials.get(item) ?? library?.amendments.get(item))?.name ?? item;
  }

  kindOf(item: string): 'material' | 'product' {
    return this.store.library()?.amendments.has(item) ? 'product' : 'material';
  }
}
