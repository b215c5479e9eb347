import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { doseAnswer, evaluationAnswerSchema, jobShape } from '#contract/evaluate';
import { int, list, num, numbers, text, taking } from '#contract/fields';
import { propertiesSchema } from '#contract/material';
import { scoredIds } from '#core/finder/aims';
import { noPreferences } from '#core/finder/fast-spec';
import { limits } from '#core/units/limits';

const wish = num(limits.wish).default(0);
const MOST_PARTS = limits.finderParts[1];
const wholeParts = z.record(
  text(60),
  int([0, MOST_PARTS]),
  taking(allow('allowed.parts-by-id', { most: MOST_PARTS })),
);

const shelvedSchema = z.union(
  [
    text(60),
    z.strictObject({
      id: text(60),
      properties: propertiesSchema.optional(),
      costPerL: num(limits.pricePerUnit).optional(),
      useUp: z.boolean().optional(),
    }),
  ],
  taking(allow('allowed.id-with-properties', none)),
);

export const formulateRequestSchema = z.strictObject({
  ...jobShape,
  materials: list(shelvedSchema, limits.finderMaterials, 'materials'),
  maxTotalParts: int(limits.finderParts).default(10),
  limits: z
    .strictObject({
      peatPctMax: num(limits.pctOfParts).optional(),
      minParts: wholeParts.optional(),
      maxParts: wholeParts.optional(),
      materialsMax: int(limits.finderMaterials).optional(),
    })
    .default({}),
  top: int(limits.finderTop).default(10),
  /** Lime dosed to the middle of the pH window; null for none. */
  lime: text(60).nullable().default('lime-dolomitic'),
  /** Starter charge as shares by weight of products; empty for none, the usual one of the stage when absent. */
  starter: z.record(text(60), num([0.001, 1000])).optional(),
  /** What counts besides the windows. */
  preferences: z
    .strictObject({
      price: wish,
      peat: wish,
      weight: wish,
      ingredients: wish,
      useUp: wish,
      water: wish,
      near: wish,
    })
    .default(noPreferences),
  /** Parts of a recipe by id: only what meets every window is answered, the nearer to it the more `near` counts. */
  nearTo: z.record(text(60), num(limits.parts)).optional(),
});
export type FormulateRequest = z.output<typeof formulateRequestSchema>;

const parts = z.record(z.string(), z.number());
const scored = z.enum(scoredIds);

/** Best first, 0 is the middle of every window. */
export const formulateAnswerSchema = numbers(
  'tried',
  'commonDivisor',
  'overLimits',
  'noPores',
  'feasible',
).extend({
  recipes: z.array(
    z.object({
      parts,
      score: z.number(),
      costPerL: z.number().nullable(),
      lime: doseAnswer.nullable(),
      amendments: z.array(doseAnswer),
      evaluation: evaluationAnswerSchema,
    }),
  ),
  /** Only where nothing meets every window. */
  conflict: z
    .object({
      metAlone: z.partialRecord(scored, z.number()),
      never: z.array(scored),
      pairs: z.array(z.tuple([scored, scored])),
      nearest: z.object({ reading: scored, value: z.number(), parts }).nullable(),
    })
    .nullable(),
});
