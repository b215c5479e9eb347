import { type Fix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { fixWords as texts } from '#words/en/places/ui/words/fix-words';
import { type Formats } from '#words/formats';

/** What a press will do, in a few words. */
export function fixWords(fix: Fix, library: Library, formats: Formats): string {
  const named = (from: ReadonlyMap<string, { id: string; name: string }>, id: string): string =>
    formats.name(from.get(id) ?? { id, name: id });
  const material = (id: string): string => named(library.materials, id);
  const product = (id: string): string => named(library.amendments, id);
  switch (fix.kind) {
    case 'limeToPh':
      return texts.limeTo(product(fix.amendment), formats.ph(fix.ph));
    case 'noLime':
      return texts.noLime;
    case 'dropAmendment':
      return texts.without(product(fix.amendment));
    case 'dose':
      return texts.doseOf(formats.dose(fix.gPerL), product(fix.amendment));
    case 'swapMaterial':
      return texts.inPlaceOf(material(fix.to), material(fix.from));
    case 'addPart': {
      const parts = fix.parts ?? 1;
      return (parts === 1 ? texts.morePart : texts.moreParts)(parts, material(fix.material));
    }
    case 'screen':
      return texts.screenedAt(material(fix.material), formats.length(fix.mm));
    case 'vessel':
      return texts.into(
        formats.title(library.vessels.get(fix.vessel) ?? { id: fix.vessel, name: fix.vessel }),
      );
    case 'all':
      return fix.fixes.map((singleFix) => fixWords(singleFix, library, formats)).join(', ');
  }
}
