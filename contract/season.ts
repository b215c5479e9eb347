import { z } from 'zod';
import { day, int, list, num, numbers, oneOf, text } from '#contract/fields';
import { vesselSchema } from '#contract/vessel';
import { limits } from '#core/units/limits';

const stepSchema = z.strictObject({
  vessel: vesselSchema,
  perTray: int(limits.perTray),
  trayM2: num(limits.trayM2),
  weeks: num(limits.stepWeeks),
  lossPct: num(limits.lossPct),
  seeds: z
    .strictObject({
      perCell: int(limits.seedsPerCell),
      germination: num(limits.germination),
      confidence: num(limits.confidence),
      keep: oneOf(['one', 'all']).default('one'),
    })
    .optional(),
});

export const seasonRequestSchema = z.strictObject({
  lastFrost: day,
  crops: list(
    z.strictObject({
      id: text(60),
      plants: int(limits.wantedPlants),
      plantOutDays: int(limits.plantOutDays),
      sparePct: num(limits.sparePct).default(0),
      sowings: z
        .strictObject({ count: int(limits.sowings), everyDays: int(limits.everyDays) })
        .default({ count: 1, everyDays: 1 }),
      steps: list(stepSchema, limits.cropSteps, 'steps'),
    }),
    limits.crops,
    'crops',
  ),
  benchM2: num(limits.benchM2).optional(),
});

export const seasonAnswerSchema = z.object({
  crops: z.array(
    z.object({
      id: z.string(),
      sowing: z.number(),
      plantOn: z.string(),
      steps: z.array(
        numbers('plants', 'cells', 'trays', 'litres', 'benchM2').extend({
          from: z.string(),
          to: z.string(),
          tooLongWeeks: z.number().nullable(),
        }),
      ),
    }),
  ),
  weeks: z.array(numbers('benchM2', 'litres').extend({ week: z.string(), over: z.boolean().nullable() })),
});
