import { type Filling, line, place } from '#words/place';

export const ownMaterial = place('shelf/own-material', {
  change: 'Change ',
  yourHeapABagFrom:
    'Your heap, a bag from the merchant, what is left of a mix: like this one, but… Leave out what you do not know. It is taken from the similar one, and the readings get a wider band.',
  like: 'Like',
  chooseTheNearest: 'choose the nearest',
  aliveFromAHeapNot: 'alive: from a heap, not heated since',
  whatLivesInItMay:
    'What lives in it may harm: wear a mask against its dust and gloves, wash your hands. With manure on food crops, local rules on waiting come first.',
  yours: 'Yours',
  aMeasureThatHolds: 'A measure that holds',
  weighsFullAndStruck: 'weighs, full and struck',
  waterInItOfIts: 'Water in it, % of its wet weight',
  largestPieceOrItsScreen: 'Largest piece, or its screen',
  ecOf1PartIn: 'EC of 1 part in 5 of water, mS/cm',
  notPossible: (why: Filling) => line`Not possible: ${why}.`,
  resultPhTimesAsHeavy: (ph: Filling, density: Filling, water: Filling, pieces: Filling) =>
    line`Result: pH ${ph}. Dry it weighs ${density}, drained it holds ${water} % water, and its pieces are up to ${pieces}.`,
  yoursLike: (toLowerCase: Filling) => line`yours, like ${toLowerCase}`,
  yoursAsYouChangedIt: 'yours, as you changed it',
});
