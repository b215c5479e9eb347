import { limits } from '#core/units/limits';
import { z } from 'zod';
import { num, numbers, oneOf, text } from '#contract/fields';
import { acids } from '#core/water/alkalinity';

export const waterRequestSchema = z.strictObject({
  alkalinityMgPerL: num(limits.alkalinityMgPerL),
  targetPh: num(limits.acidTargetPh),
  acid: oneOf(acids),
});
export const waterAnswerSchema = numbers('meqPerL', 'neutralisedShare').extend({
  acidMlPerL: z.number().optional(),
  /** In place of it where the acid is dry. */
  acidGPerL: z.number().optional(),
  adds: numbers('n', 'p'),
});

const pct = num([0, 100]);
export const liquidFeedRequestSchema = z.strictObject({
  product: z.union([
    text(60),
    z.strictObject({
      nPct: pct,
      p2O5Pct: pct.default(0),
      k2OPct: pct.default(0),
      caPct: pct.default(0),
      mgPct: pct.default(0),
      sPct: pct.default(0),
    }),
  ]),
  nMgPerL: num(limits.feedNMgPerL),
  injector: num(limits.injector).default(1),
  tankLitres: num(limits.tankLitres),
});
export const liquidFeedAnswerSchema = numbers('productGPerL', 'stockGPerL', 'tankGrams').extend({
  elementsMgPerL: numbers('n', 'p', 'k', 'ca', 'mg', 's'),
});
