import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { day, int, list, num, oneOf, text, yesNo, taking } from '#contract/fields';
import { stages } from '#core/mix/stage';
import { type MeasuredByHand, type Recipe } from '#core/recipe/recipe';
import { cropGroups } from '#core/recipe/windows-wanted';
import { limits } from '#core/units/limits';

export const stageSchema = oneOf(stages);

const counted = {
  sparePct: num(limits.sparePct),
  also: list(
    z.strictObject({ vessel: text(60), count: int(limits.vessels), eachL: num(limits.vesselLitres) }),
    limits.alsoFilled,
    'vessels',
  ).optional(),
};

export const jobSchema = z.union(
  [
    z.strictObject({ trays: int(limits.trays), ...counted }),
    z.strictObject({ vessels: int(limits.vessels), ...counted }),
    z.strictObject({ litres: num(limits.jobLitres) }),
  ],
  taking(
    allow('allowed.trays-vessels-litres', {
      ...{ trays: limits.trays, vessels: limits.vessels },
      ...{ sparePct: limits.sparePct, litres: limits.jobLitres },
    }),
  ),
);

export const doseSchema = z.strictObject({ amendment: text(60), gPerL: num(limits.doseGPerL) });
export const dosesSchema = list(doseSchema, limits.dosesInMix, 'doses');
export const limeSchema = z.strictObject({ amendment: text(60), ph: num(limits.limeToPh) });

const measuredSchema = z
  .strictObject({
    shrinkagePct: num(limits.measuredShrinkagePct),
    airPct: num(limits.measuredAirPct),
    ph: num(limits.measuredPh),
    ecSaturatedMSPerCm: num(limits.measuredEcMSPerCm),
    jar: z.strictObject({
      bufferMeqPerLPerPh: num(limits.jarBufferMeqPerLPerPh),
      phBeforeLime: num(limits.jarPhBeforeLime),
    }),
  })
  .partial() satisfies z.ZodType<MeasuredByHand>;

/** A recipe as it is kept. Whether its ids are known is asked of the library, not of the schema. */
export const recipeSchema = z.strictObject({
  stage: stageSchema,
  vessel: text(60),
  compactionPct: num(limits.compactionPct),
  components: list(
    z.strictObject({
      material: text(60),
      parts: num(limits.parts),
      screenedMm: num(limits.screenedMm).optional(),
    }),
    limits.materialsInMix,
    'materials',
  ),
  lime: limeSchema.nullable(),
  amendments: list(
    doseSchema.extend({ layerPct: num(limits.layerPct).optional() }),
    limits.dosesInMix,
    'doses',
  ),
  job: jobSchema,
  crops: z.enum(cropGroups).optional(),
  fillPct: num(limits.fillPct).optional(),
  tinySeed: yesNo.optional(),
  measured: measuredSchema.optional(),
  known: list(
    z.strictObject({ code: text(60), severity: oneOf(['warn', 'note']), why: text(200), on: day }),
    limits.knownOfMix,
    'remarks',
  ).optional(),
}) satisfies z.ZodType<Recipe>;
