import { type SingleFix } from '#core/recipe/fix';
import { type Recipe } from '#core/recipe/recipe';

/** One change of a recipe: parts, a material more, less or another, a screen, a dose, the lime, how firm it is filled. */
export type Edit = Extract<
  SingleFix,
  {
    kind:
      | ('parts' | 'dropMaterial' | 'swapMaterial' | 'screen' | 'dose' | 'dropAmendment')
      | ('limeToPh' | 'noLime' | 'firm');
  }
>;

/** What an edit touches: two that touch the same are never done together. */
export function slotsOf(edit: Edit): readonly string[] {
  switch (edit.kind) {
    case 'parts':
    case 'dropMaterial':
      return [`part ${edit.material}`];
    case 'swapMaterial':
      return [`part ${edit.from}`, `part ${edit.to}`, `screen ${edit.from}`];
    case 'screen':
      return [`screen ${edit.material}`];
    case 'dose':
    case 'dropAmendment':
      return [`dose ${edit.amendment}`];
    case 'limeToPh':
    case 'noLime':
      return ['lime'];
    case 'firm':
      return ['firm'];
  }
}

export const clash = (a: Edit, b: Edit): boolean => {
  const taken = slotsOf(a);
  return slotsOf(b).some((slot) => taken.includes(slot));
};

/** What a material that has to be bought costs beside one that is there, in the size of an edit. */
const TO_BUY = 1;
/** A handle turned, a number changed. */
const SMALL = 0.15;

/**
 * How large an edit is: the share of the parts that is moved, a small number for what is only set otherwise.
 * @param isHere whether it stands on the shelf
 */
export function sizeOf(edit: Edit, recipe: Recipe, isHere: (id: string) => boolean): number {
  const total = recipe.components.reduce((sum, c) => sum + c.parts, 0);
  const partsOf = (id: string): number => recipe.components.find((c) => c.material === id)?.parts ?? 0;
  const bought = (id: string): number => (isHere(id) ? 0 : TO_BUY);
  switch (edit.kind) {
    case 'parts': {
      const was = partsOf(edit.material);
      return Math.abs(edit.parts - was) / total + (was === 0 ? 2 * SMALL + bought(edit.material) : 0);
    }
    case 'dropMaterial':
      return partsOf(edit.material) / total + SMALL;
    case 'swapMaterial':
      return partsOf(edit.from) / total + SMALL + bought(edit.to);
    case 'dose': {
      const was = recipe.amendments.find((d) => d.amendment === edit.amendment);
      return was ? SMALL : 2 * SMALL + bought(edit.amendment);
    }
    case 'limeToPh':
      return recipe.lime && recipe.lime.amendment !== edit.amendment ? 2 * SMALL : SMALL;
    case 'dropAmendment':
      // Rather less of it than none.
      return 2 * SMALL;
    case 'noLime':
    case 'screen':
    case 'firm':
      return SMALL;
  }
}
