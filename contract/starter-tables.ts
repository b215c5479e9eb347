import Papa from 'papaparse';
import { type z } from 'zod';
import { amendmentSchema } from '#contract/amendment';
import { materialRowSchema } from '#contract/material';
import { type Amendment } from '#core/material/amendment';
import { type MaterialRow } from '#core/material/material';

/** Reads materials.csv. @throws RangeError naming line, column, value and range */
export function materialRowsFromCsv(csv: string): MaterialRow[] {
  return readCsv(csv, materialRowSchema);
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
