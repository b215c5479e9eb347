import { z } from 'zod';
import { num, yesNo } from '#contract/fields';
import { type Kit } from '#core/batch/order-of-work';
import { limits } from '#core/units/limits';

/** What the maker works with. */
export const kitSchema = z.strictObject({
  tubLitres: num(limits.tubLitres),
  liftKg: num(limits.liftKg),
  kettleLitres: num(limits.kettleLitres),
  heat: yesNo,
}) satisfies z.ZodType<Kit>;
