import { type Arm, type ArmComparison, verdictOf } from '#core/plants/verdict';
import { allow } from '#core/units/allowed';
import { type MessageOf, messages, none, type None } from '#core/units/message';
import { logGamma } from '#core/stats/log-gamma';
import { streamOf, uniformAt } from '#core/stats/normal';
import { checkWhole, OutOfRange } from '#core/units/check';
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

/** Counts of a tray. */
export interface TrayCount {
  arm: number;
  block: number;
  alive: number;
  of: number;
}

/** Blocks in which every arm is counted. */
function wholeBlocks(trays: readonly TrayCount[]): number[] {
  const arms = new Set(trays.map((tray) => tray.arm)).size;
  return [...new Set(trays.map((tray) => tray.block))].filter(
    (block) => new Set(trays.filter((t) => t.block === block && t.of > 0).map((t) => t.arm)).size === arms,
  );
}

/** Inside blocks: against shares to which arm and block add, so that a warm end of the house is no scatter. */
function differInside(
  trays: readonly TrayCount[],
  blocks: readonly number[],
): { chiSquare: number; freedom: number } {
  const own = trays.filter((tray) => blocks.includes(tray.block));
  const meanOf = (some: readonly TrayCount[]): number =>
    some.reduce((sum, { alive, of }) => sum + alive / of, 0) / some.length;
  const all = meanOf(own);
  let chiSquare = 0;
  for (const { arm, block, alive, of } of own) {
    const share =
      meanOf(own.filter((t) => t.arm === arm)) + meanOf(own.filter((t) => t.block === block)) - all;
    const within = Math.min(1 - LEAST_SHARE, Math.max(LEAST_SHARE, share));
    chiSquare += (alive - of * within) ** 2 / (of * within * (1 - within));
  }
  const arms = new Set(own.map((tray) => tray.arm)).size;
  return { chiSquare, freedom: (arms - 1) * (blocks.length - 1) };
}
const LEAST_SHARE = 0.01;

/**
 * Whether trays differ by more than chance: inside blocks where two arms or more share two blocks or more, else
 * Pearson's χ² of each arm's trays against their common share, summed (test of homogeneity; G. W. Snedecor and
 * W. G. Cochran, Statistical Methods, the index of dispersion for binomial counts).
 * @returns null where no arm has two trays of which some came up and some did not
 * @example traysDiffer([{ arm: 0, block: 1, alive: 10, of: 20 }, { arm: 0, block: 2, alive: 10, of: 20 }])!.p // 1
 */
export function traysDiffer(
  trays: readonly TrayCount[],
): { chiSquare: number; freedom: number; p: number } | null {
  const whole = wholeBlocks(trays);
  if (whole.length >= 2 && new Set(trays.map((tray) => tray.arm)).size >= 2) {
    const inside = differInside(trays, whole);
    return { ...inside, p: chiSquareTail(inside.chiSquare, inside.freedom) };
  }
  let [chiSquare, freedom] = [0, 0];
  for (const arm of new Set(trays.map((tray) => tray.arm))) {
    const own = trays.filter((tray) => tray.arm === arm);
    const share =
      own.reduce((sum, trayCount) => sum + trayCount.alive, 0) /
      own.reduce((sum, trayCount) => sum + trayCount.of, 0);
    if (own.length < 2 || !(share > 0 && share < 1)) continue;
    freedom += own.length - 1;
    for (const { alive, of } of own) chiSquare += (alive - of * share) ** 2 / (of * share * (1 - share));
  }
  return freedom === 0 ? null : { chiSquare, freedom, p: chiSquareTail(chiSquare, freedom) };
}

/**
 * P(χ² > x) with k degrees of freedom: the upper incomplete gamma function, by its series below its middle and its
 * continued fraction above (Abramowitz and Stegun 6.5.29 and 6.5.31).
 */
