import { type Material } from '#core/material/material';
import { type Acidity, acidityWith, limeNeededMeqPerL, phAfter } from '#core/mix/ph';

/** Over so many times the lime that it takes a mix cannot be put right with peat (model § 23). */
export const MOST_LIMED_TIMES = 2;
/** More than so many litres to one is another mix. */
const MOST_PEAT = 4;

/** How many times the lime it takes for a pH a mix holds; Infinity where it takes none. @param meqPerL of lime in it */
export function timesLimed(state: Acidity, meqPerL: number, aimPh: number): number {
  const needed = limeNeededMeqPerL(state, aimPh);
  return needed > 0 ? meqPerL / needed : Infinity;
}

/**
 * Loose litres of an unlimed material that bring a litre of an over-limed mix back to a pH: its lime then serves both.
 * @param state of the mix before lime
 * @param meqPerL of lime that is in it
 * @returns null where four litres are not enough
 */
export function litresToCut(
  state: Acidity,
  meqPerL: number,
  material: Material,
  aimPh: number,
): number | null {
  const phWith = (looseL: number): number =>
    phAfter(acidityWith(state, 1, { material, looseL }, 1 + looseL), {
      lime: meqPerL / (1 + looseL),
      whole: 0,
    });
  if (phWith(MOST_PEAT) > aimPh) return null;
  let [low, high] = [0, MOST_PEAT];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (phWith(middle) > aimPh) low = middle;
    else high = middle;
  }
  return high;
}
