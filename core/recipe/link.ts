import { stages } from '#core/mix/stage';
import { type Library } from '#core/recipe/library';
import { type LinkFacts, LinkPieces } from '#core/recipe/link-pieces';
import { testsOf, testsToText } from '#core/recipe/link-tests';
import { type Recipe, withTests } from '#core/recipe/recipe';
import { type CropGroup, cropGroups } from '#core/recipe/windows-wanted';
import { limits } from '#core/units/limits';
import { type MessageOf } from '#core/units/message';

/** Query parameters of a recipe link, readable by people: `parts=peat-fine:5,perlite-fine:2&lime=lime-dolomitic:5.8`. */
export type LinkParams = Record<
  | 'stage'
  | 'into'
  | 'firm'
  | 'parts'
  | 'lime'
  | 'dose'
  | 'make'
  | 'spare'
  | 'also'
  | 'fill'
  | 'seed'
  | 'for'
  | 'tests',
  string | null
>;

const pair = (id: string, n: number): string => `${id}:${n}`;

export function recipeToLink(recipe: Recipe): LinkParams {
  const { job } = recipe;
  return {
    stage: recipe.stage,
    into: recipe.vessel,
    firm: String(recipe.compactionPct),
    parts: recipe.components
      .map((c) => pair(c.material, c.parts) + (c.screenedMm === undefined ? '' : `:${c.screenedMm}`))
      .join(','),
    lime: recipe.lime ? pair(recipe.lime.amendment, recipe.lime.ph) : 'none',
    dose:
      recipe.amendments
        .map((d) => pair(d.amendment, d.gPerL) + (d.layerPct === undefined ? '' : `:${d.layerPct}`))
        .join(',') || null,
    make: 'litres' in job ? `${job.litres}L` : 'trays' in job ? String(job.trays) : `${job.vessels}x`,
    spare: 'litres' in job ? null : String(job.sparePct),
    also:
      'litres' in job
        ? null
        : (job.also ?? [])
            .map((alsoFilled) => `${alsoFilled.vessel}:${alsoFilled.count}:${alsoFilled.eachL}`)
            .join(',') || null,
    fill: recipe.fillPct === undefined ? null : String(recipe.fillPct),
    seed: recipe.tinySeed ? 'tiny' : null,
    for: recipe.crops ?? null,
    tests: recipe.measured ? testsToText(recipe.measured) : null,
  };
}

/** What a link said, as far as it can be used, and what could not be: each once. */
export interface LinkReading {
  recipe: Recipe;
  problems: readonly MessageOf<LinkFacts>[];
}

/**
 * Reads a link. A part that makes no sense is told and left at what `fallback` has; nothing is guessed in silence.
 */
export function recipeFromLink(
  get: (name: string) => string | null,
  library: Library,
  fallback: Recipe,
): LinkReading {
  const pieces = new LinkPieces(get);
  const crops =
    get('for') === null ? undefined : pieces.among<CropGroup | ''>('for', cropGroups, '') || undefined;
  const fillPct = pieces.optional('fill', limits.fillPct);
  const seed = pieces.among<'tiny' | ''>('seed', ['tiny'], '');
  const vessel = pieces.among('into', [...library.vessels.keys()], fallback.vessel);
  const parts = pieces.pairs('parts', library.materials, limits.parts).slice(0, limits.materialsInMix[1]);
  /** Third piece of a part: the aperture of its screen. */
  const apertures = pieces.thirds('parts', 'screen', limits.screenedMm);
  const limeGiven = get('lime');
  const lime =
    limeGiven === 'none' ? undefined : pieces.pairs('lime', library.amendments, limits.limeToPh)[0];
  const layers = pieces.thirds('dose', 'layer', limits.layerPct);
  const recipe: Recipe = {
    stage: pieces.among('stage', stages, fallback.stage),
    vessel,
    compactionPct: pieces.optional('firm', limits.compactionPct) ?? usualCompactionPct(vessel, library),
    components: parts.length
      ? parts.map(([material, n]) => {
          const screenedMm = apertures.get(material);
          return { material, parts: n, ...(screenedMm !== undefined && { screenedMm }) };
        })
      : fallback.components,
    lime: limeGiven === null ? fallback.lime : lime ? { amendment: lime[0], ph: lime[1] } : null,
    amendments: pieces.pairs('dose', library.amendments, limits.doseGPerL).map(([amendment, gPerL]) => {
      const layerPct = layers.get(amendment);
      return { amendment, gPerL, ...(layerPct !== undefined && { layerPct }) };
    }),
    job: jobOf(pieces, library) ?? fallback.job,
    ...(crops && { crops }),
    ...(fillPct !== null && { fillPct }),
    ...(seed && { tinySeed: true }),
  };
  return { recipe: withTests(recipe, testsOf(pieces)), problems: pieces.problems };
}

/** How much of it: `40L`, `15` trays or `30x` vessels; null where nothing is said that can be used. */
function jobOf(pieces: LinkPieces, library: Library): Recipe['job'] | null {
  const make = pieces.get('make');
  if (make === null) return null;
  if (make.endsWith('L')) {
    const litres = pieces.number('make', make.slice(0, -1), limits.jobLitres);
    return litres === null ? null : { litres };
  }
  const single = make.endsWith('x');
  const count = single
    ? pieces.number('make', make.slice(0, -1), limits.vessels)
    : pieces.number('make', make, limits.trays);
  const sparePct = pieces.optional('spare', limits.sparePct) ?? 0;
  const each = pieces.thirds('also', 'litres', limits.vesselLitres);
  const also = pieces.pairs('also', library.vessels, limits.vessels).flatMap(([id, n]) => {
    const eachL = each.get(id);
    return eachL === undefined ? [] : [{ vessel: id, count: Math.round(n), eachL }];
  });
  if (count === null) return null;
  const counted = { sparePct, ...(also.length > 0 && { also }) };
  return single ? { vessels: Math.round(count), ...counted } : { trays: Math.round(count), ...counted };
}

const usualCompactionPct = (vessel: string, library: Library): number =>
  100 * (library.vessels.get(vessel)?.usualCompaction ?? 0);
