import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Library, lookUp } from '#core/recipe/library';
import { vesselsOf, type Recipe, type RecipePart } from '#core/recipe/recipe';

/** A change of the recipe, as a rule proposes it. */
export type RuleFix =
  | { kind: 'limeToPh'; amendment: string; ph: number }
  | { kind: 'noLime' }
  | { kind: 'dropAmendment'; amendment: string }
  | { kind: 'dose'; amendment: string; gPerL: number }
  | { kind: 'swapMaterial'; from: string; to: string }
  /** One part where nothing is said. */
  | { kind: 'addPart'; material: string; parts?: number }
  | { kind: 'screen'; material: string; mm: number }
  | { kind: 'vessel'; vessel: string };

/** Any single change of a recipe. */
export type SingleFix =
  | RuleFix
  /** Of one material, new or there already, so many parts. */
  | { kind: 'parts'; material: string; parts: number }
  | { kind: 'dropMaterial'; material: string }
  | { kind: 'firm'; pct: number };

/** What a remedy does with one press: one change, or several one after the other. */
export type Fix = SingleFix | { kind: 'all'; fixes: readonly SingleFix[] };

/** Two decimals are what a bench scale and a dose stepper can follow. */
const cents = (n: number): number => Math.round(n * 100) / 100;

/** The recipe with a remedy done. */
export function applyFix(recipe: Recipe, fix: Fix, library: Library): Recipe {
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
      const was = recipe.amendments.find((d) => d.amendment === fix.amendment);
      const others = recipe.amendments.filter((d) => d !== was);
      return {
        ...recipe,
        amendments: [...others, { ...was, amendment: fix.amendment, gPerL: cents(fix.gPerL) }],
      };
    }
    case 'swapMaterial': {
      const merged = new Map<string, RecipePart>();
      for (const c of recipe.components) {
        const { screenedMm: _, ...changed } = { ...c, material: fix.to };
        const each = c.material === fix.from ? changed : c;
        const present = merged.get(each.material);
        merged.set(each.material, present ? { ...present, parts: present.parts + each.parts } : each);
      }
      return { ...recipe, components: [...merged.values()] };
    }
    case 'addPart': {
      const { material, parts = 1 } = fix;
      const present = recipe.components.some((c) => c.material === material);
      return {
        ...recipe,
        components: present
          ? recipe.components.map((c) => (c.material === material ? { ...c, parts: c.parts + parts } : c))
          : [...recipe.components, { material, parts }],
      };
    }
    case 'parts': {
      const { material, parts } = fix;
      const present = recipe.components.some((c) => c.material === material);
      return {
        ...recipe,
        components: present
          ? recipe.components.map((c) => (c.material === material ? { ...c, parts } : c))
          : [...recipe.components, { material, parts }],
      };
    }
    case 'dropMaterial':
      return { ...recipe, components: recipe.components.filter((c) => c.material !== fix.material) };
    case 'firm':
      return { ...recipe, compactionPct: fix.pct };
    case 'screen':
      return {
        ...recipe,
        components: recipe.components.map((c) =>
          c.material === fix.material ? { ...c, screenedMm: fix.mm } : c,
        ),
      };
    case 'vessel':
      return intoVessel(recipe, fix.vessel, library);
    case 'all':
      return fix.fixes.reduce<Recipe>((changed, singleFix) => applyFix(changed, singleFix, library), recipe);
  }
}

/**
 * The recipe in another vessel, firmed as that usually is. What was counted stays: thirty blocks become thirty pots,
 * twenty trays of one kind twenty of another, and the cells of two trays as many pots.
 */
export function intoVessel(recipe: Recipe, id: string, library: Pick<Library, 'vessels'>): Recipe {
  const kind = lookUp(library.vessels, id, 'vessel');
  const was = lookUp(library.vessels, recipe.vessel, 'vessel');
  const { job } = recipe;
  const changed = { ...recipe, vessel: id, compactionPct: kind.usualCompaction * 100 };
  if (!('trays' in job) || was.perTray > 1 === kind.perTray > 1) return changed;
  const { trays: _, ...counted } = job;
  const single = vesselsOf(job, was);
  return {
    ...changed,
    job: kind.perTray > 1 ? { ...counted, vessels: single } : { ...counted, trays: single },
  };
}
