import { type Filling, line, place } from '#words/place';

export const trialList = place('plants/trial-list', {
  theTrials: 'the trials',
  armsInBlocks: (on: Filling, count: Filling, blocks: Filling) =>
    line`${on}, ${count} arms in ${blocks} blocks`,
  noTrialIsLaidOut: 'No trial is laid out yet.',
  newTrial: 'New trial',
  everyBlockIsAPlace:
    'Every block is a place on the bench where all is alike; every arm stands once in each, in an order that chance decides. So what comes out is the mix, and not the warm end of the bench.',
  whatIsAsked: 'What is asked',
  cellsInEachTray: 'Cells in each tray',
  blocks: 'Blocks',
  seedOfTheOrder: 'Seed of the order',
  arm: 'Arm ',
  ofNoBatch: 'of no batch',
  batchOfArm: 'Batch of arm ',
  anotherArm: 'Another arm',
  asEver: 'As ever',
  newIt: 'New',
  notLaidOut: (message: Filling) => line`Not laid out: ${message}`,
});
