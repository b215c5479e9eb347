import { type Filling, line, place } from '#words/place';

export const correctBatch = place('bench/correct-batch', {
  putItRight: 'Put it right',
  fromWhatYouMeasured: 'from what you measured',
  byTheSqueeze: 'By the squeeze',
  notTried: 'not tried',
  itCannotBeSaved: 'It cannot be saved.',
  compostItOrUseIt: 'Compost it or use it outdoors, and make the batch again.',
  nothingToPutRight: 'Nothing to put right.',
  thenAnd: (after: Filling) => line`Then ${after}, and`,
  inAllAnEstimateTest: 'in all. An estimate: test again.',
  enterItInTheRecord: 'Enter it in the record',
  airAfterDraining: 'Air after draining',
  phByPen: 'pH by pen',
  ecSaturatedExtract: 'EC, saturated extract',
  air: (fixed: Filling) => line`air ${fixed} %`,
  ofThePoresFull: (fixed: Filling) => line`${fixed} % of the pores full`,
});
