import { type AdviseAnswer, type AdviseRequest } from '#contract/advise';
import { type EvaluateRequest } from '#contract/evaluate';
import { adviseOn, type WayOut } from '#core/advise/advise';
import { verdictOf } from '#core/advise/findings';
import { type AskedBy } from '#core/advise/attempts';
import { materialFromRow } from '#core/material/material';
import { type Library, lookUp } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { type VesselKind } from '#core/vessel/tray';
import { defaultCompaction } from '#server/book/compute/resolve';
import { read } from '#words/read';
import { type Reader } from '#words/reader';

/** What the adviser is asked: a recipe by ids, and a library in which what was described by its figures has one. */
export interface AdviseJob {
  recipe: Recipe;
  library: Library;
  by: AskedBy;
  request: EvaluateRequest;
  reader: Reader;
}

/** Name of what was described in the request, by its place. */
const GIVEN = 'given';
const givenId = (i: number): string => `${GIVEN}-${i}`;

/** @throws OutOfRange for an unknown id */
export function resolveAdvise(
  { shelf, never, ...request }: AdviseRequest,
  library: Library,
  reader: Reader,
): AdviseJob {
  const { stage, vessel, compactionPct, components, amendments, limeToPh } = request;
  const kind: VesselKind = {
    ...{ id: GIVEN, name: GIVEN, noun: 'vessel', vessel, perTray: 1 },
    usualCompaction: defaultCompaction(vessel),
  };
  const materials = new Map(library.materials);
  const parts = components.map(({ material, properties, ...more }, i) => {
    if (properties) materials.set(givenId(i), { ...materialFromRow(properties), id: givenId(i) });
    else lookUp(library.materials, material ?? '', `components.${i}.material`);
    const { parts: n, screenedMm } = more;
    return {
      material: properties ? givenId(i) : material!,
      parts: n,
      ...(screenedMm !== undefined && { screenedMm }),
    };
  });
  (amendments ?? []).forEach((d, i) => lookUp(library.amendments, d.amendment, `amendments.${i}.amendment`));
  if (limeToPh) lookUp(library.amendments, limeToPh.amendment, 'limeToPh.amendment');
  const { windows: _, ...plain } = library;
  return {
    recipe: {
      ...{ stage, vessel: GIVEN, components: parts, job: { litres: 1 } },
      compactionPct: compactionPct ?? 100 * defaultCompaction(vessel),
      lime: limeToPh ?? null,
      amendments: amendments ?? [],
    },
    // Judged as it is evaluated: by the windows of its stage.
    library: { ...plain, materials, vessels: new Map([...library.vessels, [GIVEN, kind]]) },
    by: { shelf: shelf && new Set(shelf), ...(never && { never }) },
    ...{ request, reader },
  };
}

/** The answer of `/api/advise`. */
export function advise({ recipe, library, by, request, reader }: AdviseJob): AdviseAnswer {
  const { verdict, findings, care, mend } = adviseOn(recipe, library, by);
  const way = ({ says, edits, attempt }: WayOut): AdviseAnswer['findings'][number]['ways'][number] => ({
    text: read(says, reader),
    edits: edits.length,
    recipe: requestOf(attempt.recipe, request),
    verdict: verdictOf(attempt.judgement),
    readings: Object.fromEntries(attempt.judgement.readings.map(({ id, value }) => [id, value])),
  });
  return {
    verdict,
    findings: findings.map(({ subject, severity, codes, cause, adds, ways, would }) => ({
      ...{ subject, severity, codes: [...codes] },
      text: [cause, ...adds]
        .map(({ text }) => read(text, reader))
        .concat(would ? [read(would, reader)] : [])
        .join(' '),
      ways: ways.map(way),
    })),
    care: care.map(({ code }) => code),
    mend: mend && way(mend),
  };
}

/** A recipe as it may be sent to `/api/evaluate`. */
function requestOf(recipe: Recipe, { vessel, components }: EvaluateRequest): EvaluateRequest {
  const { stage, compactionPct, amendments, lime } = recipe;
  return {
    ...{ stage, vessel, compactionPct },
    components: recipe.components.map(({ material, ...part }) => {
      const at = components.findIndex((_, i) => givenId(i) === material);
      return at < 0 ? { material, ...part } : { properties: components[at]!.properties, ...part };
    }),
    amendments: amendments.map(({ amendment, gPerL }) => ({ amendment, gPerL })),
    ...(lime && { limeToPh: lime }),
  };
}
