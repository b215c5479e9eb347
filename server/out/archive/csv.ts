import Papa from 'papaparse';
import { RUNS } from '#contract/csv';
import { type Table } from '#server/out/archive/form';

type Row = Record<string, unknown>;
const pieces = 'L of a material, kg of a product, single vessels and seeds';
/** Units of columns whose name does not tell them. */
const units: Readonly<Record<string, string>> = {
  litres: 'L',
  heaped_litres: 'L',
  quantity: pieces,
  amount: pieces,
  price: 'money',
  day: 'YYYY-MM-DD',
  made_on: 'YYYY-MM-DD',
  begun_on: 'YYYY-MM-DD',
  received_on: 'YYYY-MM-DD',
  ready_on: 'YYYY-MM-DD',
  at: 'UTC',
  created_at: 'UTC',
  deleted_at: 'UTC',
  width: 'pixels',
  height: 'pixels',
};
const headed = (name: string): string => (units[name] ? `${name} (${units[name]})` : name);

const cell = (value: unknown): string | number => {
  if (value === null || value === undefined) return '';
  return typeof value === 'string' || typeof value === 'number' ? value : JSON.stringify(value);
};

/**
 * A table for a spreadsheet: what a column of JSON holds stands in columns of its own, a level deep; deeper it is JSON.
 * Cells that a spreadsheet would run are disarmed.
 * @param rows as the lines of the archive
 */
export function csvOf({ columns }: Table, rows: readonly Row[]): string {
  const inner = new Map<string, Set<string>>();
  for (const { name, kind } of columns) {
    if (kind !== 'json') continue;
    const keys = new Set<string>();
    for (const row of rows) for (const key of Object.keys((row[name] as Row | null) ?? {})) keys.add(key);
    inner.set(name, keys);
  }
  const fields = columns.flatMap(({ name }) =>
    inner.has(name) ? [...inner.get(name)!].map((key) => `${name}.${key}`) : [headed(name)],
  );
  const data = rows.map((row) =>
    columns.flatMap(({ name }) =>
      inner.has(name)
        ? [...inner.get(name)!].map((key) => cell((row[name] as Row | null)?.[key]))
        : [cell(row[name])],
    ),
  );
  return `${Papa.unparse({ fields, data }, { escapeFormulae: RUNS, newline: '\n' })}\n`;
}
