import { Injectable } from '@angular/core';
import { defaultSpreads, type Spreads } from '#core/spread/spreads';
import { kept } from './kept';

/** How far the person thinks things scatter. A choice of this device. */
@Injectable({ providedIn: 'root' })
export class SpreadChoice {
  private readonly chosen = kept<Spreads>('spreads', defaultSpreads, usable);
  readonly spreads = this.chosen.value;

  set(name: keyof Spreads, value: number): void {
    this.chosen.set({ ...this.spreads(), [name]: value });
  }

  usual(): void {
    this.chosen.forget();
  }
}

/** What was kept, as far as it makes sense. */
function usable(stored: unknown): Spreads {
  const given = (stored ?? {}) as Record<string, unknown>;
  const all = Object.entries(defaultSpreads).map(([name, usual]) => {
    const value = given[name];
    return [name, typeof value === 'number' && value >= 0 && value <= 1 ? value : (usual as number)];
  });
  return Object.fromEntries(all) as Spreads;
}
