import { streamOf, uniformAt } from '#core/stats/normal';
import { checkWhole } from '#core/units/check';
import { limits } from '#core/units/limits';

/** A tray of a trial: where it stands, and which arm it holds. */
export interface TrialTray {
  /** From 1: a block is a place on the bench where light, heat and water are alike. */
  block: number;
  /** Place within the block, from 1. */
  place: number;
  /** From 0. */
  arm: number;
}

/**
 * Randomised complete blocks: every block holds every arm once, in an order that the seed decides (Fisher–Yates). The
 * same seed lays the same trial out again.
 * @param seed whole number, 0–2147483647; it is printed with the labels
 * @param arms 2–8
 * @param blocks 2–40
 */
export function layOut(seed: number, arms: number, blocks: number): TrialTray[] {
  checkWhole('seed', seed, ...limits.seed);
  checkWhole('arms', arms, ...limits.trialArms);
  checkWhole('blocks', blocks, ...limits.trialBlocks);
  const stream = streamOf('trial');
  let draw = 0;
  return Array.from({ length: blocks }, (_, block) => {
    const order = Array.from({ length: arms }, (__, arm) => arm);
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(uniformAt(seed, stream, draw++) * (i + 1));
      [order[i], order[j]] = [order[j]!, order[i]!];
    }
    return order.map((arm, place) => ({ block: block + 1, place: place + 1, arm }));
  }).flat();
}
