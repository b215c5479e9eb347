import { limits } from '#core/units/limits';
import { checkWhole } from '#core/units/check';

/** Pots of one size that are there. */
export interface PotsThere {
  litres: number;
  count: number;
}

/**
 * Which plants get which pots where there are too few of one size: the largest plants, and those that stand longest, get
 * the largest pots, until they are gone.
 * @returns as they are filled, the largest first, with the plants that go into each, and how many plants get none
 * @example whichPots(50, [{ litres: 1, count: 20 }, { litres: 0.5, count: 40 }]) // 20 and 30, none without
 */
export function whichPots<T extends PotsThere>(
  plants: number,
  pots: readonly T[],
): { taken: (T & { plants: number })[]; without: number } {
  checkWhole('plants', plants, 1, limits.plantCells[1]);
  let left = plants;
  const taken = [...pots]
    .sort((a, b) => b.litres - a.litres)
    .map((each) => {
      checkWhole('count', each.count, 0, limits.plantCells[1]);
      const some = Math.min(left, each.count);
      left -= some;
      return { ...each, plants: some };
    });
  return { taken, without: left };
}
