import { type Filling, line, many, place } from '#words/place';

export const tableFiles = place('ui/table-files', {
  thisTable: 'This table',
  asAFile: (thisTable: Filling) => line`${thisTable} as a file`,
  saveAsCsv: 'Save as CSV',
  importACsv: 'Import a CSV',
  unitsAreInTheHeader: (stays: Filling) =>
    line`Units are in the header. Rows without an id are added; ${stays} With one wrong row nothing is added.`,
  importIt: 'Import',
  whatWasSownStruckAnd: 'What was sown, struck and potted',
  whatHappenedToThem: 'What happened to them',
  whatIsThereStaysAs: 'what is there stays as entered.',
  yourOwnAreChangedWhat: 'your own are changed, the starter library’s stay.',
  notSaved: (message: Filling) => line`Not saved: ${message}`,
  addedChanged: (count: Filling, count2: Filling) => line`${count} added, ${count2} changed.`,
  newChangedAsTheyAre: (rows: number, count: Filling, count2: Filling, same: Filling) =>
    line`${rows} ${many(rows, 'row', 'rows')}: ${count} new, ${count2} changed, ${same} as they are.`,
  nothingWasTaken: (message: Filling) => line`Nothing was added: ${message}`,
});
