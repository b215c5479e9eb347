import { type CountedTable, countedTables } from '#contract/backups';
import { backupCounts } from '#words/en/places/backup-counts';
import { textsIn } from '#words/place';
import { type Language } from '#words/reader';

type Counts = Readonly<Record<CountedTable, number>>;

const each = {
  batches: 'batch',
  entries: 'entry',
  mixes: 'mix',
  lots: 'lot',
  season_lines: 'season_line',
  plantings: 'planting',
  plant_events: 'plant_event',
  plant_pictures: 'plant_picture',
} as const;

/** As "2 batches, 1 lot"; empty where there is nothing. */
export function countsSay(counts: Counts, language: Language): string {
  const texts = textsIn(backupCounts, language);
  return countedTables
    .filter((table) => counts[table] > 0)
    .map((table) => `${counts[table]} ${texts[counts[table] === 1 ? each[table] : table]}`)
    .join(', ');
}

/** What is there now and not in a backup; empty where nothing is. */
export function missingIn(now: Counts, backup: Counts, language: Language): string {
  const gone = Object.fromEntries(
    countedTables.map((table) => [table, Math.max(0, now[table] - backup[table])]),
  );
  const says = countsSay(gone as Record<CountedTable, number>, language);
  return says && textsIn(backupCounts, language).missing(says);
}
