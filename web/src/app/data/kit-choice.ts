import { Injectable, signal } from '@angular/core';
import { usualKit, type Kit } from '#core/batch/order-of-work';

const KEY = 'welcome.kit';

/** What the person mixes with. A choice of this device. */
@Injectable({ providedIn: 'root' })
export class KitChoice {
  private readonly chosen = signal<Kit>(remembered());
  readonly kit = this.chosen.asReadonly();

  set(change: Partial<Kit>): void {
    this.chosen.update((kit) => ({ ...kit, ...change }));
    try {
      localStorage.setItem(KEY, JSON.stringify(this.chosen()));
    } catch {
      // A browser that keeps nothing still uses it.
    }
  }
}

function remembered(): Kit {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Kit>;
    const usable = Object.entries(kept).filter(
      ([name, value]) => typeof value === typeof usualKit[name as keyof Kit],
    );
    // Heat is asked anew for each batch.
    return { ...usualKit, ...Object.fromEntries(usable), heat: false };
  } catch {
    return usualKit;
  }
}
