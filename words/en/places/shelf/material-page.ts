import { type Filling, line, place } from '#words/place';

export const materialPage = place('shelf/material-page', {
  allMaterials: 'All materials',
  itsTests: 'its tests',
  figure: 'Figure',
  book: 'Book',
  yours: 'Yours',
  whereItLies: 'Where it lies',
  tests: 'Tests',
  eachIsOneStandardDeviation:
    'Each ± is one standard deviation. A test counts the more the surer it is against the book; every recipe with it is judged by your figure.',
  theTestsBelowDoNot: (misfit: Filling) =>
    line`The tests below do not fit it any more: ${misfit}. They change nothing: remove what is wrong.`,
  takenFromTheBookSo:
    'Taken from the book so far. One test at the bench makes it yours: it moves the figure and narrows the band.',
  testIt: 'Test it',
  whichTest: 'Which test',
  shakenAs: 'Shaken as',
  lime: 'Lime',
  ofWhichLot: 'Of which lot',
  enterIt: 'Enter it',
  doneSoFar: 'Done so far',
  takeItUpAgain: 'Take it up again',
  layItAside: 'Lay it aside',
  notEntered: (named: Filling) => line`Not entered: ${named}`,
  notDone: (message: Filling) => line`Not done: ${message}`,
});
