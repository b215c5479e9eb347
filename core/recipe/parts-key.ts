import { type Recipe } from '#core/recipe/recipe';

/** Parts and doses that differ by less are the same: nobody scoops or weighs so closely. */
const SHARES = 1e5;
const DOSES = 1e3;

/**
 * What a mix is made of, whatever is asked of it: two recipes have the same key exactly where shares, screens, doses and
 * lime are the same, so that 4:2 is 2:1, in any order, in any vessel and amount.
 */
export function partsKey({
  components,
  lime,
  amendments,
}: Pick<Recipe, 'components' | 'lime' | 'amendments'>): string {
  const total = components.reduce((sum, { parts }) => sum + parts, 0);
  const shares = new Map<string, number>();
  for (const { material, parts, screenedMm } of components) {
    const what = JSON.stringify([material, screenedMm ?? null]);
    shares.set(what, (shares.get(what) ?? 0) + parts / total);
  }
  return JSON.stringify([
    [...shares].map(([what, share]) => [what, Math.round(share * SHARES)]).sort(),
    lime && [lime.amendment, Math.round(lime.ph * DOSES)],
    amendments
      .filter(({ gPerL }) => gPerL > 0)
      .map(({ amendment, gPerL, layerPct }) => [amendment, Math.round(gPerL * DOSES), layerPct ?? null])
      .sort(),
  ]);
}
