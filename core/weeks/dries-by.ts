import { type Drier, goneAfter } from '#core/weeks/drying';
import { limits } from '#core/units/limits';

/** Two weighings of one tray with no watering between them. */
export interface DriedBetween {
  /** Share of its water that had gone at either. */
  from: number;
  to: number;
  /** Days between them, at least 1. */
  days: number;
  /** Of the day between. */
  potentialMmPerDay: number;
  leafCover: number;
}

/** So little between two weighings is the scale's. Common practice, no source. */
const LEAST_GONE = 0.05;
const HALVINGS = 40;

/**
 * By how much faster than reckoned a tray dries: the factor under which the reckoning goes through both weighings, the
 * middle one of several pairs. undefined where no pair tells.
 */
export function driesByOf(drier: Drier, pairs: readonly DriedBetween[]): number | undefined {
  const factors = pairs
    .flatMap(({ from, to, days, potentialMmPerDay, leafCover }) => {
      if (to - from < LEAST_GONE || days < 1 || from < 0 || to >= 1) return [];
      let [low, high] = limits.driesBy as readonly [number, number] as [number, number];
      const gone = (driesBy: number): number =>
        goneAfter(drier, days, { potentialMmPerDay, leafCover, gone: from, driesBy });
      if (gone(high) < to) return [high];
      if (gone(low) > to) return [low];
      for (let i = 0; i < HALVINGS; i++) {
        const middle = Math.sqrt(low * high);
        if (gone(middle) < to) low = middle;
        else high = middle;
      }
      return [Math.sqrt(low * high)];
    })
    .sort((a, b) => a - b);
  return factors.length === 0 ? undefined : factors[Math.floor((factors.length - 1) / 2)];
}
