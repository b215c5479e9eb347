import { z } from 'zod';
import { num, oneOf } from '#contract/fields';
import { dampnesses, heats, type Kit } from '#core/batch/kit';
import { limits } from '#core/units/limits';

/** What the maker works with. */
export const kitSchema = z.strictObject({
  tubLitres: num(limits.tubLitres),
  liftKg: num(limits.liftKg),
  kettleLitres: num(limits.kettleLitres),
  heat: oneOf(heats),
  heatLossPct: num(limits.heatLossPct).optional(),
  breakPct: num(limits.breakPct).optional(),
  comes: z.record(z.string(), oneOf(dampnesses)).optional(),
}) satisfies z.ZodType<Kit>;

/** As it was kept when heat was yes or no. */
export const keptKitSchema = z.preprocess(
  (kit) =>
    kit && typeof kit === 'object' && 'heat' in kit && typeof kit.heat === 'boolean'
      ? { ...kit, heat: kit.heat ? 'boiling' : 'none' }
      : kit,
  kitSchema,
);
