import { computed, inject, Injectable } from '@angular/core';
import { LotsService } from './lots';
import { ShelfService } from './shelf';

/** What things cost, wherever it is asked: as typed on the shelf, else by the newest lot that tells. */
@Injectable({ providedIn: 'root' })
export class Prices {
  private readonly lots = inject(LotsService);
  private readonly shelf = inject(ShelfService);
  private readonly byLot = computed(
    () => new Map((this.lots.stock.value() ?? []).map((each) => [each.item, each.pricePerUnit])),
  );

  /** Of a loose litre of a material, a kilogram of a product; null where nobody told. */
  of(item: string): number | null {
    return this.shelf.line(item).costPerL ?? this.byLot().get(item) ?? null;
  }
}
