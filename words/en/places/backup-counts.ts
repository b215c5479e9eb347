import { type Filling, line, place } from '#words/place';

/** What a backup holds: each kind of row, one of it and many. */
export const backupCounts = place('backup-counts', {
  batch: 'batch',
  batches: 'batches',
  entry: 'entry of batches',
  entries: 'entries of batches',
  mix: 'mix',
  mixes: 'mixes',
  lot: 'lot',
  lots: 'lots',
  season_line: 'line of the season',
  season_lines: 'lines of the season',
  planting: 'planting',
  plantings: 'plantings',
  plant_event: 'entry of plants',
  plant_events: 'entries of plants',
  plant_picture: 'picture',
  plant_pictures: 'pictures',
  missing: (what: Filling) => line`Not in it, and out of sight afterwards: ${what}.`,
});
