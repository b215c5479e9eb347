import { Injectable } from '@angular/core';
import { usualKit, type Kit } from '#core/batch/kit';
import { kept } from './kept';

/** What the person mixes with. A choice of this device. */
@Injectable({ providedIn: 'root' })
export class KitChoice {
  private readonly chosen = kept<Kit>('kit', usualKit, usable);
  readonly kit = this.chosen.value;

  set(change: Partial<Kit>): void {
    this.chosen.set({ ...this.kit(), ...change });
  }
}

function usable(stored: unknown): Kit {
  const fits = Object.entries((stored ?? {}) as Partial<Kit>).filter(
    ([name, value]) =>
      typeof value === typeof usualKit[name as keyof Kit] ||
      ((name === 'heatLossPct' || name === 'breakPct') && typeof value === 'number'),
  );
  // Heat is asked anew for each batch, and so is how its materials come.
  const { comes: _, ...same } = Object.fromEntries(fits) as Partial<Kit>;
  return { ...usualKit, ...same, heat: 'none' };
}
