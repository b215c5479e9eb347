import { z } from 'zod';
import { list, num, numbers, oneOf } from '#contract/fields';
import { moneyLimits } from '#core/money/make-or-buy';
import { packageLimits, type PackageUnit, packageUnits } from '#core/money/package';

const unit = oneOf(Object.keys(packageUnits) as [PackageUnit, ...PackageUnit[]]);

export const packageRequestSchema = z.strictObject({
  package: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('bag'), volume: num(packageLimits.volume), unit }),
    z.strictObject({
      kind: z.literal('bale'),
      volume: num(packageLimits.volume),
      unit,
      loosening: num(packageLimits.loosening),
    }),
    z.strictObject({
      kind: z.literal('brick'),
      massKg: num(packageLimits.massKg),
      litresPerKg: num(packageLimits.litresPerKg),
      waterLitresPerKg: num(packageLimits.waterLitresPerKg).default(5),
    }),
    z.strictObject({
      kind: z.literal('bulk'),
      massKg: num(packageLimits.massKg),
      dryBulkDensityGPerL: num(packageLimits.dryBulkDensityGPerL),
      moisturePctWb: num(packageLimits.moisturePctWb),
    }),
  ]),
  screenLossPct: num(packageLimits.screenLossPct).default(0),
  price: num(packageLimits.price).optional(),
});

export const packageAnswerSchema = numbers('litres', 'usableLitres').extend({
  pricePerL: z.number().nullable(),
  waterToHydrateLitres: z.number().nullable(),
});

const money = num(moneyLimits.money);
const amount = num(moneyLimits.amount);

export const makeOrBuyRequestSchema = z.strictObject({
  litres: num(moneyLimits.litres),
  ingredients: list(z.strictObject({ litres: amount, pricePerL: money }), [0, 100], 'ingredients').default(
    [],
  ),
  doses: list(z.strictObject({ grams: amount, pricePerKg: money }), [0, 100], 'doses').default([]),
  labour: z.strictObject({ minutes: num(moneyLimits.minutes), perHour: money }).optional(),
  outlay: money.optional(),
  bought: z.strictObject({ litres: num(moneyLimits.litres), price: money }),
});

export const makeOrBuyAnswerSchema = numbers('costMade', 'costPerL', 'bags', 'costBought', 'saved').extend({
  breakEvenLitres: z.number().nullable(),
});
