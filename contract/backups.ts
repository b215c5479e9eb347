import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { z } from 'zod';
import { moment, oneOf, text, taking } from '#contract/fields';

export const backupCountsSchema = z.object({
  batches: z.number(),
  entries: z.number(),
  mixes: z.number(),
  lots: z.number(),
  season_lines: z.number(),
  plantings: z.number(),
  plant_events: z.number(),
  plant_pictures: z.number(),
});
/** Tables of a backup of which a person knows what they are. */
export type CountedTable = keyof z.output<typeof backupCountsSchema>;
export const countedTables = Object.keys(backupCountsSchema.shape) as CountedTable[];
export type BackupCounts = z.output<typeof backupCountsSchema>;

export const backupSchema = z.object({
  name: z.string(),
  at: moment,
  why: oneOf(['daily', 'asked', 'brought']),
  bytes: z.number(),
  counts: backupCountsSchema,
});
export type Backup = z.output<typeof backupSchema>;

export const backupsSchema = z.object({
  list: z.array(backupSchema),
  /** What the nursery holds now. */
  now: backupCountsSchema,
  /** A folder for a second copy of each; empty for none. */
  secondPlace: z.string(),
  /** Why the second place does not have the newest; empty where it does. */
  secondProblem: z.string(),
  /** Why the last one could not be made; empty where it could. */
  problem: z.string(),
});
export type Backups = z.output<typeof backupsSchema>;

export const secondPlaceSchema = z.strictObject({
  folder: z
    .string()
    .trim()
    .max(500, taking(allow('allowed.folder-there', none))),
});
export const restoreSchema = z.strictObject({ name: text(100) });
export const restoredSchema = z.object({
  /** Folder in which what was there is kept. */
  aside: z.string().nullable(),
});
