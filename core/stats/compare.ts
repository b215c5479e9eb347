import { logChoose } from '#core/stats/log-gamma';
import { normalQuantile } from '#core/stats/normal';
import { checkRange, checkWhole, OutOfRange } from '#core/units/check';

/** So many of so many. */
export interface Count {
  alive: number;
  of: number;
}

export interface Share {
  share: number;
  low: number;
  high: number;
}

const MOST = 1_000_000;

function checkCount(name: string, { alive, of }: Count): void {
  checkWhole(`${name}.of`, of, 1, MOST);
  checkWhole(`${name}.alive`, alive, 0, MOST);
  if (alive > of) throw new OutOfRange(`${name}.alive`, alive, `at most ${of}, as many as there were`);
}

/**
 * Share with Wilson's interval, which stays between 0 and 1 and holds its rate for small counts
 * (Wilson, J. Am. Stat. Assoc. 22:209, 1927).
 * @param confidence 0.5–0.9999
 */
export function wilson(count: Count, confidence: number): Share {
  checkCount('count', count);
  checkRange('confidence', confidence, 0.5, 0.9999);
  const z = normalQuantile(1 - (1 - confidence) / 2);
  const { alive, of } = count;
  const share = alive / of;
  const middle = share + (z * z) / (2 * of);
  const half = z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of));
  const whole = 1 + (z * z) / of;
  return { share, low: Math.max(0, (middle - half) / whole), high: Math.min(1, (middle + half) / whole) };
}

/** Fisher's exact test, two-sided: the sum of all tables with the same margins that are no likelier than this one. */
export function fisherTwoSided(a: Count, b: Count): number {
  checkCount('a', a);
  checkCount('b', b);
  const alive = a.alive + b.alive;
  const of = a.of + b.of;
  const log = (x: number): number => logChoose(a.of, x) + logChoose(b.of, alive - x) - logChoose(of, alive);
  const here = log(a.alive);
  let sum = 0;
  for (let x = Math.max(0, alive - b.of); x <= Math.min(a.of, alive); x++) {
    const one = log(x);
    if (one <= here + 1e-7) sum += Math.exp(one);
  }
  return Math.min(1, sum);
}

/**
 * How many of each it takes to tell two shares apart (Fleiss, Statistical Methods for Rates and Proportions, with
 * continuity correction; from memory).
 * @param alpha two-sided
 * @example eachToTell(0.6, 0.8, 0.05, 0.8) // 91
 */
export function eachToTell(p1: number, p2: number, alpha: number, power: number): number {
  const difference = Math.abs(p1 - p2);
  if (!(difference > 0)) throw new OutOfRange('difference', difference, 'above 0');
  const mean = (p1 + p2) / 2;
  const za = normalQuantile(1 - alpha / 2);
  const zb = normalQuantile(power);
  const plain =
    (za * Math.sqrt(2 * mean * (1 - mean)) + zb * Math.sqrt(p1 * (1 - p1) + p2 * (1 - p2))) ** 2 /
    difference ** 2;
  return Math.ceil((plain / 4) * (1 + Math.sqrt(1 + 4 / (plain * difference))) ** 2);
}

export interface Comparison {
  a: Share;
  b: Share;
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
  const [shareA, shareB] = [wilson(a, confidence), wilson(b, confidence)];
  const fisherP = fisherTwoSided(a, b);
  const told = fisherP <= 1 - confidence && shareA.share !== shareB.share;
  const p1 = shareA.share;
  let cells: number | null = null;
  if (detect && p1 > 0 && p1 < 1) {
    checkRange('detect.difference', detect.difference, 0.001, 0.999);
    checkRange('detect.power', detect.power, 0.5, 0.999);
    const below = p1 - detect.difference;
    const p2 = below < 0 ? p1 + detect.difference : below;
    if (p2 > 1)
      throw new OutOfRange('detect.difference', detect.difference, `at most ${Math.max(p1, 1 - p1)} here`);
    cells = eachToTell(p1, p2, 1 - confidence, detect.power);
  }
  return {
    a: shareA,
    b: shareB,
    fisherP,
    better: told ? (shareA.share > shareB.share ? 'a' : 'b') : 'neither',
    cellsEachToTell: cells,
  };
}
