import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { list, num, oneOf, slug, text, yesNoOrBit } from '#contract/fields';
import { families } from '#core/material/family';
import { learnables, makes, roles, type MaterialRow } from '#core/material/material';
import { limits } from '#core/units/limits';

const share = num([0, 1]);
/** How wide the scatter of a figure is once own tests told, of the usual one. */
const sureSchema = z.partialRecord(oneOf(learnables), num([0, 5]));
const madeOfSchema = z.strictObject({ peat: share, coir: share, earthy: share, gritty: share.optional() });
const carriedSchema = z.strictObject({ amendment: amendmentSchema, gPerL: num(limits.doseGPerL) });
/** What a material may say of itself beside its figures. */
export const besideFigures = {
  sure: sureSchema.optional(),
  madeOf: madeOfSchema.optional(),
  carries: list(carriedSchema, [0, 30], 'feeds').optional(),
};

const physical = {
  dryBulkDensityGPerL: num([5, 2200]),
  totalPorosityPct: num([5, 99.5]),
  waterAt10CmPct: num([0, 99.5]),
  waterAt50CmPct: num([0, 99.5]),
  waterAt100CmPct: num([0, 99.5]),
  particleMm: num([0.01, 50]),
  maxParticleMm: num([0.01, 100]),
  packingFraction: num([0.2, 0.8]),
  ph: num([2.5, 11]),
  bufferMeqPerLPerPh: num([0, 500]),
  airEntryCm: num([0, 50]).default(0),
  bufferSlopePerPh: num([0, 0.35]).default(0),
  carbonateMeqPerL: num([0, 2000]).default(0),
  moistureAsBoughtPctWb: num([0, 90]),
  cohesion: num([0, 1]),
  saltsMeqPerL: num([0, 500]),
  availableNMgPerL: num([0, 5000]),
  availablePMgPerL: num([0, 5000]),
  availableKMgPerL: num([0, 10000]),
  availableCaMgPerL: num([0, 10000]),
  availableMgMgPerL: num([0, 5000]),
  nh4NMgPerL: num([0, 5000]).default(0),
  naMgPerL: num([0, 10000]).default(0),
  clMgPerL: num([0, 10000]).default(0),
  drawdownMgNPerL: num([0, 1000]).default(0),
  doubt: num(limits.doubt).default(1),
  ...besideFigures,
};

/** A whole row of the material table. */
export const materialRowSchema = z.strictObject({
  id: slug,
  name: text(120),
  family: oneOf(families),
  role: oneOf(roles),
  make: oneOf(makes),
  ...physical,
  peatFree: yesNoOrBit,
  renewableWithinDecades: yesNoOrBit,
  dusty: yesNoOrBit,
  crushes: yesNoOrBit.default(false),
  living: yesNoOrBit.default(false),
}) satisfies z.ZodType<MaterialRow>;

/**
 * A material described in a request. What makes the water, air and pH must be given; the rest has the
 * defaults written here: nothing dissolved, nothing binding, dry, and free of peat.
 */
export const propertiesSchema = z
  .strictObject({
    ...physical,
    id: slug.default('described'),
    name: text(120).default('Described material'),
    family: oneOf(families).default('other'),
    role: oneOf(roles).default('water'),
    make: oneOf(makes).optional(),
    maxParticleMm: physical.maxParticleMm.optional(),
    packingFraction: physical.packingFraction.default(0.55),
    moistureAsBoughtPctWb: physical.moistureAsBoughtPctWb.default(0),
    cohesion: physical.cohesion.default(0),
    saltsMeqPerL: physical.saltsMeqPerL.default(0),
    availableNMgPerL: physical.availableNMgPerL.default(0),
    availablePMgPerL: physical.availablePMgPerL.default(0),
    availableKMgPerL: physical.availableKMgPerL.default(0),
    availableCaMgPerL: physical.availableCaMgPerL.default(0),
    availableMgMgPerL: physical.availableMgMgPerL.default(0),
    peatFree: yesNoOrBit.default(true),
    renewableWithinDecades: yesNoOrBit.default(true),
    dusty: yesNoOrBit.default(false),
    crushes: yesNoOrBit.default(false),
    living: yesNoOrBit.default(false),
  })
  .transform((given): MaterialRow => ({
    ...given,
    maxParticleMm: given.maxParticleMm ?? given.particleMm,
    make: given.make ?? (given.role === 'water' || given.role === 'food' ? 'organic' : 'mineral'),
  }));
