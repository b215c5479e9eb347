import { eachToTell } from '#core/stats/compare';
import { enough as texts } from '#words/en/places/plants/enough';

/** Where most of what is sown comes up. */
const USUAL = 0.85;

/**
 * What so many cells of each arm can tell, in words: the smallest fall from 85 % with four chances in five.
 * @param byTrays trays are compared, not cells: what differs between them takes more
 */
export function enough(cells: number, byTrays = false): string {
  const at = (points: number): string =>
    byTrays ? texts.traysOfEachArmTell(cells, 85 - points) : texts.cellsOfEachArmTell(cells, 85 - points);
  for (let points = 1; points <= 80; points++)
    if (eachToTell(USUAL, USUAL - points / 100, 0.05, 0.8) <= cells) return at(points);
  return texts.cellsOfEachArmTell2(cells);
}
