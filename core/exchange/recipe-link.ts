import { stages } from '#core/judge/stage';
import { type Library, type Recipe } from '#core/mix/recipe';
import { vesselKinds } from '#core/reference/vessels';

/** Query parameters of a recipe link, readable by people: `parts=peat-fine:5,perlite-fine:2&lime=lime-dolomitic:5.8`. */
export type LinkParams = Record<
  'stage' | 'into' | 'firm' | 'parts' | 'lime' | 'dose' | 'make' | 'spare',
  string | null
>;

const pair = (id: string, n: number): string => `${id}:${n}`;

export function recipeToLink(recipe: Recipe): LinkParams {
  const { job } = recipe;
  return {
    stage: recipe.stage,
    into: recipe.vessel,
    firm: String(recipe.compactionPct),
    parts: recipe.components.map((c) => pair(c.material, c.parts)).join(','),
    lime: recipe.lime ? pair(recipe.lime.amendment, recipe.lime.ph) : 'none',
    dose: recipe.amendments.map((d) => pair(d.amendment, d.gPerL)).join(',') || null,
    make: 'trays' in job ? String(job.trays) : `${job.litres}L`,
    spare: 'trays' in job ? String(job.sparePct) : null,
  };
}

/** What a link said, as far as it can be used, and what could not be, in words. */
export interface LinkReading {
  recipe: Recipe;
  problems: string[];
}

/**
 * Reads a link. A part that makes no sense is told and left at what `fallback` has; nothing is guessed in silence.
 */
export function recipeFromLink(
  get: (name: string) => string | null,
  library: Library,
  fallback: Recipe,
): LinkReading {
  const problems: string[] = [];
  const number = (name: string, given: string, low: number, high: number): number | null => {
    const value = Number(given);
    if (given.trim() !== '' && Number.isFinite(value) && value >= low && value <= high) return value;
    problems.push(`${name} must be a number from ${low} to ${high}, the link says “${given}”`);
    return null;
  };
  const known = <T extends string>(name: string, all: readonly T[], otherwise: T): T => {
    const given = get(name);
    if (given === null) return otherwise;
    const found = all.find((one) => one === given);
    if (!found) problems.push(`${name}: there is no “${given}”`);
    return found ?? otherwise;
  };
  const pairs = (
    name: string,
    ids: ReadonlyMap<string, unknown>,
    low: number,
    high: number,
  ): [string, number][] =>
    (get(name) ?? '')
      .split(',')
      .filter((piece) => piece.trim() !== '')
      .flatMap((piece): [string, number][] => {
        const [id = '', amount = ''] = piece.split(':');
        if (!ids.has(id)) {
          problems.push(`${name}: there is no “${id}” on the shelf`);
          return [];
        }
        const value = number(`${name} of ${id}`, amount, low, high);
        return value === null ? [] : [[id, value]];
      });

  const vessel = known(
    'into',
    vesselKinds.map((v) => v.id),
    fallback.vessel,
  );
  const parts = pairs('parts', library.materials, 0.01, 1000).slice(0, 30);
  const limeGiven = get('lime');
  const lime = limeGiven === 'none' ? undefined : pairs('lime', library.amendments, 3.5, 8)[0];
  const make = get('make');
  const recipe: Recipe = {
    stage: known('stage', stages, fallback.stage),
    vessel,
    compactionPct: optional(get('firm'), (v) => number('firm', v, 0, 50)) ?? usual(vessel),
    components: parts.length ? parts.map(([material, n]) => ({ material, parts: n })) : fallback.components,
    lime: limeGiven === null ? fallback.lime : lime ? { amendment: lime[0], ph: lime[1] } : null,
    amendments: pairs('dose', library.amendments, 0, 1000).map(([amendment, gPerL]) => ({
      amendment,
      gPerL,
    })),
    job: fallback.job,
  };
  if (make?.endsWith('L')) {
    const litres = number('make', make.slice(0, -1), 0.01, 100_000);
    if (litres !== null) recipe.job = { litres };
  } else if (make !== null) {
    const trays = number('make', make, 1, 100_000);
    const sparePct = optional(get('spare'), (v) => number('spare', v, 0, 200)) ?? 0;
    if (trays !== null) recipe.job = { trays: Math.round(trays), sparePct };
  }
  return { recipe, problems };
}

const usual = (vessel: string): number =>
  100 * (vesselKinds.find((v) => v.id === vessel)?.usualCompaction ?? 0);
const optional = <T>(given: string | null, read: (given: string) => T): T | null =>
  given === null ? null : read(given);
