import { type Filling, line, place } from '#words/place';

export const materialPage = place('shelf/material-page', {
  allMaterials: 'All materials',
  itsTests: 'its tests',
  figure: 'Figure',
  book: 'Book',
  yours: 'Yours',
  whereItIs: 'Where it is',
  tests: 'Tests',
  eachIsOneStandardDeviation:
    'Each ± is one standard deviation. The surer a test, the more it counts against the book. Every recipe with it is judged by your figure.',
  theTestsBelowDoNot: (misfit: Filling) =>
    line`The tests below no longer fit it: ${misfit}. They change nothing: remove what is wrong.`,
  fromTheBookSoFar: 'Typical figures so far. One test of yours moves them and narrows their bands.',
  testIt: 'Test it',
  whichTest: 'Which test',
  shakenAs: 'Shaken as',
  lime: 'Lime',
  ofWhichLot: 'Of which lot',
  enterIt: 'Enter it',
  doneSoFar: 'Done so far',
  useItAgain: 'Use it again',
  setItAside: 'Set it aside',
  notEntered: (named: Filling) => line`Not entered: ${named}`,
  notDone: (message: Filling) => line`Not done: ${message}`,
});
