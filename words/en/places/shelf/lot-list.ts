import { type Filling, line, many, place } from '#words/place';

export const lotList = place('shelf/lot-list', {
  theLots: 'the lots',
  whatCameLessWhatBatches:
    'What came, less what batches took and what was lost, set right by counting. Open a delivery to count it.',
  cameOn: (of: Filling, receivedOn: Filling) => line`${of}, came ${receivedOn}`,
  notBefore: (readyOn: Filling) => line`not before ${readyOn}`,
  nothingYetEnterWhatStands: 'Nothing yet: enter what is in the shed, and it counts down as batches take it.',
  emptyVessels: 'Empty vessels',
  lastsAboutAtThisPace: (days: number) => line`lasts about ${days} ${many(days, 'day', 'days')} at this pace`,
});
