import { cropDefaults } from '#core/recipe/windows-wanted';
import { type KeptMix, mixOf } from '#core/season/needs';
import { type SeasonSowing } from '#core/season/season';
import { seasonSay } from '#core/season/season-facts';
import { named } from '#core/units/message';
import { type SeasonSays } from '#core/season/season-says';

const SOUR = cropDefaults['acid-lovers'].ph!;

/**
 * What a plant that wants it sour is to be told of the mixes of its steps: once to a line.
 */
export function sourSays(
  sowings: readonly SeasonSowing[],
  kept: ReadonlyMap<number, KeptMix>,
  way: string | null,
): SeasonSays[] {
  const result = new Set<number>();
  return sowings.flatMap(({ line, crop, sowing, steps }): SeasonSays[] => {
    if (!crop.acid || result.has(line.id)) return [];
    const limed = steps
      .map(({ step }) => mixOf(step, kept, way))
      .find(({ recipe: { lime } }) => lime !== null && lime.ph > SOUR.high);
    if (!limed) return [];
    result.add(line.id);
    return [
      {
        ...{ code: 'wants-sour', severity: 'warn', line: line.id, sowing },
        text: seasonSay('season.wants-acid', {
          crop: named(crop),
          ...SOUR,
          mix: limed.name,
          limedTo: limed.recipe.lime!.ph,
        }),
      },
    ];
  });
}
