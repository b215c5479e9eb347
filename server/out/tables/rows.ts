import { allow } from '#core/units/allowed';
import { RowProblem } from '#contract/csv';
import { z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { int, num, oneOf, slug, text, yesNoOrBit } from '#contract/fields';
import { type Lot, newLotSchema } from '#contract/lots';
import { materialRowSchema } from '#contract/material';
import { type NewVessel } from '#contract/own';
import { stockUnits } from '#core/package/stock';
import { changedLineSchema } from '#contract/plan';
import { type Crop, stepsFrom, stepsText } from '#core/season/crop';
import { type SeasonLine } from '#core/season/line';
import { limits } from '#core/units/limits';
import { type VesselKind } from '#core/vessel/tray';
import { byShape, breathing } from '#core/vessel/vessel';

/** Id and note of where a row comes from: empty for a new one. */
const own = { id: slug.optional(), source: z.string().optional() };

/** Columns in the order of the file. What a material carries of feed stays in the archive: a cell cannot hold it. */
export const materialFields = [
  ...Object.keys(materialRowSchema.shape).filter((name) => !['sure', 'madeOf', 'carries'].includes(name)),
  'source',
];
export const materialCsv = materialRowSchema
  .omit({ id: true, sure: true, madeOf: true, carries: true })
  .extend({ ...own, name: text(80) });

export const productFields = [...Object.keys(amendmentSchema.shape), 'source'];
export const productCsv = amendmentSchema.omit({ id: true }).extend({ ...own, name: text(80) });

const mm = num(limits.vesselMm);
export const vesselFields = [
  ...['id', 'name', 'noun', 'shape', 'topMm', 'top2Mm', 'baseMm', 'base2Mm', 'depthMm', 'headspaceMm'],
  ...[
    'holes',
    'walls',
    'holeMm',
    'perTray',
    'usualFirmingPct',
    'ownMix',
    'footprintM2',
    'price',
    'uses',
    'minutesPerHundred',
  ],
  'source',
];
export const vesselCsv = z.strictObject({
  ...own,
  name: text(80),
  noun: text(30),
  shape: oneOf(['round', 'rect', 'block']),
  topMm: mm,
  top2Mm: mm.optional(),
  baseMm: mm.optional(),
  base2Mm: mm.optional(),
  depthMm: mm,
  headspaceMm: num(limits.headspaceMm).default(0),
  holes: yesNoOrBit.default(true),
  walls: oneOf(breathing).optional(),
  holeMm: num(limits.holeMm).optional(),
  perTray: int(limits.perTray),
  usualFirmingPct: num(limits.compactionPct).default(0),
  ownMix: yesNoOrBit.optional(),
  footprintM2: num(limits.trayM2).optional(),
  price: num(limits.price).optional(),
  uses: int(limits.vesselUses).optional(),
  minutesPerHundred: num(limits.labourMinutes).optional(),
});
export type VesselCsv = z.output<typeof vesselCsv>;

/** What is left out of a shape is as wide as its top; whether it can be is asked when it is kept. */
export function vesselOfRow(row: VesselCsv): NewVessel['kind'] {
  const {
    shape,
    topMm,
    top2Mm = topMm,
    baseMm = topMm,
    base2Mm = top2Mm,
    depthMm,
    headspaceMm,
    holes,
    walls: side,
    holeMm,
  } = row;
  const walls = { depthMm, headspaceMm, ...(!holes && { holes }), ...(side && { walls: side }) };
  const { ownMix, footprintM2, price, uses, minutesPerHundred } = row;
  return {
    name: row.name,
    noun: row.noun,
    vessel:
      shape === 'block'
        ? { shape, edgeMm: [topMm, top2Mm], depthMm, ...(holeMm !== undefined && { holeMm }) }
        : shape === 'round'
          ? { shape, topMm, baseMm, ...walls }
          : { shape, topMm: [topMm, top2Mm], baseMm: [baseMm, base2Mm], ...walls },
    perTray: row.perTray,
    usualCompaction: row.usualFirmingPct / 100,
    ...(ownMix && { ownMix }),
    ...{ footprintM2, price, uses, minutesPerHundred },
  };
}

export function rowOfVessel({ vessel, usualCompaction, ...kind }: VesselKind): Record<string, unknown> {
  const sizes = byShape<object>(vessel, {
    block: ({ edgeMm: [topMm, top2Mm], holeMm }) => ({ topMm, top2Mm, holeMm }),
    round: ({ topMm, baseMm }) => ({ topMm, baseMm }),
    rect: ({ topMm: [topMm, top2Mm], baseMm: [baseMm, base2Mm] }) => ({ topMm, top2Mm, baseMm, base2Mm }),
  });
  return {
    ...kind,
    ...sizes,
    shape: vessel.shape,
    depthMm: vessel.depthMm,
    headspaceMm: vessel.shape === 'block' ? 0 : vessel.headspaceMm,
    holes: vessel.shape === 'block' || vessel.holes !== false,
    walls: vessel.shape === 'block' ? undefined : vessel.walls,
    usualFirmingPct: Number((100 * usualCompaction).toPrecision(12)),
  };
}

export const lotFields = [
  ...['id', 'kind', 'item', 'name', 'receivedOn', 'quantity', 'unit', 'price', 'readyOn'],
  ...['seedYear', 'germination', 'left', 'note'],
];
const { kind, item, name, receivedOn, quantity, price, readyOn, note } = newLotSchema.shape;
export const lotCsv = z.strictObject({
  id: int([1, 1e9]).optional(),
  ...{ kind, item, name: z.coerce.string().pipe(name), receivedOn, quantity, price, readyOn, note },
  unit: z.string().optional(),
  seedYear: int([1900, 2200]).optional(),
  germination: num(limits.germination).optional(),
  left: z.unknown().optional(),
});
export type LotCsv = z.output<typeof lotCsv>;

export const rowOfLot = ({ seed, ...lot }: Lot): Record<string, unknown> => ({
  ...lot,
  unit: stockUnits[lot.kind],
  seedYear: seed?.year,
  germination: seed?.germination,
});

export const seasonFields = [
  ...[
    'id',
    'crop',
    'name',
    'plants',
    'plantOn',
    'offsetDays',
    'count',
    'everyDays',
    'sparePct',
    'confidence',
  ],
  ...['germination', 'seedCame', 'seedOf', 'seedYear', 'perCell', 'path', 'shifts', 'note'],
];
const line = changedLineSchema.shape;
export const seasonCsv = z.strictObject({
  id: int([1, 1e9]).optional(),
  ...{ crop: line.crop, plants: line.plants, plantOn: line.plantOn, offsetDays: line.offsetDays },
  ...{ count: line.count, everyDays: line.everyDays, sparePct: line.sparePct, confidence: line.confidence },
  ...{ germination: line.germination, seedYear: line.seedYear, perCell: line.perCell },
  name: z.coerce.string().max(60).default(''),
  seedCame: int([0, limits.seedTested[1]]).optional(),
  seedOf: int(limits.seedTested).optional(),
  path: text(400).optional(),
  shifts: z.coerce.string().default(''),
  note: z.coerce.string().max(2000).default(''),
});
export type SeasonCsv = z.output<typeof seasonCsv>;

/** @throws RowProblem for what does not go together, or cannot be read */
export function lineOfRow(
  { id: _, seedCame, seedOf, path, shifts, ...row }: SeasonCsv,
  start: Crop['start'],
) {
  if ((seedCame === undefined) !== (seedOf === undefined))
    throw new RowProblem({
      ...{ line: null, column: 'seed_came' },
      allowed: allow('allowed.both-or-neither', { columns: ['seed_of'] }),
    });
  return changedLineSchema.parse({
    ...row,
    seedTest: seedCame === undefined ? null : { came: seedCame, of: seedOf },
    steps: path === undefined ? null : stepsFrom(path, start),
    shifts: shifts.split(/[ ;]+/).filter(Boolean).map(Number),
  });
}
export const rowOfLine = ({ seedTest, steps, shifts, ...line }: SeasonLine): Record<string, unknown> => ({
  ...line,
  seedCame: seedTest?.came,
  seedOf: seedTest?.of,
  path: steps === null ? undefined : stepsText(steps),
  shifts: shifts.join(' '),
});
