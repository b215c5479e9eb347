import { type Material } from '#core/material/material';

/** What stands on a shelf, as far as a choice of it goes. */
export interface OnShelf {
  material: Pick<Material, 'id' | 'role' | 'family'>;
  useUp?: boolean | undefined;
}

/**
 * Which of a full shelf a search looks at: what the open recipe has, then what is to be used up, then in turn one of each
 * role, of families that are not in it yet before more of the same.
 * @param inRecipe ids that are kept first
 * @param most how many a search takes at once
 */
export function whichSearched<T extends OnShelf>(
  shelf: readonly T[],
  inRecipe: ReadonlySet<string>,
  most: number,
): T[] {
  if (shelf.length <= most) return [...shelf];
  const urgency = ({ material, useUp }: T): number => (inRecipe.has(material.id) ? 0 : useUp ? 1 : 2);
  const left = shelf.filter((each) => urgency(each) === 2);
  const chosen = shelf
    .filter((each) => urgency(each) < 2)
    .sort((a, b) => urgency(a) - urgency(b))
    .slice(0, most);
  while (chosen.length < most) {
    const count = (of: 'role' | 'family', one: T): number =>
      chosen.filter((each) => each.material[of] === one.material[of]).length;
    // The scarcest role first, and in it the scarcest family; the shelf's own order for the rest.
    const next = left.reduce((best, one) => {
      const [a, b] = [best, one].map((each) => 100 * count('role', each) + count('family', each)) as [
        number,
        number,
      ];
      return b < a ? one : best;
    });
    chosen.push(next);
    left.splice(left.indexOf(next), 1);
  }
  // As they stand there.
  return shelf.filter((each) => chosen.includes(each));
}
