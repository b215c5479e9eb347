import { z } from 'zod';
import { num, oneOf, slug, text, yesNoOrBit } from '#contract/fields';
import { amendmentForms, amendmentKinds, type Amendment } from '#core/material/amendment';

const pct = num([0, 100]);

export const amendmentSchema = z.strictObject({
  id: slug,
  name: text(120),
  kind: oneOf(amendmentKinds),
  form: oneOf(amendmentForms).default(''),
  nPct: pct,
  p2O5Pct: pct,
  k2OPct: pct,
  caPct: pct,
  mgPct: pct,
  sPct: pct,
  ccePct: num([0, 200]),
  passing2360UmPct: pct,
  passing250UmPct: pct,
  solubleSaltsMeqPerG: num([0, 40]),
  organicNReleaseFraction: num([0, 1]),
  releaseRatePerWeek20C: num([0, 20]),
  longevityWeeks21C: num([0, 120]),
  bulkDensityGPerMl: num([0.05, 5]),
  caution: oneOf(['dust', 'caustic', 'oxidiser', '']).default(''),
  coarseCredit: num([0, 1]).default(0.5),
  solubilityGPerL: num([0, 1000]).default(0),
  nh4ShareOfNPct: pct.default(0),
  grainMg: num([0, 1000]).default(0),
  mostYoungGPerL: num([0, 1000]).default(0),
  mostPottingGPerL: num([0, 1000]).default(0),
  ceilingReason: text(200).or(z.literal('')).default(''),
  traces: yesNoOrBit.optional(),
}) satisfies z.ZodType<Amendment>;
