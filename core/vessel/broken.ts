import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/**
 * To be made so that so many are left when a share breaks, on average.
 * @example withBroken(60, 5) // 64
 */
export function withBroken(sound: number, breakPct: number): number {
  checkRange('breakPct', breakPct, ...limits.breakPct);
  return Math.ceil(sound / (1 - breakPct / 100) - 1e-9);
}
