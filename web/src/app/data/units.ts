import { Injectable } from '@angular/core';
import { type UnitSystem } from '#core/units/show';
import { kept } from './kept';

/** The units that the person reads. A choice of this device; nothing stored depends on it. */
@Injectable({ providedIn: 'root' })
export class Units {
  private readonly chosen = kept<UnitSystem>('units', 'metric', (stored) =>
    stored === 'us' ? stored : undefined,
  );
  readonly system = this.chosen.value;

  use(system: UnitSystem): void {
    this.chosen.set(system);
  }
}
