import { z } from 'zod';
import { moistures } from '#core/mix/moisture';
import { int, num, oneOf, text } from '#contract/fields';
import { propertiesSchema } from '#contract/library-tables';
import { MOST_PARTS } from '#core/finder/search';
import { MOST_ON_SHELF, noPreferences } from '#core/finder/fast-evaluation';
import { stages } from '#core/mix/stage';
import { MOST_COMPACTION, MOST_COMPONENTS } from '#core/mix/composition';
import { MOST_GRAMS_PER_LITRE } from '#core/mix/evaluate';

const mm = num(5, 2000);
const headspaceMm = num(0, 1995);
const pair = z.tuple([mm, mm], { error: 'must be two numbers from 5 to 2000' });

export const vesselSchema = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({ shape: z.literal('round'), topMm: mm, baseMm: mm, depthMm: mm, headspaceMm }),
    z.strictObject({ shape: z.literal('rect'), topMm: pair, baseMm: pair, depthMm: mm, headspaceMm }),
    z.strictObject({ shape: z.literal('block'), edgeMm: pair, depthMm: mm }),
  ],
  { error: 'must be a vessel with a shape of round, rect or block' },
);

const componentSchema = z
  .strictObject({
    material: text(60).optional(),
    parts: num(0.0001, 1000),
    properties: propertiesSchema.optional(),
  })
  .refine((c) => (c.material === undefined) !== (c.properties === undefined), {
    error: 'must have either material or properties',
  });

const componentsSchema = z
  .array(componentSchema, { error: 'must be a list of 1 to 30 materials' })
  .min(1, { error: 'must be a list of 1 to 30 materials' })
  .max(MOST_COMPONENTS, { error: 'must be a list of 1 to 30 materials' });

/** Fields of every request that describes a recipe for a job. */
const recipeShape = {
  stage: oneOf(stages),
  vessel: vesselSchema,
  compactionPct: num(0, MOST_COMPACTION * 100).optional(),
  components: componentsSchema,
  amendments: z
    .array(z.strictObject({ amendment: text(60), gPerL: num(0, MOST_GRAMS_PER_LITRE) }))
    .max(30, { error: 'must be a list of at most 30 doses' })
    .optional(),
  limeToPh: z.strictObject({ amendment: text(60), ph: num(3.5, 8) }).optional(),
};

export const evaluateRequestSchema = z.strictObject(recipeShape);
export type EvaluateRequest = z.output<typeof evaluateRequestSchema>;

export const batchSheetRequestSchema = z
  .strictObject({
    ...recipeShape,
    litres: num(0.001, 1_000_000).optional(),
    vessels: int(1, 1_000_000).optional(),
    sparePct: num(0, 200).optional(),
    moisture: oneOf(moistures).optional(),
  })
  .refine((r) => (r.litres === undefined) !== (r.vessels === undefined), {
    error: 'give either litres or vessels',
    path: ['litres'],
  })
  .refine((r) => r.sparePct === undefined || r.vessels !== undefined, {
    error: 'goes with vessels only',
    path: ['sparePct'],
  });
export type BatchSheetRequest = z.output<typeof batchSheetRequestSchema>;

export const hotWaterRequestSchema = z.strictObject({
  components: componentsSchema,
  litres: num(0.01, 1_000_000),
  mixC: num(0, 95),
  waterC: num(1, 100),
  targetC: num(0, 100),
});

export const sowingRequestSchema = z.strictObject({
  germination: num(0.01, 1),
  perCell: int(1, 50),
  wantedPlants: int(1, 100_000),
  confidence: num(0.5, 0.9999),
});

const wish = num(0, 100).default(0);
const wholeParts = z.record(text(60), int(0, MOST_PARTS), {
  error: `must be whole parts from 0 to ${MOST_PARTS} by material id`,
});

export const formulateRequestSchema = z.strictObject({
  stage: oneOf(stages),
  vessel: vesselSchema,
  compactionPct: num(0, MOST_COMPACTION * 100).optional(),
  materials: z
    .array(
      z.union(
        [
          text(60),
          z.strictObject({
            id: text(60),
            properties: propertiesSchema.optional(),
            costPerL: num(0, 1_000_000).optional(),
            useUp: z.boolean().optional(),
          }),
        ],
        { error: 'must be an id, or an id with properties or costPerL' },
      ),
      { error: `must be a list of 1 to ${MOST_ON_SHELF} materials` },
    )
    .min(1, { error: `must be a list of 1 to ${MOST_ON_SHELF} materials` })
    .max(MOST_ON_SHELF, { error: `must be a list of 1 to ${MOST_ON_SHELF} materials` }),
  maxTotalParts: int(1, MOST_PARTS).default(10),
  limits: z
    .strictObject({
      peatPctMax: num(0, 100).optional(),
      minParts: wholeParts.optional(),
      maxParts: wholeParts.optional(),
      materialsMax: int(1, MOST_ON_SHELF).optional(),
    })
    .default({}),
  top: int(1, 50).default(10),
  /** Lime dosed to the middle of the pH window; null for none. */
  lime: text(60).nullable().default('lime-dolomitic'),
  /** Starter charge as shares by weight of products; empty for none, the usual one of the stage when absent. */
  starter: z.record(text(60), num(0.001, 1000)).optional(),
  /** What counts besides the windows. */
  preferences: z
    .strictObject({ price: wish, peat: wish, weight: wish, ingredients: wish, useUp: wish, water: wish })
    .default(noPreferences),
});
export type FormulateRequest = z.output<typeof formulateRequestSchema>;