export function chiSquareTail(x: number, k: number): number {
  if (!(x >= 0) || !(k > 0))
    throw new OutOfRange('chiSquare', x, allow('allowed.number', { low: 0, high: Infinity }));
  const [a, half] = [k / 2, x / 2];
  if (half === 0) return 1;
  const front = Math.exp(a * Math.log(half) - half - logGamma(a + 1) + Math.log(a));
  if (half < a + 1) {
    let [term, sum] = [1 / a, 1 / a];
    for (let n = 1; n < 500 && term > 1e-16 * sum; n++) sum += term *= half / (a + n);
    return Math.max(0, 1 - front * sum);
  }
  let b = half + 1 - a;
  let c = 1e300;
  let d = 1 / b;
  let fraction = d;
  for (let n = 1; n < 500; n++) {
    const an = -n * (n - a);
    b += 2;
    d = 1 / (an * d + b);
    c = b + an / c;
    fraction *= d * c;
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return front * fraction;
}

/** Trays are told apart by their blocks exactly up to so many blocks; with more by so many draws. */
const EXACT_BLOCKS = 16;
const DRAWS = 20_000;

/**
 * Whether one arm did better than another where trays, not seeds, are what was drawn by lot: in each block the two
 * could have stood the other way round. Exact over all 2^blocks ways (R. A. Fisher, The Design of Experiments, 1935),
 * by seeded draws above sixteen blocks.
 * @returns chance of as large a difference of the mean shares, either way; null without a block that has both
 */
export function blocksTell(trays: readonly TrayCount[], a: number, b: number, seed = 1): number | null {
  const share = ({ alive, of }: TrayCount): number => alive / of;
  const differences = [...new Set(trays.map((tray) => tray.block))].flatMap((block) => {
    const [one, other] = [a, b].map((arm) =>
      trays.find((t) => t.block === block && t.arm === arm && t.of > 0),
    );
    return one && other ? [share(one) - share(other)] : [];
  });
  const blocks = differences.length;
  if (blocks === 0) return null;
  const seen = Math.abs(differences.reduce((sum, each) => sum + each, 0)) - 1e-12;
  const exact = blocks <= EXACT_BLOCKS;
  const ways = exact ? 2 ** blocks : DRAWS;
  const stream = streamOf('blocks');
  let asLarge = 0;
  for (let way = 0; way < ways; way++) {
    let sum = 0;
    for (let i = 0; i < blocks; i++) {
      const turned = exact ? (way >> i) & 1 : uniformAt(seed, stream, way * blocks + i) < 0.5;
      sum += turned ? -differences[i]! : differences[i]!;
    }
    if (Math.abs(sum) >= seen) asLarge++;
  }
  return asLarge / ways;
}

/** What the trays of a trial add to a verdict that counted seeds; a chance is of 1000. */
export interface TrayFacts {
  'trays.differ': None;
  'trays.still-hold': { perMille: number };
  'trays.too-few': { perMille: number };
  'trays.more-blocks': { blocks: number; least: number };
}
const say = messages<TrayFacts>();

/** From so many trays of each arm on, trays are the unit and not their cells. Model section 26. */
export const TRAYS_AS_UNITS = 3;
/** With fewer blocks no difference is ever surer than chance: with n of them the least chance is 2/2ⁿ. */
export const LEAST_BLOCKS = 6;

/**
 * Which arm of a trial did better. With three trays or more of each, trays are the unit: they are turned round inside
 * their blocks, so that scatter between trays is no verdict. With fewer, cells are counted.
 * @throws OutOfRange as verdictOf
 */
export function trialVerdict(
  arms: readonly Arm[],
  trays: readonly TrayCount[],
  what: string,
  seed: number,
): { verdict: ArmComparison; more: MessageOf<TrayFacts> | null } {
  const isUnit = arms.every((_, arm) => trays.filter((t) => t.arm === arm).length >= TRAYS_AS_UNITS);
  if (!isUnit) {
    const verdict = verdictOf(arms, what);
    const pair = verdict.pairs.find(({ differs }) => differs);
    return { verdict, more: trayWarning(trays, pair, seed) };
  }
  const verdict = verdictOf(arms, what, { chance: (a, b) => blocksTell(trays, a, b, seed) });
  const blocks = wholeBlocks(trays).length;
  const isOpen = verdict.pairs.every(({ differs }) => !differs);
  return {
    verdict,
    more: isOpen && blocks < LEAST_BLOCKS ? say('trays.more-blocks', { blocks, least: LEAST_BLOCKS }) : null,
  };
}

/**
 * What is to be added to a verdict that counted seeds: nothing where trays of one mix differ no more than chance, else
 * what the groups of trays tell.
 * @param pair the two arms of the verdict
 */
export function trayWarning(
  trays: readonly TrayCount[],
  pair: { better: number; worse: number } | undefined,
  seed: number,
): MessageOf<TrayFacts> | null {
  const differ = traysDiffer(trays);
  if (!differ || differ.p >= 0.05) return null;
  const p = pair ? blocksTell(trays, pair.better, pair.worse, seed) : null;
  if (p === null) return say('trays.differ', none);
  const perMille = Math.max(1, Math.round(1000 * p));
  const holds = p <= 0.05 && wholeBlocks(trays).length >= LEAST_BLOCKS;
  return say(holds ? 'trays.still-hold' : 'trays.too-few', { perMille });
}
