import { type MessageOf, messages } from '#core/units/message';
import { limits, type Range } from '#core/units/limits';
import { stages } from '#core/mix/stage';
import { type Library } from '#core/recipe/library';
import { type CropGroup, cropGroups } from '#core/recipe/windows-wanted';
import { type MeasuredByHand, type Recipe, withTests } from '#core/recipe/recipe';

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
        : (job.also ?? []).map((one) => `${one.vessel}:${one.count}:${one.eachL}`).join(',') || null,
    fill: recipe.fillPct === undefined ? null : String(recipe.fillPct),
    seed: recipe.tinySeed ? 'tiny' : null,
    for: recipe.crops ?? null,
    tests: recipe.measured ? testsToText(recipe.measured) : null,
  };
}

/** Names of the tests in a link, with their ranges. The jar test is two numbers that go together. */
const testNames = {
  shrink: limits.measuredShrinkagePct,
  air: limits.measuredAirPct,
  ph: limits.measuredPh,
  ec: limits.measuredEcMSPerCm,
  buffer: limits.jarBufferMeqPerLPerPh,
  sour: limits.jarPhBeforeLime,
} as const;

function testsToText({ shrinkagePct, airPct, ph, ecSaturatedMSPerCm, jar }: MeasuredByHand): string {
  const all: Record<keyof typeof testNames, number | undefined> = {
    shrink: shrinkagePct,
    air: airPct,
    ph,
    ec: ecSaturatedMSPerCm,
    buffer: jar?.bufferMeqPerLPerPh,
    sour: jar?.phBeforeLime,
  };
  return Object.entries(all)
    .filter((entry): entry is [string, number] => entry[1] !== undefined)
    .map(([name, value]) => pair(name, value))
    .join(',');
}

/** What a piece of a link is about. */
export type LinkPart =
  | ('stage' | 'for' | 'into' | 'parts' | 'screen' | 'lime' | 'dose' | 'layer' | 'fill' | 'seed')
  | ('firm' | 'make' | 'spare' | 'also' | 'litres' | 'tests');

