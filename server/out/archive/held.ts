import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { z } from 'zod';
import { cropSchema } from '#contract/crop';
import { allowedBy, day, moment, taking } from '#contract/fields';
import { lotTestSchema, newLotSchema } from '#contract/lots';
import { figuresSchema } from '#contract/mixes';
import { changedLineSchema, seasonSettingsSchema } from '#contract/plan';
import { keptPlantingSchema, keptTrialSchema, oddsSchema, plantEventSchema } from '#contract/plants';
import { keptDataSchema, readEntryData } from '#contract/record';
import { recipeSchema } from '#contract/recipe';
import { readSnapshot } from '#contract/snapshot';
import { vesselKindSchema } from '#contract/vessel';
import { keptWaterSchema } from '#contract/water';
import { keptKeepingsSchema } from '#contract/keeping';
import { ownWindowsSchema } from '#contract/windows';
import { OutOfRange } from '#core/units/check';
import { isTimeZone } from '#core/units/day';
import { readMaterial, readProduct } from '#server/kept/library/library';
import { type Db } from '#server/base/database/db';
import { tablesOf } from '#server/out/archive/form';

/** What columns of JSON hold, where the contract knows it. What an older version wrote may have less. */
export const held: Readonly<Record<string, z.ZodType>> = {
  'plantings.row': keptPlantingSchema,
  'plant_events.data': plantEventSchema,
  'trials.row': keptTrialSchema,
  'entries.data': keptDataSchema,
  'mix_versions.recipe': recipeSchema,
  'mix_versions.figures': figuresSchema,
  'lots.from': newLotSchema.shape.from,
  'lots.seed': newLotSchema.shape.seed,
  'lot_tests.values': lotTestSchema,
  'season_lines.row': changedLineSchema,
  'crops.row': cropSchema,
  'vessels.row': vesselKindSchema,
  'waters.row': keptWaterSchema,
};

type Row = Readonly<Record<string, string | number | null>>;

/** What must agree between a column and what the JSON beside it says. */
const agree = (column: string, is: unknown, says: unknown): void => {
  if (is !== says) throw new OutOfRange(column, is, allow('allowed.as-beside', { is: String(says) }));
};

/** By table and column of JSON, where more is asked than its schema says. */
const read: Readonly<Record<string, (stored: unknown, row: Row) => void>> = {
  'batches.snapshot': (stored) => void readSnapshot(stored),
  'entries.data': (stored, row) =>
    agree('kind', row['kind'], readEntryData(stored, Number(row['format'])).kind),
  'plant_events.data': (stored, row) => {
    const { kind, on } = plantEventSchema.parse(stored);
    agree('kind', row['kind'], kind);
    agree('day', row['day'], on);
  },
  'plantings.row': (stored, row) => {
    const { crop, on, batch } = keptPlantingSchema.parse(stored);
    agree('crop', row['crop'], crop);
    agree('begun_on', row['begun_on'], on);
    agree('batch_id', row['batch_id'], batch);
  },
  'items.row': (_, row) => {
    const stored = row as unknown as Parameters<typeof readMaterial>[0];
    if (row['kind'] === 'material') readMaterial(stored);
    else readProduct(stored);
  },
};

const text = (schema: z.ZodType) => (value: string) => void schema.parse(JSON.parse(value));
/** What the folder knows of itself, by its keys; of others nothing is asked. */
const ofFolder: Readonly<Record<string, (value: string) => void>> = {
  season: text(seasonSettingsSchema),
  windows: text(ownWindowsSchema),
  keeping: text(keptKeepingsSchema),
  odds: text(oddsSchema),
  id: (value) =>
    void z
      .string()
      .regex(/^[0-9a-f]{32}$/, taking(allow('allowed.hex', none)))
      .parse(value),
  demo: (value) =>
    void z
      .string()
      .regex(/^\d{1,3}$/, taking(allow('allowed.whole', { low: 0, high: 999 })))
      .parse(value),
  'time-zone': (value) => {
    if (!isTimeZone(value)) throw new OutOfRange('value', value, allow('allowed.time-zone', none));
  },
};

const lotKind = newLotSchema.shape.kind;
const days = new Set(['day', 'made_on', 'begun_on', 'received_on', 'ready_on']);
const moments = new Set(['at', 'created_at', 'deleted_at', 'made_at', 'shelved_at']);

function checkRow(table: string, row: Row, json: readonly string[]): void {
  for (const [column, value] of Object.entries(row)) {
    if (value === null) continue;
    const asked = days.has(column) ? day : moments.has(column) ? moment : null;
    const wrong = asked?.safeParse(value).error?.issues[0];
    if (wrong) throw new OutOfRange(column, value, allowedBy(wrong));
  }
  if (table === 'lots') lotKind.parse(row['kind']);
  if (table === 'folder') ofFolder[String(row['key'])]?.(String(row['value']));
  for (const column of json) {
    const name = `${table}.${column.replace(/_json$/, '')}`;
    const value = row[column] ?? null;
    const stored: unknown = value === null ? null : JSON.parse(String(value));
    try {
      if (read[name]) read[name](stored, row);
      else if (value !== null) held[name]?.parse(stored);
    } catch (error) {
      if (!(error instanceof z.ZodError)) throw error;
      const first = error.issues[0]!;
      const path = [column.replace(/_json$/, ''), ...first.path.map(String)].join('.');
      throw new OutOfRange(path, null, allowedBy(first));
    }
  }
}

/**
 * Every row of every table by the schema of its table, and all JSON in it by its own.
 * @param db of the newest schema
 * @throws OutOfRange naming table, row and field
 */
export function checkRows(db: Db): void {
  for (const { table, columns } of tablesOf(db)) {
    const json = columns.flatMap(({ column, kind }) => (kind === 'json' ? [column] : []));
    const names = columns.map(({ column }) => `"${column}"`).join(', ');
    for (const row of db.prepare(`SELECT ${names} FROM "${table}"`).iterate() as Iterable<Row>)
      try {
        checkRow(table, row, json);
      } catch (error) {
        if (!(error instanceof OutOfRange) && !(error instanceof z.ZodError)) throw error;
        const which = String(row['id'] ?? row['key'] ?? '');
        const [{ argument, value, allowed }] = [
          error instanceof OutOfRange
            ? error
            : { argument: '', value: null, allowed: allowedBy(error.issues[0]!) },
        ];
        throw new OutOfRange(`archive: ${table}, row ${which}${argument && `, ${argument}`}`, value, allowed);
      }
  }
}
