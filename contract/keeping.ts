import { z } from 'zod';
import { int, num, oneOf, rowId, text } from '#contract/fields';
import { limits } from '#core/units/limits';
import { acids } from '#core/weeks/alkalinity';
import { covers } from '#core/weeks/keeping';
import { type UsualKeeping, usualKeeping } from '#core/weeks/usual-keeping';
import { houses } from '#core/weeks/weather';

const houseKept = { house: oneOf(houses), tempC: num(limits.houseC) };

/** When it is watered, what runs through, what is fed from when. */
export const ruleShape = {
  waterAt: num(limits.waterAt),
  leachPct: num(limits.leachPct),
  feedNMgPerL: num(limits.lifeFeedNMgPerL),
  feedFromDay: int(limits.feedFromDay),
};

/** How a nursery keeps what is filled; fields that came later are the usual ones where they are missing. */
export const usualKeepingSchema = z.strictObject({
  ...houseKept,
  weeks: int(limits.lifeWeeks),
  months: z
    .array(z.strictObject({ ...houseKept, month: int([1, 12]) }))
    .max(12)
    .default([]),
  water: z.strictObject({
    alkalinityMgPerL: num(limits.alkalinityMgPerL),
    ecMSPerCm: num(limits.waterEcMSPerCm),
  }),
  waterId: rowId.nullable(),
  blendId: rowId.nullable(),
  blendPct: num(limits.blendPct),
  rule: z.strictObject(ruleShape),
  looks: z
    .union([z.literal(1), z.literal(2)])
    .nullable()
    .default(null),
  cover: oneOf(covers).default('bare'),
  plant: z.strictObject({ leafCoverFrom: num(limits.leafCover), leafCoverTo: num(limits.leafCover) }),
  driesBy: num(limits.driesBy).default(usualKeeping.driesBy),
  acid: oneOf(acids).nullable(),
  acidPh: num(limits.acidTargetPh),
  feed: text(60).nullable(),
  injector: num(limits.injector),
  tankLitres: num(limits.tankLitres),
}) satisfies z.ZodType<UsualKeeping>;

const byNumber = z.record(z.string().regex(/^\d{1,15}$/), usualKeepingSchema);

/** As it stands in the folder. */
export const keptKeepingsSchema = z.strictObject({
  usual: usualKeepingSchema.nullable(),
  plantings: byNumber,
  /** Saved recipes, by their number. */
  mixes: byNumber.default({}),
});
export type KeptKeepings = z.output<typeof keptKeepingsSchema>;

export const keepingAnswerSchema = z.object({
  usual: usualKeepingSchema,
  /** Whether somebody set it. */
  isSet: z.boolean(),
  /** What stands in these recipes is kept otherwise, unless a planting has its own. */
  mixes: byNumber,
});
export type KeepingAnswer = z.output<typeof keepingAnswerSchema>;

/** A planting's or a recipe's own; null for the nursery's usual. */
export const ownKeepingSchema = z.strictObject({ keeping: usualKeepingSchema.nullable() });
