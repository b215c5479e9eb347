import { limits } from '#core/units/limits';
import { z } from 'zod';
import { recipeShape } from '#contract/evaluate';
import { ruleShape } from '#contract/keeping';
import { clientKey, day, int, num, numbers, oneOf, rowId, taking, text } from '#contract/fields';
import { houses } from '#core/weeks/weather';
import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { acids } from '#core/weeks/alkalinity';
import { covers } from '#core/weeks/keeping';
import { troubles } from '#core/weeks/life';
import { type Water, waterKinds } from '#core/weeks/own-water';

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

const plantDay = int(limits.plantDay).optional();
const lifeShape = {
  ...recipeShape,
  days: int(limits.lifeDays).default(84),
  seed: int(limits.seed).default(1),
  weather: z.strictObject({ house: oneOf(houses), tempC: num(limits.houseC) }),
  water: z
    .strictObject({
      alkalinityMgPerL: num(limits.alkalinityMgPerL),
      ecMSPerCm: num(limits.waterEcMSPerCm),
      /** What it brings is fed, what it takes is gone. */
      acid: oneOf(acids).optional(),
      toPh: num(limits.acidTargetPh).optional(),
    })
    .refine(({ acid, toPh }) => (acid === undefined) === (toPh === undefined), {
      ...taking(allow('allowed.acid-with-ph', none)),
      path: ['toPh'],
    }),
  plant: z.strictObject({
    leafCoverFrom: num(limits.leafCover),
    leafCoverTo: num(limits.leafCover),
    ...{ upOn: plantDay, rootedOn: plantDay, trueLeavesOn: plantDay },
  }),
  cover: oneOf(covers).default('bare'),
};
/** A recipe, and how it is kept: house, water, hand and plant. */
export const lifeRequestSchema = z.strictObject({
  ...lifeShape,
  rule: z.strictObject({
    ...ruleShape,
    /** A liquid feed, for the acidity of its nitrogen; left out, the feed is neutral. */
    product: text(60).optional(),
  }),
});
export const lifeRuleRequestSchema = z.strictObject({
  ...lifeShape,
  /** Of the rule that is looked for: what is fed. */
  product: text(60).optional(),
});
export type LifeRequest = z.output<typeof lifeRuleRequestSchema>;
const firstDay = z.number().nullable();
export const lifeAnswerSchema = z.object({
  days: z.array(
    numbers('day', 'waterMl', 'airPct', 'ph', 'ecSaturatedMSPerCm', 'nMgPerL').extend({
      watered: z.boolean(),
      ...numbers('transpiredMl', 'evaporatedMl', 'leachedMl', 'uptakeNMg').shape,
    }),
  ),
  /** First day of each trouble. */
  first: z.object({ dry: firstDay, starved: firstDay, salty: firstDay, sour: firstDay, sweet: firstDay }),
});
export const lifeRuleAnswerSchema = z.object({
  rule: numbers('waterAt', 'leachPct', 'feedNMgPerL', 'feedFromDay'),
  /** Share of lives in which all stays inside under it. */
  odds: z.number(),
  says: z.string(),
  /** Troubles that no rule mends, the likeliest first. */
  left: z.array(z.enum(troubles)),
  tried: z.number(),
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
