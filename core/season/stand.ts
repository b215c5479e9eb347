import { logChoose } from '#core/stats/log-gamma';
import { checkRange, OutOfRange } from '#core/units/check';

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
 * @param perCell seeds to a cell, 1–50
 * @param wantedPlants cells that must hold a plant, 1–100,000
 * @param confidence 0.5–0.9999
 */
export function standOf(
  germination: number,
  perCell: number,
  wantedPlants: number,
  confidence: number,
): Stand {
  checkRange('germination', germination, 0.01, 1);
  whole('perCell', perCell, 1, 50);
  whole('wantedPlants', wantedPlants, 1, 100_000);
  checkRange('confidence', confidence, 0.5, 0.9999);
  const emptyFraction = (1 - germination) ** perCell;
  const filled = 1 - emptyFraction;
  return {
    emptyFraction,
    sparesPerCell: perCell * germination - filled,
    cells: safeCells(filled, wantedPlants, confidence),
  };
}

/** Smallest N with P(Binomial(N, p) ≥ wanted) ≥ confidence. The chance grows with N, so halving finds it. */
function safeCells(p: number, wanted: number, confidence: number): number {
  if (p >= 1) return wanted;
  let low = wanted - 1;
  let high = Math.ceil(wanted / p);
  while (atLeast(high, p, wanted) < confidence) {
    low = high;
    high = Math.ceil(high * 1.1) + 1;
  }
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (atLeast(middle, p, wanted) >= confidence) high = middle;
    else low = middle;
  }
  return high;
}

/** P(Binomial(n, p) ≥ k), summed outwards from k on the shorter side; exact to rounding. */
export function atLeast(n: number, p: number, k: number): number {
  if (k <= 0) return 1;
  if (k > n) return 0;
  if (p >= 1) return 1;
  const logPmf = (x: number): number => logChoose(n, x) + x * Math.log(p) + (n - x) * Math.log1p(-p);
  const below = k - 1 < n * p;
  let sum = 0;
  // Terms fall off away from the mean: stop when they no longer count.
  for (let x = below ? k - 1 : k; x >= 0 && x <= n; x += below ? -1 : 1) {
    const term = Math.exp(logPmf(x));
    sum += term;
    if (term < sum * 1e-17 || (term === 0 && sum === 0)) break;
  }
  return below ? 1 - Math.min(1, sum) : Math.min(1, sum);
}

function whole(name: string, value: number, low: number, high: number): void {
  if (!Number.isInteger(value) || value < low || value > high) {
    throw new OutOfRange(name, value, `a whole number from ${low} to ${high}`);
  }
}
