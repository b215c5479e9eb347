import { type Moisture, usualMoisture } from '#core/mix/moisture';
import { type BatchSheetRequest, type EvaluateRequest } from '#contract/evaluate';
import { type FormulateRequest } from '#contract/formulate';
import { starterFor, type FinderJob } from '#core/finder/formulate';
import { MOST_SEARCHED } from '#core/finder/fast-spec';
import { materialFromRow } from '#core/material/material';
import { type MixInput } from '#core/mix/evaluate';
import { type Part, partOf } from '#core/mix/composition';
import { lookUp, type Library } from '#core/recipe/library';
import { pouredWith } from '#core/weeks/alkalinity';
import { type Keeping } from '#core/weeks/keeping';
import { acidityMeqPerMgN } from '#core/weeks/liquid-feed';
import { potentialIn } from '#core/weeks/weather';
import { type LifeRequest } from '#contract/water';
import { jobLitres } from '#core/vessel/tray';
import { type Vessel } from '#core/vessel/vessel';

/** Firming where none is stated: a block is pressed. Fraction. */
export const defaultCompaction = (vessel: Vessel): number => (vessel.shape === 'block' ? 0.25 : 0);

/** Ids become materials and amendments, percentages become fractions. @throws OutOfRange for an unknown id */
export function resolveMix(request: EvaluateRequest, library: Library): MixInput {
  const { stage, vessel, compactionPct, components, amendments, limeToPh } = request;
  return {
    stage,
    vessel,
    compaction: compactionPct === undefined ? defaultCompaction(vessel) : compactionPct / 100,
    components: resolveParts(components, library),
    amendments: (amendments ?? []).map((d, i) => ({
      gPerL: d.gPerL,
      amendment: lookUp(library.amendments, d.amendment, `amendments.${i}.amendment`),
    })),
    ...(limeToPh && {
      limeToPh: {
        ph: limeToPh.ph,
        amendment: lookUp(library.amendments, limeToPh.amendment, 'limeToPh.amendment'),
      },
    }),
  };
}

/** @throws OutOfRange for an unknown id, RangeError for a description that contradicts itself */
export function resolveParts(components: EvaluateRequest['components'], library: Library): Part[] {
  return components.map((c, i) =>
    partOf(
      c.properties
        ? materialFromRow(c.properties)
        : lookUp(library.materials, c.material ?? '', `components.${i}.material`),
      c.parts,
      c.screenedMm,
    ),
  );
}

/** Litres of finished mix that a batch request asks for, and the moisture to mix it to. */
export function resolveJob(request: BatchSheetRequest): { litres: number; moisture: Moisture } {
  return {
    litres: request.litres ?? jobLitres(request.vessel, request.vessels ?? 0, (request.sparePct ?? 0) / 100),
    moisture: request.moisture ?? usualMoisture(request.vessel),
  };
}

/** @throws OutOfRange for an unknown id */
export function resolveFinderJob(request: FormulateRequest, library: Library): FinderJob {
  const { stage, vessel, compactionPct, limits } = request;
  return {
    stage,
    vessel,
    compaction: compactionPct === undefined ? defaultCompaction(vessel) : compactionPct / 100,
    shelved: request.materials.map((given, i) => {
      const { id, properties, ...more } =
        typeof given === 'string' ? { id: given, properties: undefined } : given;
      return {
        material: properties
          ? { ...materialFromRow(properties), id }
          : lookUp(library.materials, id, `materials.${i}`),
        ...more,
      };
    }),
    maxTotal: request.maxTotalParts,
    minParts: limits.minParts ?? {},
    maxParts: limits.maxParts ?? {},
    materialsMax: limits.materialsMax ?? MOST_SEARCHED,
    peatMax: (limits.peatPctMax ?? 100) / 100,
    preferences: request.preferences,
    ...(request.nearTo && { nearTo: request.nearTo }),
    lime: request.lime === null ? null : lookUp(library.amendments, request.lime, 'lime'),
    starter: request.starter
      ? Object.entries(request.starter).map(([id, parts]) => ({
          amendment: lookUp(library.amendments, id, `starter.${id}`),
          parts,
        }))
      : starterFor(stage, library.amendments),
    fixedDoses: [],
    library,
  };
}

/** How a mix is kept, in figures: acid takes its share of the alkalinity, and its nitrogen is fed. @throws OutOfRange for an unknown id */
export function resolveKeeping(
  { days, seed, weather, water, plant, cover, product }: LifeRequest,
  library: Library,
): Omit<Keeping, 'rule'> {
  const { acid, toPh } = water;
  return {
    ...{ days, seed, plant, cover },
    weather: { potentialMmPerDay: potentialIn(weather.house), tempC: weather.tempC },
    water: pouredWith(water, acid && toPh !== undefined ? { is: acid, toPh } : undefined),
    ...(product !== undefined && {
      feedAcidMeqPerMgN: acidityMeqPerMgN(lookUp(library.amendments, product, 'rule.product')),
    }),
  };
}
