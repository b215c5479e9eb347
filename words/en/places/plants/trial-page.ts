import { type Filling, line, place } from '#words/place';

export const trialPage = place('plants/trial-page', {
  theTrial: 'the trial',
  sownCellsInEachOf: (on: Filling, cells: Filling, count: Filling, seed: Filling) =>
    line`Sown ${on}, ${cells} cells in each of ${count} trays; order from seed ${seed}.`,
  traysAsTheyStandTo: 'Trays as they stand, to be counted',
  block: 'Block ',
  block2: (block: Filling) => line`Block ${block}`,
  tray: (place: Filling) => line`tray ${place}`,
  theCountOfTrayBlock: (place: Filling, block: Filling) => line`the count of tray ${place}, block ${block}`,
  notTaken: (why: Filling) => line`Not taken: ${why}.`,
  labelsForTheTrays: 'Labels for the trays',
  printTheLayout: 'Print the layout',
  cameUp: 'came up',
  ofTraysAreNotCounted: (open: Filling, count: Filling) =>
    line` ${open} of ${count} trays are not counted yet.`,
  nothingToSayBeforeEach: 'Nothing to say before each arm is counted.',
  aWholeNumberFrom0: (begun: Filling, typed: Filling) =>
    line`A whole number from 0 to ${begun}, not “${typed}”`,
});
