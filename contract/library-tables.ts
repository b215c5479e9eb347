import Papa from 'papaparse';
import { z } from 'zod';
import { flag, num, oneOf, text } from '#contract/fields';
import { amendmentForms, amendmentKinds, type Amendment } from '#core/material/amendment';
import { families } from '#core/material/families';
import { makes, materialFromRow, roles, type Material, type MaterialRow } from '#core/material/material';

const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, { error: 'must be a short id of a–z, 0–9 and -' });

const physical = {
  dryBulkDensityGPerL: num(5, 2200),
  totalPorosityPct: num(5, 99.5),
  waterAt10CmPct: num(0, 99.5),
  waterAt50CmPct: num(0, 99.5),
  waterAt100CmPct: num(0, 99.5),
  particleMm: num(0.01, 50),
  maxParticleMm: num(0.01, 100),
  packingFraction: num(0.2, 0.8),
  ph: num(2.5, 11),
  bufferMeqPerLPerPh: num(0, 500),
  moistureAsBoughtPctWb: num(0, 90),
  cohesion: num(0, 1),
  saltsMeqPerL: num(0, 500),
  availableNMgPerL: num(0, 5000),
  availablePMgPerL: num(0, 5000),
  availableKMgPerL: num(0, 10000),
  availableCaMgPerL: num(0, 10000),
  availableMgMgPerL: num(0, 5000),
};

/** A whole row of the material table. */
export const materialRowSchema = z.strictObject({
  id,
  name: text(120),
  family: oneOf(families),
  role: oneOf(roles),
  make: oneOf(makes),
  ...physical,
  peatFree: flag,
  renewableWithinDecades: flag,
  dusty: flag,
});

/**
 * A material described in a request. What makes the water, air and pH must be given; the rest has the
 * defaults written here: nothing dissolved, nothing binding, dry, and free of peat.
 */
export const propertiesSchema = z
  .strictObject({
    ...physical,
    id: id.default('described'),
    name: text(120).default('Described material'),
    family: oneOf(families).default('other'),
    role: oneOf(roles).default('water'),
    make: oneOf(makes).optional(),
    maxParticleMm: physical.maxParticleMm.optional(),
    packingFraction: physical.packingFraction.default(0.55),
    moistureAsBoughtPctWb: physical.moistureAsBoughtPctWb.default(0),
    cohesion: physical.cohesion.default(0),
    saltsMeqPerL: physical.saltsMeqPerL.default(0),
    availableNMgPerL: physical.availableNMgPerL.default(0),
    availablePMgPerL: physical.availablePMgPerL.default(0),
    availableKMgPerL: physical.availableKMgPerL.default(0),
    availableCaMgPerL: physical.availableCaMgPerL.default(0),
    availableMgMgPerL: physical.availableMgMgPerL.default(0),
    peatFree: flag.default(true),
    renewableWithinDecades: flag.default(true),
    dusty: flag.default(false),
  })
  .transform((given): MaterialRow => ({
    ...given,
    maxParticleMm: given.maxParticleMm ?? given.particleMm,
    make: given.make ?? (given.role === 'water' || given.role === 'food' ? 'organic' : 'mineral'),
  }));

export const amendmentSchema = z.strictObject({
  id,
  name: text(120),
  kind: oneOf(amendmentKinds),
  form: oneOf(amendmentForms),
  nPct: num(0, 100),
  p2O5Pct: num(0, 100),
  k2OPct: num(0, 100),
  caPct: num(0, 100),
  mgPct: num(0, 100),
  sPct: num(0, 100),
  ccePct: num(0, 200),
  passing2360UmPct: num(0, 100),
  passing250UmPct: num(0, 100),
  solubleSaltsMeqPerG: num(0, 40),
  organicNReleaseFraction: num(0, 1),
  releaseRatePerWeek20C: num(0, 20),
  longevityWeeks21C: num(0, 120),
  bulkDensityGPerMl: num(0.05, 5),
  caution: z.enum(['dust', 'caustic', 'oxidiser', '']),
});

/** Reads materials.csv. @throws RangeError naming line, column, value and range */
export function materialsFromCsv(csv: string): Material[] {
  return readCsv(csv, materialRowSchema).map(materialFromRow);
}

/** Reads amendments.csv. @throws RangeError naming line, column, value and range */
export function amendmentsFromCsv(csv: string): Amendment[] {
  return readCsv(csv, amendmentSchema);
}

/** Column name to field name: `water_at_10cm_pct` → `waterAt10CmPct`. A letter behind a digit starts a word too. */
const camel = (snake: string): string =>
  snake
    .trim()
    .replace(/(_|(?<=\d))([a-z0-9])/g, (_, gap: string, c: string) =>
      gap || /[a-z]/.test(c) ? c.toUpperCase() : c,
    );

function readCsv<T>(csv: string, schema: z.ZodType<T>): T[] {
  const parsed = Papa.parse<Record<string, unknown>>(csv, {
    header: true,
    skipEmptyLines: true,
    transformHeader: camel,
    transform: (value) =>
      (value.trim() !== '' && Number.isFinite(Number(value)) ? Number(value) : value.trim()) as string,
  });
  return parsed.data.map((row, index) => {
    const result = schema.safeParse(row);
    if (result.success) return result.data;
    const first = result.error.issues[0]!;
    const column = first.path.join('.');
    throw new RangeError(
      `line ${index + 2}, ${column}: ${first.message}, was ${JSON.stringify(row[column])}`,
    );
  });
}
