import { Injectable, signal } from '@angular/core';
import { type UnitSystem } from '#core/units/show';

const KEY = 'welcome.units';

/** The units that the person reads. A choice of this device; nothing stored depends on it. */
@Injectable({ providedIn: 'root' })
export class Units {
  private readonly chosen = signal<UnitSystem>(remembered());
  readonly system = this.chosen.asReadonly();

  use(system: UnitSystem): void {
    this.chosen.set(system);
    try {
      localStorage.setItem(KEY, system);
    } catch {
      // A browser that keeps nothing still switches.
    }
  }
}

function remembered(): UnitSystem {
  try {
    return localStorage.getItem(KEY) === 'us' ? 'us' : 'metric';
  } catch {
    return 'metric';
  }
}
