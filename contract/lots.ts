import { allow } from '#core/units/allowed';
import { z } from 'zod';
import {
  clientKey,
  day,
  int,
  longText,
  note,
  num,
  oneOf,
  rowId,
  text,
  yesNo,
  taking,
} from '#contract/fields';
import { materialRowSchema } from '#contract/material';
import { entrySchema } from '#contract/record';
import { packKinds } from '#core/package/packs';
import { stockKinds } from '#core/package/stock';
import { ecMethods } from '#core/mix/salts';
import { limits } from '#core/units/limits';

const amount = num(limits.stock);

/** What a lot was made of, where it was not bought: what was left of a batch, emptied trays, the oversize of a screen. */
const fromSchema = z.strictObject({
  batch: rowId.nullable().default(null),
  what: oneOf(['left', 'emptied', 'oversize', 'heap']),
  /** How many times it was used before: 1 for the first reuse. */
  round: int([1, 20]).optional(),
});
const seedSchema = z.strictObject({
  year: int([1900, 2200]).nullable().default(null),
  germination: num(limits.germination).nullable().default(null),
  /** Seeds to a gram: what is weighed is told in seeds by it. */
  perGram: num(limits.seedsPerGram).optional(),
});

const packSchema = z.strictObject({ kind: oneOf(packKinds), amount: num(limits.stock) });

const lotFields = {
  kind: oneOf(stockKinds).default('material'),
  /** Id of the material, product or vessel; the name of the seed. */
  item: text(60),
  name: text(120),
  receivedOn: day,
  note,
  /** Litres of a material, kilograms of a product, single vessels or seeds; null where nobody counted. */
  quantity: amount.nullable().default(null),
  /** Of all of it. */
  price: num(limits.price).nullable().default(null),
  /** Not to be used before: bark that rests, a heap that rots, manure that waits. */
  readyOn: day.nullable().default(null),
  from: fromSchema.nullable().default(null),
  /** What it was packed in, as it was bought. */
  pack: packSchema.nullable().default(null),
  seed: seedSchema.nullable().default(null),
};

export const newLotSchema = z.strictObject({
  ...{ key: clientKey, ...lotFields },
  /** The order that it is the delivery of. */
  order: rowId.nullable().default(null),
});
export type NewLot = z.output<typeof newLotSchema>;

/** What is not an amount of it; what is left out stays. */
export const changedLotSchema = z.strictObject({
  name: text(120).optional(),
  note: longText.optional(),
  price: num(limits.price).nullable().optional(),
  readyOn: day.nullable().optional(),
  /** Of a lot of seed: the whole of it. */
  seed: seedSchema.optional(),
});
export type ChangedLot = z.output<typeof changedLotSchema>;

export const lotSchema = z.object({
  id: rowId,
  /** Client key; null for what was kept before there were any. */
  key: z.string().nullable(),
  ...lotFields,
  note: z.string(),
  /** What came later, was lost, was put right by counting, came back empty, and went into batches and plantings; in the unit of its kind. */
  came: z.number(),
  lost: z.number(),
  counted: z.number(),
  back: z.number(),
  took: z.number(),
  /** Null where it was never said how much there was. */
  left: z.number().nullable(),
});
export type Lot = z.output<typeof lotSchema>;

/** `back`: vessels that were out with plants and stand empty again. */
export const moveKinds = ['came', 'lost', 'counted', 'back'] as const;
export const newMoveSchema = z.strictObject({
  key: clientKey,
  kind: oneOf(moveKinds),
  /** How much came or was lost; how much is there, where it was counted. */
  amount,
  on: day,
  note,
  /** Of `back`: the planting in which they were. */
  planting: rowId.optional(),
});
export type NewMove = z.output<typeof newMoveSchema>;
export const moveSchema = z.object({
  id: rowId,
  kind: oneOf(moveKinds),
  /** Of a count: by how much it put the lot right. */
  amount: z.number(),
  on: day,
  note: z.string(),
});

