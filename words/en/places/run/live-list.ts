import { place } from '#words/place';

export const liveList = place('run/live-list', {
  theInstruments: 'the instruments',
  noInstrumentsHeardFromThey: 'No instruments answer. They come back by themselves; numbers can be typed.',
  calibrateOrLookAfterThem: 'Calibrate or look after them',
  noReading: 'no reading',
});
