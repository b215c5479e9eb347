import { z } from 'zod';
import { day, list, num, oneOf, yesNo } from '#contract/fields';
import { type DayForecast } from '#core/season/weather-risks';

export const instrumentKinds = ['scale', 'pen-ph', 'pen-ec', 'thermometer'] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];
export const faults = ['flat-battery', 'out-of-range', 'disconnected'] as const;
export type Fault = (typeof faults)[number];

const reading = num([-1_000_000, 1_000_000]);

export const calibrationSchema = z.object({
  at: z.iso.datetime(),
  references: z.array(z.number()),
  /** What it read in each reference before. */
  readBefore: z.array(z.number()),
  gain: z.number(),
  offset: z.number(),
});
export type Calibration = z.output<typeof calibrationSchema>;

export const instrumentSchema = z.object({
  id: z.string(),
  kind: oneOf(instrumentKinds),
  name: z.string(),
  unit: z.string(),
  low: z.number(),
  high: z.number(),
  /** Values to calibrate in: buffers, standard solution, a known weight, ice. */
  references: z.array(z.number()),
  calibrated: calibrationSchema.nullable(),
  simulated: z.boolean(),
});
export type InstrumentInfo = z.output<typeof instrumentSchema>;

export const instrumentReadingSchema = z.object({
  instrument: z.string(),
  at: z.iso.datetime(),
  value: z.number().nullable(),
  fault: oneOf(faults).nullable(),
});
export type InstrumentReading = z.output<typeof instrumentReadingSchema>;

export const calibrateSchema = z.strictObject({
  references: list(reading, [1, 3], 'values').optional(),
});
export const putSchema = z.strictObject({ truth: reading });
export const faultSchema = z.strictObject({ fault: oneOf(faults).nullable() });
export const weatherAnswersSchema = z.strictObject({ answers: yesNo });

export const forecastSchema = z.array(
  z.object({
    day,
    minC: z.number(),
    maxC: z.number(),
    rainMm: z.number(),
    windKmh: z.number().optional(),
  }) satisfies z.ZodType<DayForecast>,
);
