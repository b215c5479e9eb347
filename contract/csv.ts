import Papa from 'papaparse';
import { type z } from 'zod';

/** Column name to field name: `water_at_10cm_pct` → `waterAt10CmPct`. A letter behind a digit starts a word too. */
export const camel = (snake: string): string =>
  snake
    .trim()
    .replace(/(_|(?<=\d))([a-z0-9])/g, (_, gap: string, c: string) =>
      gap || /[a-z]/.test(c) ? c.toUpperCase() : c,
    );

/** The other way: `waterAt10CmPct` → `water_at_10cm_pct`. */
export const snake = (field: string): string =>
  field
    // A single letter behind a digit belongs to it: k2o, 20c.
    .replace(/(?<=\d)[A-Z](?![a-z])/g, (c) => c.toLowerCase())
    .replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`)
    .replace(/(?<=[a-z]{2})\d/g, (c) => `_${c}`);

/** Something a spreadsheet would run is written behind a quote, and read without it. */
const disarmed = /^'(?=[=+\-@\t\r])/;

export interface CsvRow<T> {
  /** In the file, the header being the first. */
  line: number;
  row: T;
}

/**
 * Reads a table. Empty cells are left out, so that defaults fill them; numbers are numbers.
 * @throws RangeError naming line, column, value and what is allowed
 */
export function readCsv<T>(csv: string, schema: z.ZodType<T>): CsvRow<T>[] {
  const { data, errors, meta } = Papa.parse<Record<string, unknown>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => camel(name),
    transform: (value) => {
      const cell = value.trim();
      return (
        cell !== '' && Number.isFinite(Number(cell)) ? Number(cell) : cell.replace(disarmed, '')
      ) as string;
    },
  });
  const broken = errors.find(({ code }) => code === 'TooManyFields' || code === 'MissingQuotes');
  if (broken) throw new RangeError(`line ${(broken.row ?? 0) + 2}: ${broken.message}`);
  if (!meta.fields || meta.fields.length === 0)
    throw new RangeError('line 1: must be a header with column names');
  return data.map((cells, index) => {
    const row = Object.fromEntries(Object.entries(cells).filter(([, cell]) => cell !== ''));
    const result = schema.safeParse(row);
    const line = index + 2;
    if (result.success) return { line, row: result.data };
    const first = result.error.issues[0]!;
    if (first.code === 'unrecognized_keys')
      throw new RangeError(`line 1, ${first.keys.map(snake).join(', ')}: no such column`);
    const column = first.path.map(String).join('.');
    const was = row[column] === undefined ? 'nothing there' : `was ${JSON.stringify(row[column])}`;
    throw new RangeError(`line ${line}, ${snake(column)}: ${first.message}, ${was}`);
  });
}

/** Writes a table; yes and no as 1 and 0. */
export function writeCsv(
  fields: readonly string[],
  rows: readonly Readonly<Record<string, unknown>>[],
): string {
  const cell = (value: unknown): unknown => (typeof value === 'boolean' ? Number(value) : (value ?? ''));
  return Papa.unparse(
    { fields: fields.map(snake), data: rows.map((row) => fields.map((field) => cell(row[field]))) },
    { escapeFormulae: /^(?:[=@\t\r]|[+-](?!\d))/, newline: '\n' },
  );
}
