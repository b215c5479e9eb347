import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { careMessageSchema } from '#contract/message';
import { z } from 'zod';
import { usualKeepingSchema } from '#contract/keeping';
import {
  clientKey,
  day,
  int,
  list,
  longText,
  moment,
  num,
  oneOf,
  rowId,
  slug,
  text,
  yesNo,
  taking,
} from '#contract/fields';
import { from } from '#contract/lists';
import { causeIds, type SignId, signIds } from '#core/plants/cause-table';
import { afterWays, outWays, type PlantEvent, type Planting, starts } from '#core/plants/planting';
import { limits } from '#core/units/limits';

const placeSchema = z.strictObject({
  line: rowId,
  sowing: int(limits.sowings),
  step: int([0, limits.cropSteps[1] - 1]),
});
const partSchema = z.strictObject({ planting: rowId, plants: int([1, limits.plantCount[1]]) });

const plantingFields = z.strictObject({
  start: oneOf(starts),
  crop: slug,
  name: z.string().trim().max(60).default(''),
  seed: z.string().trim().max(60).default(''),
  vessel: slug,
  cells: int(limits.plantCells),
  perCell: int(limits.seedsPerCell).default(1),
  batch: rowId.nullable().default(null),
  on: day,
  bareRoot: yesNo.default(false),
  halfFilled: yesNo.default(false),
  season: placeSchema.nullable().default(null),
  /** Packet that the seed came of: so many of it are gone. */
  seedLot: rowId.nullable().default(null),
  from: list(partSchema, limits.plantFrom, 'plantings').default([]),
  trial: z
    .strictObject({
      id: rowId,
      arm: int([0, limits.trialArms[1] - 1]),
      block: int([1, limits.trialBlocks[1]]),
    })
    .nullable()
    .default(null),
});

export const plantingSchema = plantingFields.extend({ id: rowId }) satisfies z.ZodType<Planting>;
export const keptPlantingSchema = plantingFields;
/** Those of a trial come with the trial. */
export const newPlantingSchema = plantingFields.omit({ trial: true }).extend({ key: clientKey });
export type NewPlanting = z.output<typeof newPlantingSchema>;

const count = int(limits.plantCount);
/** Cells that stand empty, counted on the picture of the tray: from 0, row by row. */
const empty = list(int([0, limits.plantCells[1] - 1]), [0, 2000], 'cells').optional();
const some = int([1, limits.plantCount[1]]);
const said = text(200);
const event = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ kind: z.literal(kind), on: day, ...shape });

export const plantEventSchema = z.discriminatedUnion('kind', [
  event('up', { count, empty }),
  event('count', { alive: count, empty }),
  event('lost', { count: some, cause: text(60) }),
  event('thinned', { count: some }),
  event('moved', { count: some, to: rowId }),
  event('out', { count: some, way: oneOf(outWays), minutes: num(limits.workMinutes).optional() }),
  event('after', {
    went: oneOf(afterWays),
    kg: num(limits.yieldKg).optional(),
    text: longText.optional(),
  }),
  event('fed', { text: said }),
  event('watered', {
    litres: num(limits.wateredLitres).optional(),
    minutes: num(limits.waterMinutes).optional(),
  }),
  event('ph', { value: num(limits.measuredPh) }),
  event('ec', { value: num(limits.plantEcMSPerCm) }),
  event('weight', { grams: num(limits.trayGrams) }),
  event('cold', { celsius: num(limits.nightC) }),
  event('sprayed', { text: said }),
  event('topped', { litres: num(limits.wateredLitres).optional() }),
  event('size', { mm: num(limits.plantMm) }),
  event('picture', { picture: rowId, text: longText }),
  event('note', { text: longText }),
  event('sign', { sign: oneOf(signIds as [SignId, ...SignId[]]) }),
  event('did', { cause: oneOf(causeIds), text: said }),
  event('helped', { cause: oneOf(causeIds), helped: yesNo }),
  event('undo', { of: rowId }),
]) satisfies z.ZodType<PlantEvent>;

