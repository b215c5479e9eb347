import { computed, inject, Injectable } from '@angular/core';
import { billOf, takesOf } from '#core/package/bill';
import { volumeL } from '#core/vessel/vessel';
import { makeable } from '#core/package/stock';
import { LotsService } from '../data/lots';
import { ShelfService } from '../data/shelf';
import { RecipeStore } from './recipe-store';

/** What the recipe at hand takes from the shed and costs. */
@Injectable({ providedIn: 'root' })
export class InTheShed {
  private readonly store = inject(RecipeStore);
  private readonly lots = inject(LotsService);
  private readonly shelf = inject(ShelfService);

  private readonly evaluation = computed(() => {
    const outcome = this.store.outcome();
    return outcome.state === 'computed' ? outcome.judgement.evaluation : null;
  });
  /** For a litre of finished mix. */
  readonly takes = computed(() => {
    const evaluation = this.evaluation();
    return evaluation ? takesOf(evaluation) : [];
  });
  /** How much can still be made of it, what ends first, what is missing for the job. */
  readonly stock = computed(() => {
    const left = new Map((this.lots.stock.value() ?? []).map((one) => [one.item, one.left]));
    return this.takes().length === 0
      ? null
      : makeable(this.takes(), left, Math.max(0.001, this.store.litres()));
  });
  readonly bill = computed(() => billOf(this.takes(), (item) => this.priceOf(item)));
  readonly litres = this.store.litres;
  /** Of one vessel: what a plant in it costs in mix. */
  readonly eachL = computed(() => volumeL(this.store.kind().vessel));
  readonly noun = computed(() => this.store.kind().noun);

  /** Of a loose litre or a kilogram: of the newest lot that tells, else of the shelf; null where nobody told. */
  priceOf(item: string): number | null {
    const lot = (this.lots.stock.value() ?? []).find((one) => one.item === item && one.pricePerUnit !== null);
    return lot?.pricePerUnit ?? this.shelf.line(item).costPerL;
  }

  nameOf(item: string): string {
    const library = this.store.library();
    return (library?.materials.get(item) ?? library?.amendments.get(item))?.name ?? item;
  }

  kindOf(item: string): 'material' | 'product' {
    return this.store.library()?.amendments.has(item) ? 'product' : 'material';
  }
}
