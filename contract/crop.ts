import { z } from 'zod';
import { clientKey, int, list, num, oneOf, slug, text, yesNo, yesNoOrBit } from '#contract/fields';
import { readCsv } from '#contract/csv';
import { stages } from '#core/mix/stage';
import {
  type Crop,
  cropCovers,
  cropKinds,
  cropLights,
  cropStarts,
  emergenceFrom,
  emergenceText,
  spareWays,
  stepsFrom,
  stepsText,
  tasksFrom,
  tasksText,
} from '#core/season/crop';
import { limits } from '#core/units/limits';

export const cropStepSchema = z.strictObject({
  vessel: slug,
  stage: oneOf(stages),
  weeks: num(limits.stepWeeks),
  lossPct: num(limits.lossPct),
  mostWeeks: num(limits.stepWeeks).optional(),
  mix: int([1, 1e9]).optional(),
});
export const cropStepsSchema = list(cropStepSchema, limits.cropSteps, 'vessels');

const figures = {
  kind: oneOf(cropKinds),
  start: oneOf(cropStarts),
  light: oneOf(cropLights),
  cover: oneOf(cropCovers),
  coverMm: num(limits.coverMm),
  perCell: int(limits.seedsPerCell),
  seedsPerCm2: num(limits.seedsPerCm2).optional(),
  spares: oneOf(spareWays),
  atLeaves: int(limits.leaves),
  germination: num(limits.germination),
  plantOutDays: int(limits.plantOutDays),
  earlierDays: int(limits.moveDays),
  laterDays: int(limits.moveDays),
  coldestC: num(limits.nightC),
  hardenDays: int(limits.moveDays),
  depth: oneOf(['deep', 'level']),
  firstFeedDays: int(limits.moveDays),
};

export const cropSchema = z.strictObject({
  id: slug,
  name: text(60),
  ...figures,
  steps: cropStepsSchema,
  emergence: z.array(z.tuple([num([-5, 45]), num([1, 400])])).max(20),
  acid: yesNo,
  tasks: list(
    z.strictObject({
      name: text(80),
      from: oneOf(['start', 'plant']),
      days: int(limits.plantOutDays),
      forDays: int(limits.moveDays).optional(),
    }),
    limits.cropTasks,
    'tasks',
  ),
}) satisfies z.ZodType<Crop>;

export const sourcedCropSchema = cropSchema.extend({ source: z.string(), own: z.boolean() });
export type SourcedCrop = z.output<typeof sourcedCropSchema>;

/** A crop of the nursery's own: "like this one, but…". */
export const newCropSchema = z.strictObject({
  key: clientKey,
  says: text(200),
  crop: cropSchema.omit({ id: true }),
});
export type NewCrop = z.output<typeof newCropSchema>;
export const changedCropSchema = newCropSchema.omit({ key: true });

/** A row of a table: the path, the days and the tasks are short texts there. */
export const cropCsv = z.strictObject({
  id: slug.optional(),
  name: text(60),
  ...figures,
  path: text(400),
  emergence: z.coerce.string().default(''),
  acid: yesNoOrBit.default(false),
  tasks: z.string().default(''),
  source: z.string().default(''),
});
type CropCsv = z.output<typeof cropCsv>;
export const cropFields = [
  ...['id', 'name', 'kind', 'start', 'path', 'emergence', 'light', 'cover', 'coverMm', 'perCell'],
  'seedsPerCm2',
  'spares',
  ...['atLeaves', 'germination', 'plantOutDays', 'earlierDays', 'laterDays', 'coldestC', 'hardenDays'],
  ...['depth', 'firstFeedDays', 'acid', 'tasks', 'source'],
];

/** @throws OutOfRange for a path, days or tasks that cannot be read */
export function cropOfRow({ path, emergence, tasks, source: _, id = '', ...row }: CropCsv): Crop {
  return {
    ...row,
    id,
    steps: stepsFrom(path, row.start),
    emergence: emergenceFrom(emergence),
    tasks: tasksFrom(tasks),
  };
}
export const rowOfCrop = ({ steps, emergence, tasks, ...crop }: Crop): Record<string, unknown> => ({
  ...crop,
  path: stepsText(steps),
  emergence: emergenceText(emergence),
  tasks: tasksText(tasks),
});

/** Reads crops.csv. @throws RangeError naming line, column, value and range */
export const cropsFromCsv = (csv: string): { crop: Crop; source: string }[] =>
  readCsv(csv, cropCsv).map(({ row }) => ({ crop: cropOfRow(row), source: row.source }));
