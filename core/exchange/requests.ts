import { z } from 'zod';
import { moistures } from '#core/batch/sheet';
import { int, num, oneOf, text } from '#core/exchange/fields';
import { propertiesSchema } from '#core/exchange/library';
import { stages } from '#core/judge/stage';
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
