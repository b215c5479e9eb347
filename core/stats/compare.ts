import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { fisher, wilson } from '#core/stats/counts';
import { normalQuantile } from '#core/stats/normal';
import { checkRange, OutOfRange } from '#core/units/check';
import { limits } from '#core/units/limits';

/** So many of so many. */
export interface Count {
  alive: number;
  of: number;
}

export interface CountedShare {
  share: number;
  low: number;
  high: number;
}

/** Share with Wilson's interval. @param confidence 0.5–0.9999 */
export function shareOf({ alive, of }: Count, confidence: number): CountedShare {
  return { share: alive / of, ...wilson(alive, of, normalQuantile(1 - (1 - confidence) / 2)) };
}

/**
 * How many of each it takes to tell two shares apart (Fleiss, Statistical Methods for Rates and Proportions, with
 * continuity correction; from memory).
 * @param alpha two-sided
 * @example eachToTell(0.6, 0.8, 0.05, 0.8) // 91
 */
export function eachToTell(p1: number, p2: number, alpha: number, power: number): number {
  const difference = Math.abs(p1 - p2);
  if (!(difference > 0)) throw new OutOfRange('difference', difference, allow('allowed.above-nothing', none));
  const mean = (p1 + p2) / 2;
  const za = normalQuantile(1 - alpha / 2);
  const zb = normalQuantile(power);
  const plain =
    (za * Math.sqrt(2 * mean * (1 - mean)) + zb * Math.sqrt(p1 * (1 - p1) + p2 * (1 - p2))) ** 2 /
    difference ** 2;
  return Math.ceil((plain / 4) * (1 + Math.sqrt(1 + 4 / (plain * difference))) ** 2);
}

export interface Comparison {
  a: CountedShare;
  b: CountedShare;
  fisherP: number;
  /** Only where the difference is more than chance at the confidence asked. */
  better: 'a' | 'b' | 'neither';
  cellsEachToTell: number | null;
}

/** Two counts against each other (model § 20). @param detect a difference worth telling, and how surely */
export function compareCounts(
  a: Count,
  b: Count,
  confidence: number,
  detect?: { difference: number; power: number },
): Comparison {
  checkRange('confidence', confidence, ...limits.confidence);
  const [shareA, shareB] = [shareOf(a, confidence), shareOf(b, confidence)];
  const fisherP = fisher(a.alive, a.of, b.alive, b.of);
  const result = fisherP <= 1 - confidence && shareA.share !== shareB.share;
  const p1 = shareA.share;
  let cells: number | null = null;
  if (detect && p1 > 0 && p1 < 1) {
    checkRange('detect.difference', detect.difference, 0.001, 0.999);
    checkRange('detect.power', detect.power, 0.5, 0.999);
    const below = p1 - detect.difference;
    const p2 = below < 0 ? p1 + detect.difference : below;
    if (p2 > 1)
      throw new OutOfRange(
        'detect.difference',
        detect.difference,
        allow('allowed.number', { low: 0, high: Math.max(p1, 1 - p1) }),
      );
    cells = eachToTell(p1, p2, 1 - confidence, detect.power);
  }
  return {
    a: shareA,
    b: shareB,
    fisherP,
    better: result ? (shareA.share > shareB.share ? 'a' : 'b') : 'neither',
    cellsEachToTell: cells,
  };
}
