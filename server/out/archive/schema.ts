import { z } from 'zod';
import { type TableColumn, type Table } from '#server/out/archive/form';
import { held } from '#server/out/archive/held';

const says: Readonly<Record<string, string>> = {
  id: 'Number or name of the row',
  key: 'Key that the device gave it: the same key twice is one thing',
  at: 'When it was entered, ISO 8601, UTC',
  created_at: 'When it was kept, ISO 8601, UTC',
  deleted_at: 'When it was archived, ISO 8601, UTC; null while it is not',
  day: 'Calendar day of the nursery, YYYY-MM-DD',
  made_on: 'Calendar day of the nursery, YYYY-MM-DD',
  begun_on: 'Calendar day of the nursery, YYYY-MM-DD',
  received_on: 'Calendar day of the nursery, YYYY-MM-DD',
  quantity: 'Litres of a material, kilograms of a product, single vessels and seeds',
  amount: 'Litres of a material, kilograms of a product, single vessels and seeds',
  litres: 'Litres, level',
  heaped_litres: 'Litres, heaped',
  origin: 'starter: comes with Welcome; user: your own',
};

function schemaOf(table: string, { name, kind, nullable }: TableColumn): object {
  const existing = held[`${table}.${name}`];
  const usual =
    kind === 'json'
      ? { type: 'object' }
      : { type: { text: 'string', integer: 'integer', real: 'number' }[kind] };
  const { $schema: _, ...it } = (
    existing
      ? z.toJSONSchema(existing, { io: 'input', unrepresentable: 'any', target: 'draft-2020-12' })
      : usual
  ) as Record<string, unknown>;
  const said = says[name] && !existing ? { description: says[name] } : {};
  return nullable ? { anyOf: [{ type: 'null' }, it], ...said } : { ...it, ...said };
}

/** JSON Schema of the lines of an archive: under `$defs`, one to each table. */
export function archiveSchema(tables: readonly Table[]): Record<string, unknown> {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Lines of an archive of Welcome',
    description: 'Each line of tables/NAME.jsonl is one JSON object as told under $defs/NAME.',
    $defs: Object.fromEntries(
      tables.map(({ table, columns }) => [
        table,
        {
          type: 'object',
          additionalProperties: false,
          required: columns.map(({ name }) => name),
          properties: Object.fromEntries(columns.map((column) => [column.name, schemaOf(table, column)])),
        },
      ]),
    ),
  };
}
