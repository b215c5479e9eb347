import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';

/** A change of the recipe that a remedy makes with one press. */
export type Fix =
  | { kind: 'limeToPh'; amendment: string; ph: number }
  | { kind: 'noLime' }
  | { kind: 'dropAmendment'; amendment: string }
  | { kind: 'dose'; amendment: string; gPerL: number }
  | { kind: 'swapMaterial'; from: string; to: string }
  | { kind: 'addPart'; material: string }
  | { kind: 'vessel'; vessel: string };

/** Two decimals are what a bench scale and a dose stepper can follow. */
const cents = (n: number): number => Math.round(n * 100) / 100;

/** The recipe with a remedy done. Another vessel is more than a change of the recipe: the job is counted anew. */
export function applyFix(recipe: Recipe, fix: Exclude<Fix, { kind: 'vessel' }>, library: Library): Recipe {
  const isLime = (id: string): boolean => {
    const product = library.amendments.get(id);
    return product?.kind === 'lime' && neutralisingMeqPerG(product) > 0;
  };
  switch (fix.kind) {
    case 'limeToPh':
      // Lime to a pH takes the place of every lime dosed by hand.
      return {
        ...recipe,
        lime: { amendment: fix.amendment, ph: cents(fix.ph) },
        amendments: recipe.amendments.filter((d) => !isLime(d.amendment)),
      };
    case 'noLime':
      return { ...recipe, lime: null, amendments: recipe.amendments.filter((d) => !isLime(d.amendment)) };
    case 'dropAmendment':
      return { ...recipe, amendments: recipe.amendments.filter((d) => d.amendment !== fix.amendment) };
    case 'dose': {
      const others = recipe.amendments.filter((d) => d.amendment !== fix.amendment);
      return { ...recipe, amendments: [...others, { amendment: fix.amendment, gPerL: cents(fix.gPerL) }] };
    }
    case 'swapMaterial': {
      const merged = new Map<string, number>();
      for (const c of recipe.components) {
        const id = c.material === fix.from ? fix.to : c.material;
        merged.set(id, (merged.get(id) ?? 0) + c.parts);
      }
      return { ...recipe, components: [...merged].map(([material, parts]) => ({ material, parts })) };
    }
    case 'addPart': {
      const there = recipe.components.some((c) => c.material === fix.material);
      return {
        ...recipe,
        components: there
          ? recipe.components.map((c) => (c.material === fix.material ? { ...c, parts: c.parts + 1 } : c))
          : [...recipe.components, { material: fix.material, parts: 1 }],
      };
    }
  }
}
