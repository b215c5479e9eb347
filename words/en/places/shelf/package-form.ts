import { type Filling, line, place } from '#words/place';

export const packageForm = place('shelf/package-form', {
  howItCame: 'How it came',
  volumeIn: 'Volume in',
  n23QuartsOfWater: '2–3 quarts of water to the pound',
  n46LitresOfWater: '4–6 litres of water to the kilogram',
  coirTakesOldBricksTake: (n46LitresOfWater: Filling) =>
    line`Coir takes ${n46LitresOfWater}; old bricks take it up badly.`,
  it: 'it',
  countingOnWhatWeighsDry: (it: Filling) => line`From what ${it} weighs dry by volume.`,
  staysOnTheScreen: 'Stays on the screen, %',
  volumeOfOne: 'Volume of one',
  volumeOfOnePressed: 'Volume of one, pressed',
  looseTimesItsPressedVolume: 'Loose, times its pressed volume',
  weightOfOne: 'Weight of one',
  makesLoose: 'Makes, loose',
  waterItTakes: 'Water it takes',
  weightOfTheLoad: 'Weight of the load',
  waterInItOfIts: 'Water in it, % of its wet weight',
  howManyOfThem: 'How many of them',
  aBucketOrBarrowHolds: 'A bucket or barrow holds',
  bags: 'Bags',
  bales: 'Bales',
  bricks: 'Bricks',
  aLoadByWeight: 'A load by weight',
  byTheBarrow: 'By the barrow',
  forA: (toFixed: Filling, perWord: Filling) => line`, ${toFixed} for a ${perWord}`,
});
