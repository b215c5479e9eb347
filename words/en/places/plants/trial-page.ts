import { type Filling, line, place } from '#words/place';

export const trialPage = place('plants/trial-page', {
  theTrial: 'the trial',
  sownCellsInEachOf: (on: Filling, cells: Filling, count: Filling, seed: Filling) =>
    line`Sown ${on}, ${cells} cells in each of ${count} trays; order from starting number ${seed}.`,
  traysInTheirPlacesTo: 'Trays in their places, to be counted',
  block: 'Group ',
  block2: (block: Filling) => line`Group ${block}`,
  tray: (place: Filling) => line`tray ${place}`,
  theCountOfTrayBlock: (place: Filling, block: Filling) => line`the count of tray ${place}, group ${block}`,
  notSaved: (why: Filling) => line`Not saved: ${why}.`,
  labelsForTheTrays: 'Labels for the trays',
  printTheLayout: 'Print the layout',
  cameUp: 'came up',
  ofTraysAreNotCounted: (open: Filling, count: Filling) =>
    line` ${open} of ${count} trays are not counted yet.`,
  noResultBeforeEachMix: 'No result before each mix is counted.',
  aWholeNumberFrom0: (begun: Filling, typed: Filling) =>
    line`A whole number from 0 to ${begun}, not “${typed}”`,
});
