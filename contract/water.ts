import { limits } from '#core/units/limits';
import { z } from 'zod';
import { recipeShape } from '#contract/evaluate';
import { clientKey, day, int, num, numbers, oneOf, rowId, text } from '#contract/fields';
import { houses } from '#core/mix/dry-down';
import { acids } from '#core/water/alkalinity';
import { type Water, waterKinds } from '#core/water/own-water';

export const waterRequestSchema = z.strictObject({
  alkalinityMgPerL: num(limits.alkalinityMgPerL),
  targetPh: num(limits.acidTargetPh),
  acid: oneOf(acids),
});
export const waterAnswerSchema = numbers('meqPerL', 'neutralisedShare').extend({
  acidMlPerL: z.number().optional(),
  /** In place of it where the acid is dry. */
  acidGPerL: z.number().optional(),
  adds: numbers('n', 'p'),
});

/** A recipe, and how it is kept: house, water, hand and plant. */
export const lifeRequestSchema = z.strictObject({
  ...recipeShape,
  days: int(limits.lifeDays).default(84),
  seed: int(limits.seed).default(1),
  weather: z.strictObject({ house: oneOf(houses), tempC: num(limits.houseC) }),
  water: z.strictObject({
    alkalinityMgPerL: num(limits.alkalinityMgPerL),
    ecMSPerCm: num(limits.waterEcMSPerCm),
  }),
  rule: z.strictObject({
    waterAt: num(limits.waterAt),
    leachPct: num(limits.leachPct),
    feedNMgPerL: num(limits.lifeFeedNMgPerL),
    feedFromDay: int(limits.feedFromDay),
  }),
  plant: z.strictObject({
    leafCoverFrom: num(limits.leafCover),
    leafCoverTo: num(limits.leafCover),
  }),
});
const firstDay = z.number().nullable();
export const lifeAnswerSchema = z.object({
  days: z.array(
    numbers('day', 'waterMl', 'airPct', 'ph', 'ecSaturatedMSPerCm', 'nMgPerL').extend({
      watered: z.boolean(),
    }),
  ),
  /** First day of each trouble. */
  first: z.object({ dry: firstDay, starved: firstDay, salty: firstDay, sour: firstDay, sweet: firstDay }),
});

const pct = num([0, 100]);
export const liquidFeedRequestSchema = z.strictObject({
  product: z.union([
    text(60),
    z.strictObject({
      nPct: pct,
      p2O5Pct: pct.default(0),
      k2OPct: pct.default(0),
      caPct: pct.default(0),
      mgPct: pct.default(0),
      sPct: pct.default(0),
    }),
  ]),
  nMgPerL: num(limits.feedNMgPerL),
  injector: num(limits.injector).default(1),
  tankLitres: num(limits.tankLitres),
});
export const liquidFeedAnswerSchema = numbers('productGPerL', 'stockGPerL', 'tankGrams').extend({
  elementsMgPerL: numbers('n', 'p', 'k', 'ca', 'mg', 's'),
});

const ion = num(limits.waterIonMgPerL).nullable().default(null);
const waterShape = {
  name: text(40),
  kind: oneOf(waterKinds),
  /** Of the report or the kit. */
  on: day.nullable().default(null),
  alkalinityMgPerL: num(limits.alkalinityMgPerL),
  ecMSPerCm: num(limits.waterEcMSPerCm),
  ph: num(limits.waterPh).nullable().default(null),
  ...{ caMgPerL: ion, mgMgPerL: ion, naMgPerL: ion, clMgPerL: ion },
};
/** What a row of it holds beside its number and name. */
export const keptWaterSchema = z.strictObject(waterShape) satisfies z.ZodType<Water>;
export const newWaterSchema = z.strictObject({ key: clientKey, ...waterShape });
export const ownWaterSchema = z.object({ id: rowId, ...waterShape });
export type NewWater = z.output<typeof newWaterSchema>;
export type OwnWater = z.output<typeof ownWaterSchema>;
