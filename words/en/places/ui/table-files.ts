import { type Filling, line, place } from '#words/place';

export const tableFiles = place('ui/table-files', {
  thisTable: 'This table',
  asAFile: (thisTable: Filling) => line`${thisTable} as a file`,
  saveItAsCsv: 'Save it as CSV',
  importACsv: 'Import a CSV',
  theUnitsStandInThe: (stays: Filling) =>
    line`The units stand in the header. Rows without an id are added; ${stays} One wrong row and nothing is taken.`,
  importIt: 'Import',
  whatWasSownStruckAnd: 'What was sown, struck and potted',
  whatHappenedToThem: 'What happened to them',
  whatIsThereStaysAs: 'what is there stays as it was entered.',
  yourOwnAreChangedWhat: 'your own are changed, what the library has from the start stays.',
  notSaved: (message: Filling) => line`Not saved: ${message}`,
  addedChanged: (count: Filling, count2: Filling) => line`${count} added, ${count2} changed.`,
  newChangedAsTheyAre: (rows: Filling, rows2: Filling, count: Filling, count2: Filling, same: Filling) =>
    line`${rows} ${rows2}: ${count} new, ${count2} changed, ${same} as they are.`,
  nothingWasTaken: (message: Filling) => line`Nothing was taken: ${message}`,
});
