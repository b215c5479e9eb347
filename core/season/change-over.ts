import { differences, type Difference } from '#core/finder/compare';
import { judgeRecipe, type Judgement } from '#core/judge/judge';
import { evaluateMix } from '#core/mix/evaluate';
import { takesOf } from '#core/mix/takes';
import { applyFix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { type MixingDay } from '#core/season/mixing';
import { type NamedMix } from '#core/season/needs';

/** A mix of the season that goes over from one material to another. */
export interface ChangeOver {
  mix: NamedMix;
  /** The first mixing day for which the old material no longer lasts, YYYY-MM-DD. */
  from: string;
  /** Finished mix made with the old one until then, and with the other from then on, L. */
  beforeL: number;
  afterL: number;
  /** The recipe with the other material in its place, part for part. */
  recipe: Recipe;
  /** What changes, and how it is judged then. */
  changes: Difference[];
  judgement: Judgement;
}

/**
 * The change over from one material to another as its stock runs down over a season: mixing day by mixing day the old one is
 * used while it lasts for the whole day, and each mix goes over when it does not. Only smaller days may still take what is
 * left, so that nothing is thrown away.
 * @param left of the old material, L
 * @returns the mixes that go over, soonest first
 */
export function changeOver(
  days: readonly MixingDay[],
  mixes: ReadonlyMap<string, NamedMix>,
  [from, to]: readonly [from: string, to: string],
  left: number,
  library: Library,
): ChangeOver[] {
  const perLitre = new Map(
    [...mixes].map(([key, { recipe }]) => {
      const takes = takesOf(evaluateMix(mixInputOf(recipe, library)));
      return [key, takes.find(({ item }) => item === from)?.perLitre ?? 0];
    }),
  );
  let rest = left;
  const over = new Map<string, { from: string; beforeL: number; afterL: number }>();
  const before = new Map<string, number>();
  for (const { mix, on, litres } of [...days].sort((a, b) => (a.on < b.on ? -1 : 1))) {
    const takes = (perLitre.get(mix) ?? 0) * litres;
    if (takes === 0) continue;
    const gone = over.get(mix);
    if (gone) gone.afterL += litres;
    else if (takes <= rest + 1e-9) {
      rest -= takes;
      before.set(mix, (before.get(mix) ?? 0) + litres);
    } else over.set(mix, { from: on, beforeL: before.get(mix) ?? 0, afterL: litres });
  }
  return [...over].map(([key, sums]) => {
    const mix = mixes.get(key)!;
    const recipe = applyFix(mix.recipe, { kind: 'swapMaterial', from, to }, library);
    const judgement = judgeRecipe(recipe, library);
    return {
      ...{ mix, ...sums, recipe, judgement },
      changes: differences(judgeRecipe(mix.recipe, library).readings, judgement.readings),
    };
  });
}
