import { smallestTrials } from '#core/stats/binomial';
import { withBroken } from '#core/vessel/broken';
import { limits } from '#core/units/limits';
import { checkRange, checkWhole } from '#core/units/check';

/** As many cells as stay empty at most where one seed more is worth it: common practice, no source. */
const EMPTY_SHARE = 0.1;
const MOST_SEEDS = 4;

/** Between the depth of a pressed hole and that of sowing, where it is as well: common practice, no source. */
const AS_WELL_MM = 4;

export interface HowToSow {
  /** Seeds to a cell, block or pot. */
  perCell: number;
  cells: number;
  /** Share of them in which something comes up, 0–1. */
  upShare: number;
}

/**
 * Seeds to a cell, and cells to fill, for so many plants of old seed, one a cell: seeds until nine cells in ten have
 * something up, four at most; then as many cells as give the plants nine times in ten (model § 15).
 * @param cameUp of `of` seeds of a test
 * @param breakPct share of vessels that are lost before they are sown, blocks that break, %
 * @throws OutOfRange where none came up, or more than were tested
 * @example howToSow(50, 11, 20) // { perCell: 3, cells: 58, upShare: 0.908875 }
 */
export function howToSow(wanted: number, cameUp: number, of: number, breakPct = 0): HowToSow {
  checkWhole('wanted', wanted, 1, limits.plantCount[1]);
  checkWhole('of', of, 1, limits.plantCount[1]);
  checkRange('cameUp', cameUp, 1, of);
  const germination = cameUp / of;
  const upOf = (seeds: number): number => 1 - (1 - germination) ** seeds;
  let perCell = 1;
  while (perCell < MOST_SEEDS && 1 - upOf(perCell) > EMPTY_SHARE) perCell++;
  const sound = smallestTrials(upOf(perCell), wanted, 0.9);
  return { perCell, upShare: upOf(perCell), cells: withBroken(sound, breakPct) };
}

/** How the hole that a press leaves suits the depth of sowing. */
export function holeFor(holeMm: number, coverMm: number): 'suits' | 'too-deep' | 'too-shallow' {
  if (holeMm > coverMm + AS_WELL_MM) return 'too-deep';
  return holeMm < coverMm - AS_WELL_MM ? 'too-shallow' : 'suits';
}

/**
 * Whether seedlings are ready to be moved, by their pairs of true leaves: from the leaves that the crop is moved at, for
 * one pair more; then their roots tangle (common practice, no source).
 * @param atLeaves true leaves, single
 */
export function timeToMove(pairs: number, atLeaves: number): 'early' | 'now' | 'late' {
  const leaves = 2 * checkRange('pairs', pairs, ...limits.leafPairs);
  if (leaves < atLeaves) return 'early';
  return leaves > Math.max(2, atLeaves) + 2 ? 'late' : 'now';
}
