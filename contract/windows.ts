import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { num, taking } from '#contract/fields';
import { stages } from '#core/mix/stage';
import { type WindowId, windowIds, windowLimits } from '#core/mix/windows-asked';
import { cropGroups, type OwnWindows } from '#core/recipe/windows-wanted';
import { limits } from '#core/units/limits';

const windowSchema = (id: WindowId) => {
  const end = num(limits[windowLimits[id]]);
  return z
    .strictObject({ low: end, high: end })
    .refine(({ low, high }) => low < high, taking(allow('allowed.low-below-high', none)))
    .optional();
};
const askedSchema = z.strictObject(
  Object.fromEntries(windowIds.map((id) => [id, windowSchema(id)])) as Record<
    WindowId,
    ReturnType<typeof windowSchema>
  >,
);

/** Windows that the nursery set for itself: by stage, and for groups of crops. What is not named is the usual one. */
export const ownWindowsSchema = z.strictObject({
  stages: z.partialRecord(z.enum(stages), askedSchema),
  crops: z.partialRecord(z.enum(cropGroups), askedSchema),
}) satisfies z.ZodType<OwnWindows>;
