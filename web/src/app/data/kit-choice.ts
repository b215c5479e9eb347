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
    ([name, value]) => typeof value === typeof usualKit[name as keyof Kit],
  );
  // Heat is asked anew for each batch.
  return { ...usualKit, ...Object.fromEntries(fits), heat: 'none' };
}
