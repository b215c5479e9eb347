import { type Filling, line, place } from '#words/place';

export const overTime = place('mix/answer/over-time', {
  weeksAheadInShort: 'Weeks ahead, in short',
  squeezeDryingLimeFeedPen: 'squeeze, drying, lime, feed, pen',
  byTheSqueeze: 'By the squeeze',
  asItComesOfThe: (says: Filling, pct: Filling) =>
    line`As it comes: ${says} (${pct} % of the pores full). With`,
  ofWater: 'of water',
  forTheJob: (says: Filling, pct: Filling) => line`for the job: ${says} (${pct} %).`,
  aWet: (noun: Filling) => line`A wet ${noun}`,
  weighs: 'weighs',
  onASandBed: 'On a sand bed',
  air: 'air',
  phAsLimeActs: 'pH as lime acts',
  day: (day: Filling) => line`day ${day}`,
  whatThePenReads: 'What the pen reads',
  msCmOneSaltLoad: 'mS/cm, one salt load by every method',
  atItsWorstInEight: 'At its worst in eight weeks',
  isTheMost: (fixed: Filling) => line`, ${fixed} is the most`,
  thatDraws: (suction: Filling) => line`that draws ${suction}`,
});
