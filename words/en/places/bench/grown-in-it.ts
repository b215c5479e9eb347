import { type Filling, line, many, place } from '#words/place';

export const grownInIt = place('bench/grown-in-it', {
  says: (crop: Filling, pct: Filling, trays: number, struck: boolean) =>
    line`${crop}: ${pct}\u00a0% of ${trays} ${many(trays, 'tray', 'trays')} ${struck ? 'rooted' : 'came up'} in it`,
});