/** What in a link makes no sense: a name that nothing has, or a number outside its range. */
export interface LinkFacts {
  'link.unknown': { part: LinkPart; given: string };
  'link.number': { part: LinkPart; of: string | null; given: string; low: number; high: number };
}
const say = messages<LinkFacts>();

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
  const problems = new Map<string, MessageOf<LinkFacts>>();
  const problem = (one: MessageOf<LinkFacts>): void => {
    const { part, given } = one.with;
    problems.set(`${part} ${'of' in one.with ? one.with.of : ''} ${given}`, one);
  };
  const number = (
    part: LinkPart,
    given: string,
    [low, high]: Range,
    of: string | null = null,
  ): number | null => {
    const value = Number(given);
    if (given.trim() !== '' && Number.isFinite(value) && value >= low && value <= high) return value;
    problem(say('link.number', { part, of, given, low, high }));
    return null;
  };
  const known = <T extends string>(name: LinkPart, all: readonly T[], otherwise: T): T => {
    const given = get(name);
    if (given === null) return otherwise;
    const found = all.find((one) => one === given);
    if (!found) problem(say('link.unknown', { part: name, given }));
    return found ?? otherwise;
  };
  const pairs = (name: LinkPart, ids: ReadonlyMap<string, unknown>, range: Range): [string, number][] =>
    (get(name) ?? '')
      .split(',')
      .filter((piece) => piece.trim() !== '')
      .flatMap((piece): [string, number][] => {
        const [id = '', amount = ''] = piece.split(':');
        if (!ids.has(id)) {
          problem(say('link.unknown', { part: name, given: id }));
          return [];
        }
        const value = number(name, amount, range, id);
        return value === null ? [] : [[id, value]];
      });

  /** Third pieces of a list, by the id before them. */
  const thirds = (name: LinkPart, what: LinkPart, range: Range): ReadonlyMap<string, number> =>
    new Map(
      (get(name) ?? '').split(',').flatMap((piece): [string, number][] => {
        const [id = '', , third] = piece.split(':');
        const value = third === undefined ? null : number(what, third, range, id);
        return value === null ? [] : [[id, value]];
      }),
    );

  const crops = get('for') === null ? undefined : known<CropGroup | ''>('for', cropGroups, '') || undefined;
  const fillPct = optional(get('fill'), (v) => number('fill', v, limits.fillPct));
  const seed = known<'tiny' | ''>('seed', ['tiny'], '');
  const vessel = known('into', [...library.vessels.keys()], fallback.vessel);
  const parts = pairs('parts', library.materials, limits.parts).slice(0, limits.materialsInMix[1]);
  /** Third piece of a part: the aperture of its screen. */
  const apertures = thirds('parts', 'screen', limits.screenedMm);
  const limeGiven = get('lime');
  const lime = limeGiven === 'none' ? undefined : pairs('lime', library.amendments, limits.limeToPh)[0];
  const make = get('make');
  const recipe: Recipe = {
    stage: known('stage', stages, fallback.stage),
    vessel,
    compactionPct:
      optional(get('firm'), (v) => number('firm', v, limits.compactionPct)) ??
      usualCompactionPct(vessel, library),
    components: parts.length
      ? parts.map(([material, n]) => {
          const screenedMm = apertures.get(material);
          return { material, parts: n, ...(screenedMm !== undefined && { screenedMm }) };
        })
      : fallback.components,
    lime: limeGiven === null ? fallback.lime : lime ? { amendment: lime[0], ph: lime[1] } : null,
    amendments: pairs('dose', library.amendments, limits.doseGPerL).map(([amendment, gPerL]) => {
      const layerPct = thirds('dose', 'layer', limits.layerPct).get(amendment);
      return { amendment, gPerL, ...(layerPct !== undefined && { layerPct }) };
    }),
    job: fallback.job,
    ...(crops && { crops }),
    ...(fillPct !== null && { fillPct }),
    ...(seed && { tinySeed: true }),
  };
  if (make?.endsWith('L')) {
    const litres = number('make', make.slice(0, -1), limits.jobLitres);
    if (litres !== null) recipe.job = { litres };
  } else if (make !== null) {
    const single = make.endsWith('x');
    const count = single
      ? number('make', make.slice(0, -1), limits.vessels)
      : number('make', make, limits.trays);
    const sparePct = optional(get('spare'), (v) => number('spare', v, limits.sparePct)) ?? 0;
    const each = thirds('also', 'litres', limits.vesselLitres);
    const also = pairs('also', library.vessels, limits.vessels).flatMap(([id, n]) => {
      const eachL = each.get(id);
      return eachL === undefined ? [] : [{ vessel: id, count: Math.round(n), eachL }];
    });
    const counted = { sparePct, ...(also.length > 0 && { also }) };
    if (count !== null)
      recipe.job = single
        ? { vessels: Math.round(count), ...counted }
        : { trays: Math.round(count), ...counted };
  }
  const tests = new Map<string, number>();
  for (const piece of (get('tests') ?? '').split(',').filter(Boolean)) {
    const [name = '', amount = ''] = piece.split(':');
    if (!Object.hasOwn(testNames, name)) {
      problem(say('link.unknown', { part: 'tests', given: name }));
      continue;
    }
    const value = number('tests', amount, testNames[name as keyof typeof testNames], name);
    if (value !== null) tests.set(name, value);
  }
  return { recipe: withTests(recipe, measuredFrom(tests)), problems: [...problems.values()] };
}

function measuredFrom(tests: ReadonlyMap<string, number>): MeasuredByHand {
  const [shrinkagePct, airPct, ph, ecSaturatedMSPerCm, buffer, sour] = Object.keys(testNames).map((name) =>
    tests.get(name),
  );
  return {
    ...(shrinkagePct !== undefined && { shrinkagePct }),
    ...(airPct !== undefined && { airPct }),
    ...(ph !== undefined && { ph }),
    ...(ecSaturatedMSPerCm !== undefined && { ecSaturatedMSPerCm }),
    ...(buffer !== undefined &&
      sour !== undefined && { jar: { bufferMeqPerLPerPh: buffer, phBeforeLime: sour } }),
  };
}

const usualCompactionPct = (vessel: string, library: Library): number =>
  100 * (library.vessels.get(vessel)?.usualCompaction ?? 0);
const optional = <T>(given: string | null, read: (given: string) => T): T | null =>
  given === null ? null : read(given);
