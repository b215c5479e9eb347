import { type KnownHere, type Recipe } from '#core/recipe/recipe';

/** A recipe for others: what works here says nothing of their place. */
export function withoutKnown<R extends { known?: unknown }>({ known: _, ...recipe }: R): Omit<R, 'known'> {
  return recipe;
}

/** The recipe with a rule quieted, or heard again where `why` is null. */
export function withKnown(
  recipe: Recipe,
  { code, ...what }: KnownHere | { code: string; why: null },
): Recipe {
  const others = (recipe.known ?? []).filter((k) => k.code !== code);
  const known = 'on' in what ? [...others, { code, ...what }] : others;
  return known.length > 0 ? { ...withoutKnown(recipe), known } : withoutKnown(recipe);
}

/** What a change leaves of it: it was said of that job, and of these materials. */
export function withKnownStill(before: Recipe, after: Recipe): Recipe {
  const { known } = after;
  if (!known || known !== before.known) return after;
  const about = ({ stage, vessel, crops, components }: Recipe): string =>
    JSON.stringify([stage, vessel, crops, components.map((c) => c.material).sort()]);
  return about(before) === about(after) ? after : withoutKnown(after);
}
