import { type Dampness } from '#core/batch/kit';
import { isCoir } from '#core/material/families';
import { type Material } from '#core/material/material';
import { type Library } from '#core/recipe/library';

/** Bone dry to the hand, and a pressed brick: water in the wet mass. Common practice, no source. */
const DRY_WB = 0.1;
const BRICK_WB = 0.15;
/** Damp and wet to the hand: so much of what it holds once drained. Common practice, no source. */
const OF_DRAINED = { damp: 0.45, wet: 0.75 };

/**
 * Water in the wet mass of a material as it comes, 0–1: what is dry holds no more than usual, what is damp or wet no less.
 * A brick is one of coir; of anything else it is what it usually is.
 */
export function moistureAs(material: Material, dampness: Dampness): number {
  const usual = material.moistureWetBasis;
  switch (dampness) {
    case 'usual':
      return usual;
    case 'dry':
      return Math.min(usual, DRY_WB);
    case 'bricks':
      return isCoir(material) ? Math.min(usual, BRICK_WB) : usual;
    case 'damp':
    case 'wet': {
      const waterGPerL = 1000 * OF_DRAINED[dampness] * material.waterAt10Cm;
      return Math.max(usual, waterGPerL / (waterGPerL + material.dryBulkDensityGPerL));
    }
  }
}

/** The library with the materials as they come. */
export function asItComes(library: Library, comes: Readonly<Record<string, Dampness>> = {}): Library {
  const materials = new Map(library.materials);
  for (const [id, dampness] of Object.entries(comes)) {
    const material = materials.get(id);
    if (material) materials.set(id, { ...material, moistureWetBasis: moistureAs(material, dampness) });
  }
  return { ...library, materials };
}
