import { type Filling, line, place } from '#words/place';

export const lotList = place('shelf/lot-list', {
  theLots: 'the lots',
  whatCameLessWhatBatches:
    'What came, less what batches took and what was lost, set right by counting. Open a delivery to count it.',
  cameOn: (of: Filling, receivedOn: Filling) => line`${of}, came ${receivedOn}`,
  notBefore: (readyOn: Filling) => line`not before ${readyOn}`,
  nothingYetEnterWhatStands: 'Nothing yet: enter what is in the shed, and it counts down as batches take it.',
  emptyVessels: 'Empty vessels',
  lastsAboutAtThisPace: (round: Filling, days: Filling) => line`lasts about ${round} ${days} at this pace`,
});