const method = oneOf(ecMethods);
const reading = num([-1e9, 1e9]);
/** What was done with a material, and read; ranges are those of core/spread/learn-material. */
export const lotTestSchema = z.discriminatedUnion(
  'test',
  [
    z.strictObject({
      test: z.literal('weigh'),
      litres: num(limits.measureLitres),
      kg: num(limits.packageKg),
    }),
    z.strictObject({ test: z.literal('dry'), wetG: num(limits.sampleG), dryG: reading }),
    z.strictObject({ test: z.literal('drain'), vessel: text(60), drainedMl: reading }),
    z.strictObject({ test: z.literal('ph'), ph: num(limits.measuredPh), method }),
    z.strictObject({ test: z.literal('ec'), ec: num(limits.measuredEcMSPerCm), method }),
    z.strictObject({
      test: z.literal('jar'),
      lime: text(60),
      gPerL: num(limits.doseGPerL),
      phBefore: num(limits.measuredPh),
      phAfter: num(limits.measuredPh),
    }),
    z.strictObject({
      test: z.literal('screen'),
      mm: num(limits.screenedMm),
      overPct: num(limits.pctOfParts),
      largestMm: reading,
    }),
    z.strictObject({ test: z.literal('falls'), falls: int(limits.blockFalls) }),
  ],
  taking(allow('allowed.one-of', { ids: ['weigh', 'dry', 'drain', 'ph', 'ec', 'jar', 'screen', 'falls'] })),
);
export type LotTestGiven = z.output<typeof lotTestSchema>;

export const newTestSchema = z.strictObject({
  key: clientKey,
  lot: rowId.nullable().default(null),
  on: day,
  values: lotTestSchema,
});
export type NewTest = z.output<typeof newTestSchema>;
export const testSchema = z.object({
  id: rowId,
  lot: rowId.nullable(),
  on: day,
  values: lotTestSchema,
  /** Laid aside: it moves nothing. */
  aside: z.boolean(),
});
export const testAsideSchema = z.strictObject({ aside: yesNo });

const knownSchema = z.object({ mean: z.number(), sd: z.number() });
/** What a material was taken for, what own tests make of it, and how sure that is. */
export const learnedSchema = z.object({
  /** As the book has it: what a change of one's own starts from. */
  book: materialRowSchema,
  /** Why the tests do not fit it any more, in words; they move nothing then. */
  misfit: z.string().nullable(),
  tests: z.array(testSchema),
  figures: z.array(
    z.object({
      figure: oneOf(['density', 'moisture', 'air', 'ph', 'salts', 'buffer', 'size', 'cohesion']),
      unit: z.string(),
      book: knownSchema,
      yours: knownSchema,
      tests: z.number(),
    }),
  ),
});
export type LearnedAnswer = z.output<typeof learnedSchema>;

/** Forward: the batches that a lot went into, with how much, and what those were used for; and all that happened to it. */
export const lotTraceSchema = z.object({
  lot: lotSchema,
  batches: z.array(
    z.object({ id: rowId, name: z.string(), madeOn: day, /** In the unit of the lot. */ amount: z.number() }),
  ),
  /** Sowings and pottings that took of it, as seed or as vessels. */
  plantings: z.array(z.object({ id: rowId, name: z.string(), on: day, amount: z.number() })),
  uses: z.array(entrySchema),
  moves: z.array(moveSchema),
});
export type LotTrace = z.output<typeof lotTraceSchema>;

/** All lots of an item together. */
export const stockLineSchema = z.object({
  kind: oneOf(stockKinds),
  item: z.string(),
  name: z.string(),
  /** Of what may be used: what still rests is not counted. */
  left: z.number().nullable(),
  /** At the pace of the last eight weeks; null where nothing was taken. */
  daysLeft: z.number().nullable(),
  /** Litre, kilogram or piece: of the newest lot that tells. */
  pricePerUnit: z.number().nullable(),
});
export type StockLine = z.output<typeof stockLineSchema>;
