import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { int, num, oneOf, slug, text, yesNo, taking } from '#contract/fields';
import { limits } from '#core/units/limits';
import { type VesselKind } from '#core/vessel/tray';
import { breathing, type Vessel } from '#core/vessel/vessel';

const mm = num(limits.vesselMm);
const headspaceMm = num(limits.headspaceMm).default(0);
const walled = { depthMm: mm, headspaceMm, holes: yesNo.optional(), walls: oneOf(breathing).optional() };
const pair = z.tuple(
  [mm, mm],
  taking(allow('allowed.two-numbers', { low: limits.vesselMm[0], high: limits.vesselMm[1] })),
);

export const vesselSchema = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({ shape: z.literal('round'), topMm: mm, baseMm: mm, ...walled }),
    z.strictObject({ shape: z.literal('rect'), topMm: pair, baseMm: pair, ...walled }),
    z.strictObject({
      shape: z.literal('block'),
      edgeMm: pair,
      depthMm: mm,
      holeMm: num(limits.holeMm).optional(),
    }),
  ],
  taking(allow('allowed.vessel-shape', none)),
) satisfies z.ZodType<Vessel>;

/** A vessel as it is bought and counted. */
export const vesselKindSchema = z.strictObject({
  id: slug,
  name: text(120),
  noun: text(30),
  vessel: vesselSchema,
  perTray: int(limits.perTray),
  usualCompaction: num([0, limits.compactionPct[1] / 100]),
  ownMix: yesNo.optional(),
  footprintM2: num(limits.trayM2).optional(),
  price: num(limits.price).optional(),
  uses: int(limits.vesselUses).optional(),
  minutesPerHundred: num(limits.labourMinutes).optional(),
}) satisfies z.ZodType<VesselKind>;
