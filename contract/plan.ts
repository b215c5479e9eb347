import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { cropStepsSchema } from '#contract/crop';
import { seasonMessageSchema } from '#contract/message';
import {
  clientKey,
  day,
  int,
  list,
  longText,
  num,
  oneOf,
  rowId,
  slug,
  text,
  yesNo,
  taking,
} from '#contract/fields';
import { type SeasonLine, type SeasonSettings } from '#core/season/line';
import { starts } from '#core/plants/planting';
import { approachOf } from '#core/recipe/approaches';
import { limits } from '#core/units/limits';

const frostSchema = z
  .strictObject({ early: day, usual: day, late: day })
  .refine(
    ({ early, usual, late }) => early < usual && usual < late,
    taking(allow('allowed.three-days', none)),
  );

/** What the season hangs on: when it freezes for the last time, and the room there is. */
export const seasonSettingsSchema = z.strictObject({
  frost: frostSchema,
  benches: list(
    z.strictObject({ name: text(40), m2: num(limits.benchM2), heated: yesNo, lights: yesNo }),
    [0, limits.benches[1]],
    'benches',
  ),
  soilC: num(limits.soilC),
  spillPct: num(limits.sparePct),
  school: text(40)
    .refine((id) => approachOf(id) !== undefined, taking(allow('allowed.an-approach', none)))
    .nullable()
    .default(null),
}) satisfies z.ZodType<SeasonSettings>;

const lineFields = z.strictObject({
  crop: slug,
  name: z.string().trim().max(60).default(''),
  plants: int(limits.wantedPlants),
  plantOn: day.nullable().default(null),
  offsetDays: int(limits.plantOutDays).nullable().default(null),
  count: int(limits.sowings).default(1),
  everyDays: int(limits.everyDays).default(7),
  sparePct: num(limits.sparePct).default(10),
  confidence: num(limits.confidence).default(0.9),
  germination: num(limits.germination).nullable().default(null),
  seedTest: z
    .strictObject({ came: int([0, limits.seedTested[1]]), of: int(limits.seedTested) })
    .refine(({ came, of }) => came <= of, taking(allow('allowed.most-laid-out', none)))
    .nullable()
    .default(null),
  seedYear: int([1900, 2200]).nullable().default(null),
  perCell: int(limits.seedsPerCell).nullable().default(null),
  steps: cropStepsSchema.nullable().default(null),
  shifts: z.array(int(limits.plantOutDays)).max(limits.sowings[1]).default([]),
  note: longText.default(''),
});

export const newLineSchema = lineFields.extend({ key: clientKey });
export type NewLine = z.output<typeof newLineSchema>;
export const changedLineSchema = lineFields;
export const seasonLineSchema = lineFields.extend({ id: rowId }) satisfies z.ZodType<SeasonLine>;

/** A task of a sowing that was done, and on which day. */
export const doneTaskSchema = z.object({ line: rowId, sowing: z.number(), task: z.string(), on: day });
export type DoneTask = z.output<typeof doneTaskSchema>;
export const markTaskSchema = z.strictObject({
  sowing: int(limits.sowings),
  task: z.string().regex(/^[a-z]+(-\d+)?$/, taking(allow('allowed.task-id', none))),
  /** null takes it back. */
  on: day.nullable(),
});

/** What a batch was made for. */
export const madeForSchema = z.strictObject({
  line: rowId,
  sowing: int(limits.sowings),
  step: int([0, limits.cropSteps[1] - 1]),
});
export type MadeFor = z.output<typeof madeForSchema>;

export const planSchema = z.object({
  settings: seasonSettingsSchema,
  lines: z.array(seasonLineSchema),
  /** Client keys of the lines, by their numbers. */
  keys: z.record(z.string(), z.string()),
  done: z.array(doneTaskSchema),
  /** Batches that were made for a step. */
  made: z.array(madeForSchema.extend({ batch: rowId })),
});
export type Plan = z.output<typeof planSchema>;

/** Something of the season that falls on these days. */
export const seasonTaskSchema = z.object({
  line: rowId,
  sowing: z.number(),
  task: z.string(),
  on: day,
  text: seasonMessageSchema,
  /** A mix to be made: so much of it. It is done by making the batch. */
  mix: z.object({ name: z.string(), litres: z.number() }).nullable(),
  /** What is begun or potted with it, and how much of that is done: null where nothing goes into vessels. */
  fills: z
    .object({
      ...{ step: z.number(), crop: z.string(), name: z.string(), start: oneOf(starts) },
      ...{ vessel: z.string(), cells: z.number(), perCell: z.number() },
      /** Cells, blocks or pots that plantings have filled by now. */
      filled: z.number(),
      /** Batch that was made for it. */
      batch: rowId.nullable(),
    })
    .nullable(),
  state: z.enum(['due', 'waiting']),
});
export type SeasonDue = z.output<typeof seasonTaskSchema>;

/** Something that the season takes and that is not there. */
export const seasonShortSchema = z.object({
  kind: z.enum(['material', 'product', 'vessel', 'seed']),
  item: z.string(),
  needed: z.number(),
  left: z.number().nullable(),
  short: z.number(),
  by: day.nullable(),
});

export const weekQuerySchema = z.strictObject({ units: z.enum(['metric', 'us']).default('metric') });
export const runLabelsQuerySchema = weekQuerySchema.extend({
  sowing: z
    .string()
    .regex(/^\d{1,3}$/, taking(allow('allowed.number-of-sowing', none)))
    .transform(Number)
    .default(1),
  size: text(30).optional(),
});
