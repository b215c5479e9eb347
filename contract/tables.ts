import { z } from 'zod';
import { oneOf, text, yesNo } from '#contract/fields';

/** Tables that go in and out as CSV. */
export const tableNames = [
  ...(['materials', 'products', 'vessels', 'lots', 'crops', 'season'] as const),
  ...(['plantings', 'plant-events'] as const),
] as const;
export const tableNameSchema = oneOf(tableNames);
export type TableName = z.output<typeof tableNameSchema>;

export const tableSchema = z.object({
  table: tableNameSchema,
  /** The name of a file for it. */
  file: z.string(),
  csv: z.string(),
});

export const tableInSchema = z.strictObject({
  csv: text(2_000_000),
  /** Only says what would come of it. */
  dry: yesNo.default(false),
});

/** What came of a table: all rows were taken, or none. */
export const takenSchema = z.object({
  rows: z.number(),
  added: z.array(z.string()),
  changed: z.array(z.string()),
  /** Rows that stand there already, word for word. */
  same: z.number(),
});
export type Taken = z.output<typeof takenSchema>;
