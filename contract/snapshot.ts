import { windowIds } from '#core/mix/windows-asked';
import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { numbers, oneOf } from '#contract/fields';
import { keptKitSchema } from '#contract/kit';
import { besideFigures } from '#contract/material';
import { recipeSchema, stageSchema } from '#contract/recipe';
import { vesselKindSchema } from '#contract/vessel';
import { type Step } from '#core/batch/step';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { liftSnapshot, type StoredSnapshot } from '#core/batch/snapshot-upgrade';
import { benchTestIds } from '#core/batch/tests/bench-tests';
import { severities } from '#core/judge/flag';
import { keptReadingIds } from '#core/judge/readings';
import { families } from '#core/material/family';
import { makes, roles, type Material } from '#core/material/material';
import { moistures } from '#core/mix/moisture';
import { type RuleFix } from '#core/recipe/fix';
import { saidSchema, stepTextSchema } from '#contract/message';

const fixSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('limeToPh'), amendment: z.string(), ph: z.number() }),
  z.strictObject({ kind: z.literal('noLime') }),
  z.strictObject({ kind: z.literal('dropAmendment'), amendment: z.string() }),
  z.strictObject({ kind: z.literal('dose'), amendment: z.string(), gPerL: z.number() }),
  z.strictObject({ kind: z.literal('swapMaterial'), from: z.string(), to: z.string() }),
  z.strictObject({ kind: z.literal('addPart'), material: z.string(), parts: z.number().optional() }),
  z.strictObject({ kind: z.literal('screen'), material: z.string(), mm: z.number() }),
  z.strictObject({ kind: z.literal('vessel'), vessel: z.string() }),
]) satisfies z.ZodType<RuleFix>;

/** A material as it is reckoned with: fractions, not percentages. */
const materialSchema = numbers(
  'dryBulkDensityGPerL',
  'totalPorosity',
  'waterAt10Cm',
  'waterAt50Cm',
  'waterAt100Cm',
  'particleMm',
  'maxParticleMm',
  'packingFraction',
  'ph',
  'bufferMeqPerLPerPh',
  'moistureWetBasis',
  'cohesion',
  'saltsMeqPerL',
  'availableNMgPerL',
  'availablePMgPerL',
  'availableKMgPerL',
  'availableCaMgPerL',
  'availableMgMgPerL',
).extend({
  id: z.string(),
  name: z.string(),
  family: oneOf(families),
  role: oneOf(roles),
  make: oneOf(makes),
  peatFree: z.boolean(),
  renewableWithinDecades: z.boolean(),
  dusty: z.boolean(),
  // Not known when the earliest batches were kept: then they did nothing.
  airEntryCm: z.number().default(0),
  bufferSlopePerPh: z.number().default(0),
  carbonateMeqPerL: z.number().default(0),
  nh4NMgPerL: z.number().default(0),
  naMgPerL: z.number().default(0),
  clMgPerL: z.number().default(0),
  drawdownMgNPerL: z.number().default(0),
  crushes: z.boolean().default(false),
  living: z.boolean().default(false),
  doubt: z.number().default(1),
  ...besideFigures,
}) satisfies z.ZodType<Material>;

/** What to do, in order. */
export const stepsSchema = z.array(
  z.object({
    id: z.string(),
    text: stepTextSchema,
    why: stepTextSchema.optional(),
    caution: stepTextSchema.optional(),
    times: z.number().optional(),
    timerMin: z.number().optional(),
    waitDays: z.number().optional(),
    test: oneOf(benchTestIds).optional(),
  }),
) satisfies z.ZodType<Step[]>;

const verdict = oneOf(['low', 'ok', 'high']);

/** All that a batch was made from and came to. */
export const snapshotSchema = z.object({
  format: z.literal(3),
  anyway: z.literal(true).optional(),
  recipe: recipeSchema,
  vessel: z.object(vesselKindSchema.shape),
  materials: z.array(materialSchema),
  amendments: z.array(z.object(amendmentSchema.shape)),
  doses: z.array(z.object({ amendment: z.string(), gPerL: z.number() })),
  moisture: oneOf(moistures),
  sheet: z.object({
    litres: z.number(),
    components: z.array(z.object({ material: z.string(), looseLitres: z.number(), massKg: z.number() })),
    amendments: z.array(z.object({ amendment: z.string(), grams: z.number() })),
    waterLitres: z.number(),
  }),
  steps: stepsSchema,
  readings: z.array(
    z.object({
      id: oneOf(keptReadingIds),
      value: z.number(),
      unit: oneOf(['%', '', 'mS/cm', 'mg/L', 'mm']),
      low: z.number(),
      high: z.number(),
      verdict,
      source: z.string(),
      measured: z.boolean().default(false),
      byWater: z.literal(true).optional(),
    }),
  ),
  flags: z.array(
    z.object({
      code: z.string(),
      severity: oneOf(severities),
      text: saidSchema,
      remedy: saidSchema,
      // A way out that nobody offers any more is not offered.
      fix: fixSchema.optional().catch(undefined),
    }),
  ),
  known: z
    .array(z.object({ code: z.string(), text: saidSchema, why: z.string(), on: z.string() }))
    .optional(),
  ph: z.number(),
  shrinkage: z.number(),
  wetWeightG: z.number(),
  choice: z.object({
    units: oneOf(['metric', 'us']),
    scoop: z.string(),
    measure: z
      .object({ id: z.string(), name: z.string(), litres: z.number(), system: oneOf(['metric', 'us']) })
      .optional(),
  }),
  kit: keptKitSchema.optional(),
  oversize: z.array(z.object({ material: z.string(), litres: z.number() })).optional(),
  cost: z.object({ money: z.number(), unpriced: z.number() }).optional(),
  context: z.object({
    stage: stageSchema,
    windows: z
      .partialRecord(z.enum(windowIds), z.object({ low: z.number(), high: z.number(), source: z.string() }))
      .optional(),
    ph: numbers('low', 'high'),
    totalPorosity: z.number(),
    drainedWater: z.number(),
    dryBulkDensityGPerL: z.number(),
    targetSaturation: z.number(),
    looseLitres: z.number(),
  }),
}) satisfies z.ZodType<BatchSnapshot>;

/** As it is stored, of any format that ever was. @throws ZodError when it is none of them */
export const readSnapshot = (stored: unknown): BatchSnapshot =>
  snapshotSchema.parse(liftSnapshot(stored as StoredSnapshot));