/** When it was entered on the device, and what the device's clock says as it is sent: what lies between counts. */
const deviceTimes = { madeAt: moment.optional(), sentAt: moment.optional() };
export const newPlantEventSchema = z.strictObject({
  ...{ key: clientKey, event: plantEventSchema },
  ...deviceTimes,
});
/** `at` is when it was entered, by the clock of the server. */
export const keptPlantEventSchema = z.object({
  id: rowId,
  at: z.string(),
  event: plantEventSchema,
  /** Client key, where it is told. */
  key: z.string().optional(),
});
export type KeptPlantEvent = z.output<typeof keptPlantEventSchema>;

const tallySchema = z.object({
  begun: z.number(),
  entered: z.number().nullable(),
  alive: z.number().nullable(),
  lost: z.array(z.object({ cause: z.string(), count: z.number() })),
  thinned: z.number(),
  moved: z.number(),
  out: z.number(),
});

const careSchema = z.object({
  id: z.enum(['up', 'water', 'look', 'feed', 'top-up', 'pot-up', 'lift']),
  on: day,
  until: day.nullable(),
  text: careMessageSchema,
});

export const plantingLineSchema = plantingSchema.extend({
  /** Client key. */
  key: z.string(),
  tally: tallySchema,
  batchName: z.string().nullable(),
  /** What it wants next. */
  care: careSchema.nullable(),
  /** Out of the lists; its plants are back where they came from. */
  putAway: z.boolean(),
});
export type PlantingLine = z.output<typeof plantingLineSchema>;

export const plantLists = ['no', 'yes', 'away'] as const;
export type PlantList = (typeof plantLists)[number];
export const plantingsQuerySchema = z.strictObject({
  /** Those that stand, those that are done with, or those that were put away. */
  finished: oneOf(plantLists).default('no'),
  from,
});

export const plantingPageSchema = plantingLineSchema.extend({
  events: z.array(keptPlantEventSchema),
  allCare: z.array(careSchema),
  /** Day from which it stands in its vessel. */
  since: day,
  /** Days from then for which the vessel has room for it; null where nothing is said. */
  roomDays: z.number().nullable(),
  /** How it is kept, where that is not as the nursery usually does. */
  keeping: usualKeepingSchema.nullable(),
  /** Names of what it came from and went to. */
  kin: z.array(z.object({ id: rowId, name: z.string(), way: z.enum(['from', 'to']), plants: z.number() })),
  /** Lots of the batch that it stands in. */
  lots: z.array(z.object({ id: rowId, name: z.string(), item: z.string() })),
  /** Its vessels, counted lots alone: so many went out with it, so many came back empty. */
  vesselsOut: z.array(z.object({ lot: rowId, name: z.string(), amount: z.number(), back: z.number() })),
  /** What topping it up takes, L; null where nothing is left to fill. */
  topUpLitres: z.number().nullable(),
});
export type PlantingPage = z.output<typeof plantingPageSchema>;

export const plantCareSchema = careSchema.extend({
  planting: rowId,
  /** Client key of the planting. */
  key: z.string(),
  /** What it is called. */
  name: z.string(),
  state: z.enum(['due', 'waiting']),
});

/** A picture as the phone made it small: JPEG in base64, the right way up. */
export const newPictureSchema = z.strictObject({
  key: clientKey,
  on: day,
  jpeg: z
    .base64(taking(allow('allowed.jpeg', none)))
    .min(4)
    .max(240_000, taking(allow('allowed.smaller-picture', { most: 240_000 }))),
  text: longText.default(''),
});

export type NewPicture = z.output<typeof newPictureSchema>;

export const tenderSchema = z.object({
  planting: rowId,
  name: z.string(),
  coldestC: z.number(),
  inGroundC: z.number().optional(),
});

export const resultsQuerySchema = z.strictObject({
  /** What became of one batch, or of every batch of a kept mix. */
  of: oneOf(['batch', 'mix']).default('batch'),
  id: from,
});
const shareSchema = z.object({ alive: z.number(), of: z.number() });
/** What came up, or rooted, of a crop, in so many trays. */
const cropShareSchema = z.object({
  ...{ crop: z.string(), name: z.string(), struck: z.boolean() },
  ...{ plantings: z.number(), trays: z.number(), up: shareSchema },
});
export type CropShare = z.output<typeof cropShareSchema>;
export const batchResultSchema = z.object({
  batch: rowId,
  name: z.string(),
  madeOn: day,
  /** Version of the kept mix. */
  version: z.number().nullable(),
  plantings: z.number(),
  /** Came up, or rooted, of those of which it was counted. */
  up: shareSchema,
  crops: z.array(cropShareSchema),
  lost: z.array(z.object({ cause: z.string(), count: z.number() })),
  /** Medians of what was read. */
  read: z.object({ ph: z.number().nullable(), ec: z.number().nullable() }),
  suspects: z.array(z.object({ cause: oneOf(causeIds), weight: z.number(), plantings: z.number() })),
});
export type BatchResult = z.output<typeof batchResultSchema>;

