import { type Filling, line, place } from '#words/place';

export const trialList = place('plants/trial-list', {
  theTrials: 'the trials',
  mixesInGroups: (on: Filling, count: Filling, blocks: Filling) =>
    line`${on}, ${count} mixes in ${blocks} groups`,
  noTrialsYet: 'No trials yet.',
  newTrial: 'New trial',
  aGroupIsOnePlace:
    'A group is one place on the bench where all is alike. Every mix stands once in each group, in an order that chance decides. So the result shows the mix, and not the warm end of the bench.',
  whatIsAsked: 'What is asked',
  cellsInEachTray: 'Cells in each tray',
  blocks: 'Groups',
  fewGroupsTellNothing: (least: Filling) =>
    line`Trays are counted as a whole: under ${least} groups no difference is surer than chance.`,
  startingNumberOfTheOrder: 'Starting number of the order',
  arm: 'Arm ',
  ofNoPacket: 'of no packet',
  ofNoBatch: 'of no batch',
  batchOfArm: 'Batch of arm ',
  anotherArm: 'Another arm',
  asEver: 'As ever',
  newIt: 'New',
  notLaidOut: (message: Filling) => line`Not laid out: ${message}`,
});
