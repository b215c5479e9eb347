import { type Filling, line, place } from '#words/place';

export const runPage = place('run/run-page', {
  batchOfStepsDone: (id: Filling, doneCount: Filling, count: Filling) =>
    line`Batch ${id}, ${doneCount} of ${count} steps done`,
  waitingToBeSent: (waiting: Filling) => line`· ${waiting} waiting to be sent`,
  noAnswerFromTheServer: '· no answer from the server, trying again',
  theCard: 'The card',
  anotherDeviceEnteredSomethingElse: 'Another device entered something else meanwhile.',
  somethingElse: 'something else',
  thereHere: (theirs: Filling, words: Filling) => line`There: ${theirs} Here: ${words}`,
  useTheirs: 'Use theirs',
  enterMineAfterIt: 'Enter mine after it',
  notEntered: 'Not entered:',
  steps: 'Steps',
  instrumentsTestsAndRecord: 'Instruments, tests and record',
  tests: 'Tests',
  fromWhichLots: 'From which lots',
  inTheTub: 'In the tub',
  usedFor: 'Used for',
  labelsAndCard: 'Labels and card',
  record: 'Record',
  nothingYetTickTheFirst: 'Nothing yet: tick the first step.',
  older: (older: Filling) => line`${older} older`,
  batch: (id: Filling) => line`Batch ${id}`,
  theBatch: 'the batch',
  allBatches: 'All batches',
});
