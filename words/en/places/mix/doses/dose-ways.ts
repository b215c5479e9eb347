import { type Filling, line, place } from '#words/place';

export const doseWays = place('mix/doses/dose-ways', {
  enterItAnotherWay: 'Enter it another way',
  soMuch: 'So much',
  doseItSo: 'Dose it so',
  aBarrowHolds: 'A barrow holds',
  onlyIntoTheTopOr: 'Only into the top or a trench: % of the mix',
  thatIs: (said: Filling) => line`That is ${said}.`,
  now: (said: Filling) => line`Now: ${said}.`,
  gToTheBatch: 'g to the batch',
  cupsToTheBatch: 'cups to the batch',
  tablespoonsToTheBatch: 'tablespoons to the batch',
  teaspoonsToTheBatch: 'teaspoons to the batch',
  gToEachVessel: 'g to each vessel',
  gToABarrow: 'g to a barrow',
  cupsToABarrow: 'cups to a barrow',
  sacksToTheBatch: 'sacks to the batch',
  ofLabel: 'of',
});
