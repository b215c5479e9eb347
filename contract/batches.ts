import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { madeForSchema } from '#contract/plan';
import { clientKey, day, list, moment, oneOf, rowId, text, taking } from '#contract/fields';
import { keptKitSchema } from '#contract/kit';
import { listQuerySchema } from '#contract/lists';
import { approachOf } from '#core/recipe/approaches';
import { recipeSchema, stageSchema } from '#contract/recipe';
import { snapshotSchema } from '#contract/snapshot';
import { usualKit } from '#core/batch/kit';
import { type BatchStand } from '#core/batch/state';

export const newBatchSchema = z.strictObject({
  key: clientKey,
  name: text(80),
  recipe: recipeSchema,
  mixVersionId: rowId.nullable().default(null),
  madeOn: day,
  units: oneOf(['metric', 'us']),
  kit: keptKitSchema.default(usualKit),
  scoop: text(60),
  /** Way of working that its flags are told in; null for none. */
  school: text(40)
    .refine((id) => approachOf(id) !== undefined, taking(allow('allowed.an-approach', none)))
    .nullable()
    .default(null),
  /** Made although it has a stop: somebody said so. */
  anyway: z.boolean().default(false),
  /** Steps of the season that it is made for. */
  madeFor: list(madeForSchema, [0, 2000], 'steps').default([]),
});
export type NewBatch = z.input<typeof newBatchSchema>;

/** What the tub holds by the book. */
const tubSchema = z.object({
  /** Litres, never below 0; none before it is made. */
  leftLitres: z.number(),
  /** So much more was filled than it held: it is to be counted. */
  overLitres: z.number(),
  state: z.object({
    made: z.boolean(),
    done: z.number(),
    of: z.number(),
    restsUntil: day.nullable(),
    toTest: z.boolean(),
    phTooHigh: z.number().nullable(),
  }) satisfies z.ZodType<BatchStand>,
});

/** Holds some, is to be tested, rests, is not mixed yet. */
export const tubKinds = ['holds', 'test', 'rests', 'unmade'] as const;
export type TubKind = (typeof tubKinds)[number];

/** Which part of the list: also by words of the name, by the month in which it was made, by what its tub is. */
export const batchesQuerySchema = listQuerySchema.extend({
  find: text(80).optional(),
  month: z
    .string()
    .regex(/^\d{4}-\d{2}$/, taking(allow('allowed.month', none)))
    .optional(),
  only: oneOf(tubKinds).optional(),
});

export const yearQuerySchema = z.strictObject({
  year: z
    .string()
    .regex(/^\d{4}$/, taking(allow('allowed.year', none)))
    .optional(),
});

/** What was made in a year, by saved recipe, the most first. */
export const madeInYearSchema = z.object({
  year: z.string(),
  /** Years of the oldest and the newest batch; null where there is none. */
  years: z.object({ from: z.string(), to: z.string() }).nullable(),
  mixes: z.array(
    z.object({
      /** Null: of no saved recipe. */
      mixId: rowId.nullable(),
      mixName: z.string().nullable(),
      batches: z.number(),
      litres: z.number(),
      /** Of what went in, by the prices of its day, else of today; null where no batch of it has one. */
      money: z.number().nullable(),
      /** Litres that it is of: of batches with a price. */
      pricedLitres: z.number(),
      /** Batches in whose sum something without a price is missing. */
      unpriced: z.number(),
      /** Batches that had no price on their day, and are counted by today's. */
      priceOfToday: z.number(),
    }),
  ),
});
export type MadeInYear = z.output<typeof madeInYearSchema>;

export const batchLineSchema = tubSchema.extend({
  id: rowId,
  key: z.string(),
  name: z.string(),
  madeOn: day,
  createdAt: moment,
  stage: stageSchema,
  vessel: z.string(),
  /** Id of that vessel, and how many of them what is left fills. */
  vesselId: z.string(),
  fills: z.number(),
  litres: z.number(),
  /** The saved recipe with the same parts and doses, whatever the job. */
  mixId: rowId.nullable(),
  mixName: z.string().nullable(),
});
export type BatchLine = z.output<typeof batchLineSchema>;

export const batchSchema = tubSchema.extend({
  id: rowId,
  key: clientKey,
  name: z.string(),
  mixVersionId: rowId.nullable(),
  /** The saved recipe with the same parts and doses, whatever the job: of two alike that of the version, else the newest. */
  mixId: rowId.nullable(),
  mixName: z.string().nullable(),
  /** Client key of that mix. */
  mixKey: z.string().nullable(),
  madeOn: day,
  createdAt: moment,
  snapshot: snapshotSchema,
});
export type Batch = z.output<typeof batchSchema>;
