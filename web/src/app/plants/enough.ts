import { eachToTell } from '#core/stats/compare';
import { enough as texts } from '#words/en/places/plants/enough';

/** Where most of what is sown comes up. */
const USUAL = 0.85;

/** What so many cells of each arm can tell, in words: the smallest fall from 85 % with four chances in five. */
export function enough(cells: number): string {
  for (let points = 1; points <= 80; points++)
    if (eachToTell(USUAL, USUAL - points / 100, 0.05, 0.8) <= cells)
      return texts.cellsOfEachArmTell(cells, 85 - points);
  return texts.cellsOfEachArmTell2(cells);
}
