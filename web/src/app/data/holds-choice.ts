import { Injectable } from '@angular/core';
import { kept } from './kept';

/** What is filled and carried by: a bucket, a barrow, a bag, and what a brick makes, L. */
export interface Holds {
  bucketLitres: number;
  barrowLitres: number;
  bagLitres: number;
  brickLitres: number;
}
const usual: Holds = { bucketLitres: 10, barrowLitres: 80, bagLitres: 40, brickLitres: 70 };

/** How much each holds, told once on this device. */
@Injectable({ providedIn: 'root' })
export class HoldsChoice {
  /** As it was kept when only doses asked for a barrow. */
  private readonly barrow = kept<number | null>('barrow-litres', null, (stored) =>
    typeof stored === 'number' && stored > 0 ? stored : undefined,
  );
  private readonly fresh: Holds = {
    ...usual,
    ...(this.barrow.value() !== null && { barrowLitres: this.barrow.value()! }),
  };
  private readonly chosen = kept<Holds>('holds', this.fresh, (stored) =>
    stored && typeof stored === 'object' ? { ...this.fresh, ...(stored as Partial<Holds>) } : undefined,
  );
  readonly value = this.chosen.value;

  /** @param litres undefined for what is usual */
  set(name: keyof Holds, litres: number | undefined): void {
    this.chosen.set({ ...this.value(), [name]: litres ?? usual[name] });
  }
}