/** Weights of causes behind a sign that the nursery set for itself; what it did not set is the table's. */
export const oddsSchema = z.partialRecord(
  oneOf(signIds as [SignId, ...SignId[]]),
  z.partialRecord(oneOf(causeIds), num(limits.causeWeight)),
);
export type OwnOdds = z.output<typeof oddsSchema>;

export type PlantCare = z.output<typeof plantCareSchema>;

/** Of papers about plants. */
export const plantLabelsQuerySchema = z.strictObject({
  units: oneOf(['metric', 'us']).default('metric'),
  size: text(30).optional(),
  count: z
    .string()
    .regex(/^\d{1,3}$/, taking(allow('allowed.whole', { low: 1, high: 500 })))
    .transform(Number)
    .pipe(int([1, 500]))
    .optional(),
});

export const compareBy = ['batch', 'mix', 'vessel', 'seed', 'crop'] as const;
export const groupsQuerySchema = z.strictObject({
  by: z.enum(compareBy).default('mix'),
  crop: slug.optional(),
});
export const plantGroupSchema = z.object({
  key: z.string(),
  name: z.string(),
  plantings: z.number(),
  /** What of it is counted, by crop: a verdict is about one crop. */
  crops: z.array(cropShareSchema),
  /** Came up, or rooted, of what was begun with; of those of which it was counted. */
  up: shareSchema,
  /** Stands, was moved on, planted or sold, of what was begun with. */
  made: shareSchema,
  /** Plantings of which it was told how they went on once they were planted out, and what they yielded, kg; null where nobody weighed. */
  after: z.object({
    of: z.number(),
    grewOn: z.number(),
    stalled: z.number(),
    failed: z.number(),
    kg: z.number().nullable(),
  }),
  /** Minutes that a hundred took to plant out, by own timings; null where there are none. */
  outMinutesPerHundred: z.number().nullable(),
  /** Days from the beginning to the first count of what came up; the middle one. */
  daysToUp: z.number().nullable(),
  lost: z.array(z.object({ cause: z.string(), count: z.number() })),
});
export type PlantGroup = z.output<typeof plantGroupSchema>;

/** How often each cause was the right one here. */
export const taughtSchema = z.object({ cause: oneOf(causeIds), helped: z.number() });

/** Own timings of watering from below. */
export type TakenUp = z.output<typeof takenUpSchema>;
export const takenUpSchema = z.object({
  vessel: z.string(),
  /** The middle one. */
  minutes: z.number(),
  times: z.number(),
});

const trialFields = z.strictObject({
  name: text(60),
  seed: int(limits.seed),
  arms: list(
    z.strictObject({ name: text(60), batch: rowId.nullable().default(null) }),
    limits.trialArms,
    'arms',
  ),
  blocks: int(limits.trialBlocks),
  crop: slug,
  seedLot: z.string().trim().max(60).default(''),
  vessel: slug,
  cells: int(limits.plantCells),
  perCell: int(limits.seedsPerCell).default(1),
  on: day,
});
export const keptTrialSchema = trialFields;
export const newTrialSchema = trialFields.extend({
  key: clientKey,
  /** Packet that all of its seed came of: so many of it are gone. */
  packet: rowId.nullable().default(null),
});
export type NewTrial = z.output<typeof newTrialSchema>;
export const trialSchema = trialFields.extend({
  id: rowId,
  trays: z.array(
    z.object({
      planting: rowId,
      /** Client key of the planting. */
      key: z.string(),
      block: z.number(),
      place: z.number(),
      arm: z.number(),
      up: z.number().nullable(),
      alive: z.number().nullable(),
      begun: z.number(),
    }),
  ),
});
export type Trial = z.output<typeof trialSchema>;
