import { smallestTrials } from '#core/stats/binomial';
import { limits } from '#core/units/limits';
import { checkRange, checkWhole } from '#core/units/check';

export interface Stand {
  /** Share of cells in which nothing comes up: (1 − g)^n. */
  emptyFraction: number;
  /** Seedlings to pinch out or prick out, per cell: n g − (1 − (1 − g)^n). */
  sparesPerCell: number;
  /** Cells to sow so that the wanted plants stand with the asked confidence. */
  cells: number;
}

/**
 * @param germination share of seed that comes up, 0.01–1
 * @param perCell seeds to a cell, 1–20,000
 * @param wantedPlants cells that must hold a plant, 1–100,000
 * @param confidence 0.5–0.9999
 */
export function standOf(
  germination: number,
  perCell: number,
  wantedPlants: number,
  confidence: number,
): Stand {
  checkRange('germination', germination, ...limits.germination);
  checkWhole('perCell', perCell, ...limits.seedsPerCell);
  checkWhole('wantedPlants', wantedPlants, ...limits.wantedPlants);
  checkRange('confidence', confidence, ...limits.confidence);
  const emptyFraction = (1 - germination) ** perCell;
  const filled = 1 - emptyFraction;
  return {
    emptyFraction,
    sparesPerCell: perCell * germination - filled,
    cells: smallestTrials(filled, wantedPlants, confidence),
  };
}
