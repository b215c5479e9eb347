import { allow } from '#core/units/allowed';
import { type Material, type MaterialRow, materialFromRow } from '#core/material/material';
import { asMaterial } from '#core/mix/as-material';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { MG_PER_MEQ_N } from '#core/mix/salts';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** What stands on a bag of bought mix. */
export interface Bag {
  id: string;
  name: string;
  /** In the order of the bag: the most first. */
  ingredients: readonly Material[];
  /** Parts where the bag tells them, in the same order. */
  parts?: readonly number[] | undefined;
  ph?: number | undefined;
  /** Feed that is in it from the start: nitrogen, phosphorus and potassium, mg per litre. */
  nMgPerL?: number | undefined;
  pMgPerL?: number | undefined;
  kMgPerL?: number | undefined;
}

/** What is not printed stays wide: twice as wide as what a handbook says. Common practice, no source. */
const DOUBT_OF_BAG = 2;
/** What a bag without a word on it is limed to, and has as a charge. Common practice, no source. */
const USUAL_PH = 5.8;

/**
 * Shares that an order alone tells: where all shares that keep it are as likely as each other, the i-th of n is
 * (1/n) Σ_{j=i}^{n} 1/j on average (the broken stick; MacArthur, PNAS 43:293 (1957), from memory).
 * @param n 1–12
 * @example sharesByOrder(2) // [0.75, 0.25]
 */
export function sharesByOrder(n: number): number[] {
  checkRange('ingredients', n, ...limits.bagIngredients);
  return Array.from({ length: n }, (_, i) => {
    let sum = 0;
    for (let j = i + 1; j <= n; j++) sum += 1 / j;
    return sum / n;
  });
}

/**
 * A bought mix as a material, from what is printed on it.
 * @throws OutOfRange for no ingredients, parts that are not one for each, or figures out of range
 */
export function bagAsMaterial({ id, name, ingredients, parts, ph, ...feed }: Bag): MaterialRow {
  checkRange('ingredients', ingredients.length, ...limits.bagIngredients);
  if (parts && parts.length !== ingredients.length)
    throw new OutOfRange(
      'parts',
      parts.length,
      allow('allowed.things', { low: ingredients.length, high: ingredients.length, what: 'ingredients' }),
    );
  if (ph !== undefined) checkRange('ph', ph, ...limits.measuredPh);
  const shares = parts ?? sharesByOrder(ingredients.length);
  const components = ingredients.map((material, i) => ({ material, parts: shares[i]! * 100 }));
  const evaluation = evaluateMix({
    stage: 'seedling',
    vessel: { shape: 'round', topMm: 100, baseMm: 75, depthMm: 90, headspaceMm: 0 },
    ...{ compaction: 0, components, amendments: [] },
  });
  const row = asMaterial(evaluation, compose(components, 0), { id, name }, { weeks: 0, celsius: 20 });
  const { nMgPerL, pMgPerL, kMgPerL } = feed;
  for (const [what, value] of Object.entries(feed))
    if (value !== undefined) checkRange(what, value, ...limits.printedMgPerL);
  const charged = nMgPerL === undefined ? 0 : Math.max(0, nMgPerL - row.availableNMgPerL) / MG_PER_MEQ_N;
  const made: MaterialRow = {
    ...row,
    // Limed as it is sold: no free lime is left to act.
    ph: ph ?? Math.max(row.ph, USUAL_PH),
    carbonateMeqPerL: 0,
    saltsMeqPerL: row.saltsMeqPerL + charged,
    availableNMgPerL: nMgPerL ?? row.availableNMgPerL,
    availablePMgPerL: pMgPerL ?? row.availablePMgPerL,
    availableKMgPerL: kMgPerL ?? row.availableKMgPerL,
    doubt: DOUBT_OF_BAG,
    // Parts that are printed are as good as a recipe's; so is a printed pH.
    sure: {
      ...(parts && { density: 1, poreSize: 1, particle: 1 }),
      ...(ph !== undefined && { phUnits: 1 }),
      ...(nMgPerL !== undefined && { salts: 1 }),
    },
  };
  materialFromRow(made);
  return made;
}
