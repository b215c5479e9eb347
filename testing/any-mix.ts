import fc from 'fast-check';
import { judgeMix } from '#core/judge/judge';
import { stages } from '#core/mix/stage';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { type VesselKind } from '#core/vessel/tray';
import { amendments, library, materials } from '#testing/library';

/** Any recipe of the library that can be computed, wild ones among them. @param most materials, parts of each, doses */
export const anyMix = (most: {
  kinds: readonly VesselKind[];
  materials: number;
  parts: number;
  doses: number;
}): fc.Arbitrary<Recipe> =>
  fc
    .record({
      stage: fc.constantFrom(...stages),
      vessel: fc.constantFrom(...most.kinds.map((kind) => kind.id)),
      parts: fc.uniqueArray(
        fc.tuple(fc.constantFrom(...materials.map((m) => m.id)), fc.integer({ min: 1, max: most.parts })),
        { selector: ([id]) => id, minLength: 1, maxLength: most.materials },
      ),
      doses: fc.uniqueArray(
        fc.tuple(
          fc.constantFrom(...amendments.map((a) => a.id)),
          fc.double({ min: 0.05, max: 9, noNaN: true }),
        ),
        { selector: ([id]) => id, maxLength: most.doses },
      ),
      ph: fc.option(fc.double({ min: 4.5, max: 7.5, noNaN: true }), { nil: undefined }),
      firmPct: fc.constantFrom(0, 0, 10, 25),
    })
    .map(({ stage, vessel, parts, doses, ph, firmPct }) =>
      sketch(stage, vessel, Object.fromEntries(parts), {
        doses: Object.fromEntries(doses),
        firmPct,
        ...(ph !== undefined && { ph }),
      }),
    )
    .filter((recipe) => {
      try {
        judgeMix(mixInputOf(recipe, library));
        return true;
      } catch {
        return false;
      }
    });
