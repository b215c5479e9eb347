import { evaluateMix } from '#core/mix/evaluate';
import { takesOf } from '#core/mix/takes';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';

/** What the season takes of a material (litres, loose) or a product (kilograms), before and after. */
export interface Follows {
  item: string;
  kind: 'material' | 'product';
  from: number;
  to: number;
}

/** Less than this share of what is taken is no change that anybody buys by. */
const SAME = 0.02;

/**
 * What the season takes otherwise once a mix that it still mixes becomes another recipe; what changes most first.
 * @param litres of finished mix still to be mixed
 * @throws OutOfRange where one of the recipes cannot be computed
 */
export function followsOf(before: Recipe, after: Recipe, litres: number, library: Library): Follows[] {
  const takes = (recipe: Recipe): Map<string, number> =>
    new Map(
      takesOf(evaluateMix(mixInputOf(recipe, library))).map((each) => [each.item, each.perLitre * litres]),
    );
  const [was, is] = [takes(before), takes(after)];
  return [...new Set([...was.keys(), ...is.keys()])]
    .map((item): Follows => {
      const kind = library.amendments.has(item) ? 'product' : 'material';
      return { ...{ item, kind }, from: was.get(item) ?? 0, to: is.get(item) ?? 0 };
    })
    .filter(({ from, to }) => Math.abs(to - from) > SAME * Math.max(from, to))
    .sort((a, b) => share(b) - share(a));
}

const share = ({ from, to }: Follows): number => Math.abs(to - from) / Math.max(from, to);
