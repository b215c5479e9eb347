import { uniformAt } from '#core/stats/normal';

/** `npm run bench -- draws` runs the unit tests with all of them; `npm test` takes a tenth of what is heavy. */
export const everyDraw = process.env['WELCOME_DRAWS'] === 'all';

/**
 * How many of a heavy test's draws are made.
 * @param all of them; a tenth (at least `least`) where not every draw is asked for
 * @example draws(500) // 50, or 500 in the bench
 */
export const draws = (all: number, least = 1): number =>
  everyDraw ? all : Math.min(all, Math.max(least, Math.ceil(all / 10)));

/** Chance that falls the same every time, from 0 to 1. */
export function seeded(seed: number): () => number {
  let drawn = 0;
  return () => uniformAt(seed, 1, drawn++);
}
