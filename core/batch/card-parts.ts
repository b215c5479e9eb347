import { type BatchSnapshot } from '#core/batch/snapshot';
import { inScoops, type Scooped } from '#core/units/scooped';

/** A material as it is fetched: before it goes over a screen, where it does. */
export interface CardPart {
  material: string;
  name: string;
  parts: number;
  /** Loose, of the heap or the bag. */
  litres: number;
  massKg: number;
  scoops: Scooped;
  /** Where it is screened: at which aperture, and what stays on. */
  screen: { mm: number; overLitres: number } | null;
}

/**
 * What to scoop for a batch that comes out whole: what stays on a screen is fetched as well.
 * @param scoopLitres of the measure in the hand
 */
export function cardParts(
  { sheet, materials, recipe, oversize }: Pick<BatchSnapshot, 'sheet' | 'materials' | 'recipe' | 'oversize'>,
  scoopLitres: number,
): CardPart[] {
  return sheet.components.map(({ material, looseLitres, massKg }, i): CardPart => {
    const { parts, screenedMm: mm } = recipe.components[i]!;
    const overLitres = oversize?.find((each) => each.material === material)?.litres ?? 0;
    const litres = looseLitres + overLitres;
    return {
      ...{ material, name: materials[i]!.name, parts, litres },
      massKg: (massKg * litres) / looseLitres,
      scoops: inScoops(litres, scoopLitres),
      screen: mm !== undefined && overLitres > 0 ? { mm, overLitres } : null,
    };
  });
}
