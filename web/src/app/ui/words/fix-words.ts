import { type Fix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { said, type Said } from '#core/units/said';
import { shortName } from './words';

/** What a press will do, in a few words. */
export function fixWords(fix: Fix, library: Library): Said {
  const named = (from: ReadonlyMap<string, { name: string }>, id: string): string =>
    shortName(from.get(id)?.name ?? id).toLowerCase();
  const material = (id: string): string => named(library.materials, id);
  const product = (id: string): string => named(library.amendments, id);
  switch (fix.kind) {
    case 'limeToPh':
      return said`${product(fix.amendment)} to pH ${fix.ph.toFixed(1)}`;
    case 'noLime':
      return said`no lime`;
    case 'dropAmendment':
      return said`without ${product(fix.amendment)}`;
    case 'dose':
      return said`${{ doseGPerL: fix.gPerL }} of ${product(fix.amendment)}`;
    case 'swapMaterial':
      return said`${material(fix.to)} in place of ${material(fix.from)}`;
    case 'addPart': {
      const parts = fix.parts ?? 1;
      return said`${parts} ${parts === 1 ? 'part' : 'parts'} more of ${material(fix.material)}`;
    }
    case 'screen':
      return said`${material(fix.material)} screened at ${{ lengthMm: fix.mm }}`;
    case 'vessel':
      return said`into the ${library.vessels.get(fix.vessel)?.name ?? fix.vessel}`;
    case 'all':
      return fix.fixes.flatMap((one, i) => [...(i > 0 ? [', '] : []), ...fixWords(one, library)]);
  }
}
