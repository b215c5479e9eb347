import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { int, list, num, numbers, oneOf, text, taking } from '#contract/fields';
import { propertiesSchema } from '#contract/material';
import { dosesSchema, limeSchema, stageSchema } from '#contract/recipe';
import { vesselSchema } from '#contract/vessel';
import { severities } from '#core/judge/flag';
import { keptReadingIds } from '#core/judge/readings';
import { moistures } from '#core/mix/moisture';
import { limits } from '#core/units/limits';

const componentSchema = z
  .strictObject({
    material: text(60).optional(),
    parts: num(limits.parts),
    screenedMm: num(limits.screenedMm).optional(),
    properties: propertiesSchema.optional(),
  })
  .refine(
    (c) => (c.material === undefined) !== (c.properties === undefined),
    taking(allow('allowed.material-or-properties', none)),
  );

const componentsSchema = list(componentSchema, limits.materialsInMix, 'materials');

/** What a mix is for and goes into. */
export const jobShape = {
  stage: stageSchema,
  vessel: vesselSchema,
  compactionPct: num(limits.compactionPct).optional(),
};

/** Fields of every request that describes a recipe for a job. */
export const recipeShape = {
  ...jobShape,
  components: componentsSchema,
  amendments: dosesSchema.optional(),
  limeToPh: limeSchema.optional(),
};

export const evaluateRequestSchema = z.strictObject(recipeShape);
export type EvaluateRequest = z.output<typeof evaluateRequestSchema>;

export const batchSheetRequestSchema = z
  .strictObject({
    ...recipeShape,
    litres: num(limits.batchLitres).optional(),
    vessels: int(limits.vessels).optional(),
    sparePct: num(limits.sparePct).optional(),
    moisture: oneOf(moistures).optional(),
  })
  .refine((r) => (r.litres === undefined) !== (r.vessels === undefined), {
    ...taking(allow('allowed.litres-or-vessels', none)),
    path: ['litres'],
  })
  .refine((r) => r.sparePct === undefined || r.vessels !== undefined, {
    ...taking(allow('allowed.with-vessels-only', none)),
    path: ['sparePct'],
  });
export type BatchSheetRequest = z.output<typeof batchSheetRequestSchema>;

export const hotWaterRequestSchema = z.strictObject({
  components: componentsSchema,
  litres: num(limits.hotMixLitres),
  mixC: num(limits.mixC),
  waterC: num(limits.hotWaterC),
  targetC: num(limits.heatTargetC),
});

export const sowingRequestSchema = z.strictObject({
  germination: num(limits.germination),
  perCell: int(limits.seedsPerCell),
  wantedPlants: int(limits.wantedPlants),
  confidence: num(limits.confidence),
});

export const doseAnswer = z.object({ amendment: z.string(), gPerL: z.number() });

export const evaluationAnswerSchema = z.object({
  mix: numbers(
    'mixingShrinkagePct',
    'dryBulkDensityGPerL',
    'totalPorosityPct',
    'waterAt10CmPct',
    'airAt10CmPct',
    'easilyAvailableWaterPct',
    'bufferMeqPerLPerPh',
    'phBeforeLime',
    'ph',
    'saltsMeqPerL',
    'ecSaturatedMSPerCm',
    'ec1to2MSPerCm',
    'ecDisplacedMSPerCm',
    'largestParticleMm',
    'cohesion',
    'peatPct',
  ).extend({ elementsMgPerL: numbers('n', 'p', 'k', 'ca', 'mg', 's') }),
  vessel: numbers(
    'volumeMl',
    'waterPct',
    'airPct',
    'airAfterDrydownPct',
    'wetWeightG',
    'availableWaterMl',
  ).extend({ airPctFirmed: numbers('loose', 'firmer') }),
  lime: doseAnswer.nullable(),
  readings: z.array(
    z.object({
      id: z.enum([...keptReadingIds, 'nAtWorst', 'ecAtWorst', 'wetDensity', 'easilyAvailableWater']),
      value: z.number(),
      unit: z.string(),
      /** null for a figure without a window. */
      low: z.number().nullable(),
      high: z.number().nullable(),
      verdict: z.enum(['low', 'ok', 'high']),
      week: z.number().optional(),
    }),
  ),
  flags: z.array(
    z.object({ code: z.string(), severity: z.enum(severities), text: z.string(), remedy: z.string() }),
  ),
});
export type EvaluationAnswer = z.infer<typeof evaluationAnswerSchema>;

export const batchSheetAnswerSchema = z.object({
  litres: z.number(),
  components: z.array(z.object({ material: z.string(), looseLitres: z.number(), massKg: z.number() })),
  amendments: z.array(z.object({ amendment: z.string(), grams: z.number() })),
  waterLitres: z.number(),
});

export const hotWaterAnswerSchema = numbers('waterLitres', 'finalC', 'finalSaturation');
export const sowingAnswerSchema = numbers('emptyFraction', 'sparesPerCell', 'cells');
