import { limits } from '#core/units/limits';
import { z } from 'zod';
import { list, num, numbers, oneOf } from '#contract/fields';
import { type PackageUnit, packageUnits } from '#core/package/package';

const unit = oneOf(Object.keys(packageUnits) as [PackageUnit, ...PackageUnit[]]);

export const packageRequestSchema = z.strictObject({
  package: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('bag'), volume: num(limits.packageVolume), unit }),
    z.strictObject({
      kind: z.literal('bale'),
      volume: num(limits.packageVolume),
      unit,
      loosening: num(limits.loosening),
    }),
    z.strictObject({
      kind: z.literal('brick'),
      massKg: num(limits.packageKg),
      litresPerKg: num(limits.litresPerKg),
      waterLitresPerKg: num(limits.waterLitresPerKg).default(5),
    }),
    z.strictObject({
      kind: z.literal('bulk'),
      massKg: num(limits.packageKg),
      dryBulkDensityGPerL: num(limits.bulkDensityGPerL),
      moisturePctWb: num(limits.moisturePctWb),
    }),
  ]),
  screenLossPct: num(limits.screenLossPct).default(0),
  price: num(limits.price).optional(),
});

export const packageAnswerSchema = numbers('litres', 'usableLitres').extend({
  pricePerL: z.number().nullable(),
  waterToHydrateLitres: z.number().nullable(),
});

const money = num(limits.money);
const amount = num(limits.amount);

export const makeOrBuyRequestSchema = z.strictObject({
  litres: num(limits.boughtLitres),
  ingredients: list(z.strictObject({ litres: amount, pricePerL: money }), [0, 100], 'ingredients').default(
    [],
  ),
  doses: list(z.strictObject({ grams: amount, pricePerKg: money }), [0, 100], 'doses').default([]),
  labour: z.strictObject({ minutes: num(limits.labourMinutes), perHour: money }).optional(),
  outlay: money.optional(),
  bought: z.strictObject({ litres: num(limits.boughtLitres), price: money }),
});

export const makeOrBuyAnswerSchema = numbers('costMade', 'costPerL', 'bags', 'costBought', 'saved').extend({
  breakEvenLitres: z.number().nullable(),
});
