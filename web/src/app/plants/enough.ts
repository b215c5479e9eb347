import { eachToTell } from '#core/stats/compare';

/** Where most of what is sown comes up. */
const USUAL = 0.85;

/** What so many cells of each arm can tell, in words: the smallest fall from 85 % with four chances in five. */
export function enough(cells: number): string {
  for (let points = 1; points <= 80; points++)
    if (eachToTell(USUAL, USUAL - points / 100, 0.05, 0.8) <= cells)
      return `${cells} cells of each arm tell a fall from 85 to ${85 - points} % four times in five.`;
  return `${cells} cells of each arm tell next to nothing: more cells, or more blocks.`;
}
