import Papa from 'papaparse';
import { z } from 'zod';
import { allowedBy } from '#contract/fields';
import { allow } from '#core/units/allowed';
import { inShort } from '#core/units/check';
import { none } from '#core/units/message';
import { type RowFacts } from '#core/units/row';

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

/** What a spreadsheet would run: a sign before a digit too, unless the cell is a number as a whole. */
export const RUNS = /^(?:[=@\t\r]|[+-](?!\d*\.?\d+(?:[eE][+-]?\d+)?$))/;

/** Something a spreadsheet would run is written behind a quote, and read without it. */
const disarmed = /^'(?=[=+\-@\t\r])/;

/** More would keep everybody else waiting. */
export const MOST_ROWS = 700;

/** A file that cannot be taken: the line, mostly the column, what is allowed and what stood there. */
export class RowProblem extends Error {
  constructor(
    readonly row: RowFacts,
    options?: ErrorOptions,
  ) {
    const where = [row.line === null ? '' : `line ${row.line}`, row.column ?? ''].filter(
      (part) => part !== '',
    );
    const was = row.was === undefined ? '' : `, was ${JSON.stringify(row.was)}`;
    super(`${where.join(', ')}: must be ${inShort(row.allowed)}${was}`, options);
  }
}

export interface CsvRow<T> {
  /** In the file, the header being the first. */
  line: number;
  row: T;
}

/**
 * Reads a table. Empty cells are left out, so that defaults fill them; numbers are numbers, but where the schema wants
 * words: a sort called 00123 stays it.
 * @throws RowProblem naming line, column, value and what is allowed
 */
export function readCsv<T>(csv: string, schema: z.ZodType<T>): CsvRow<T>[] {
  const words = wordsOf(schema);
  const { data, errors, meta } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => camel(name),
    transform: (value) => value.trim(),
  });
  const broken = errors.find(({ code }) => code === 'TooManyFields' || code === 'MissingQuotes');
  if (broken)
    throw new RowProblem({
      line: (broken.row ?? 0) + 2,
      column: null,
      allowed: allow('allowed.whole-row', none),
    });
  if (data.length > MOST_ROWS)
    throw new RowProblem({
      line: MOST_ROWS + 2,
      column: null,
      allowed: allow('allowed.most-rows', { most: MOST_ROWS }),
    });
  if (!meta.fields || meta.fields.length === 0)
    throw new RowProblem({ line: 1, column: null, allowed: allow('allowed.header', none) });
  return data.map((cells, index) => {
    const filled = Object.entries(cells).filter(([, cell]) => cell !== '');
    const row = Object.fromEntries(filled.map(([name, cell]) => [name, valueOf(cell, words.has(name))]));
    const result = schema.safeParse(row);
    const line = index + 2;
    if (result.success) return { line, row: result.data };
    const first = result.error.issues[0]!;
    if (first.code === 'unrecognized_keys')
      throw new RowProblem({
        line: 1,
        column: first.keys.map(snake).join(', '),
        allowed: allow('allowed.column', none),
      });
    const column = first.path.map(String).join('.');
    throw new RowProblem({
      ...{ line, column: snake(column), allowed: allowedBy(first) },
      was: row[column] ?? 'nothing there',
    });
  });
}

/** Fields that hold words, whatever they look like. */
function wordsOf(schema: z.ZodType): ReadonlySet<string> {
  const { properties = {} } = z.toJSONSchema(schema, { io: 'output', unrepresentable: 'any' }) as {
    properties?: Record<string, { type?: string; anyOf?: { type?: string }[] }>;
  };
  const isText = ({ type, anyOf }: { type?: string; anyOf?: { type?: string }[] }): boolean =>
    type === 'string' || (anyOf?.every((each) => each.type === 'string' || each.type === 'null') ?? false);
  return new Set(Object.keys(properties).filter((name) => isText(properties[name]!)));
}

function valueOf(cell: string, isWord: boolean): string | number {
  if (!isWord && Number.isFinite(Number(cell))) return Number(cell);
  return cell.replace(disarmed, '');
}

/** Writes a table; yes and no as 1 and 0. */
export function writeCsv(
  fields: readonly string[],
  rows: readonly Readonly<Record<string, unknown>>[],
): string {
  const cell = (value: unknown): unknown => (typeof value === 'boolean' ? Number(value) : (value ?? ''));
  return Papa.unparse(
    { fields: fields.map(snake), data: rows.map((row) => fields.map((field) => cell(row[field]))) },
    { escapeFormulae: RUNS, newline: '\n' },
  );
}
