import { type Filling, line, place } from '#words/place';

export const testList = place('run/test-list', {
  useThisYieldForThe: 'Use this yield for the mix',
  low: ', low',
  high: ', high',
  savedInVersion: (name: Filling, version: Filling) => line`Saved in ${name}, version ${version}.`,
  theYieldOf: (name: Filling) => line`the yield of ${name}`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
