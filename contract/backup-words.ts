/** Tables of a backup of which a person knows what they are, and what one and several of their rows are called. */
export const countedNames = {
  batches: ['batch', 'batches'],
  entries: ['entry of batches', 'entries of batches'],
  mixes: ['mix', 'mixes'],
  lots: ['lot', 'lots'],
  season_lines: ['line of the season', 'lines of the season'],
  plantings: ['planting', 'plantings'],
  plant_events: ['entry of plants', 'entries of plants'],
  plant_pictures: ['picture', 'pictures'],
} as const;
export type CountedTable = keyof typeof countedNames;
export const countedTables = Object.keys(countedNames) as CountedTable[];

/** As "2 batches, 1 lot"; empty where there is nothing. */
export const countsSay = (counts: Readonly<Record<CountedTable, number>>): string =>
  countedTables
    .filter((table) => counts[table] > 0)
    .map((table) => `${counts[table]} ${countedNames[table][counts[table] === 1 ? 0 : 1]}`)
    .join(', ');

/** What is there now and not in a backup; empty where nothing is. */
export const missingIn = (
  now: Readonly<Record<CountedTable, number>>,
  backup: Readonly<Record<CountedTable, number>>,
): string => {
  const gone = Object.fromEntries(
    countedTables.map((table) => [table, Math.max(0, now[table] - backup[table])]),
  );
  const says = countsSay(gone as Record<CountedTable, number>);
  return says && `Not in it, and out of sight afterwards: ${says}.`;
};
