import { type Filling, line, many, place } from '#words/place';

export const makeOrBuy = place('shelf/make-or-buy', {
  forTheOpenRecipeWith:
    'For the open recipe, with the prices of your deliveries and shelf. Only your figures are saved.',
  bagSizeIn: 'Bag size in',
  noPriceYetForIt: (unpriced: Filling) =>
    line`No price yet for ${unpriced}: it counts as nothing until a delivery or the shelf has one.`,
  aYearOfIt: 'A year of it',
  whatAYearTakes: 'What a year takes',
  ofIt: 'Of',
  labourInIt: 'Labour in it',
  dearerAYear: 'Dearer than bags in the first year, with what is bought first',
  savedAYear: 'Saved in the first year, less what is bought first',
  paidAfter: (litres: Filling, batches: number) =>
    line`${litres}, ${batches} ${many(batches, 'batch', 'batches')}`,
  aYear: 'A year',
  money: 'Money',
  theMostCostlyFirstWhat: 'The most costly first: what is worth buying by the pallet, load or large bale.',
  aHundredPlantsByWhat: 'A hundred plants, by vessel',
  byVessel: 'By vessel',
  mixMoney: 'Mix, money',
  vesselMoney: 'Vessel, money',
  minutes: 'Minutes',
  timeMoney: 'Time, money',
  ft: 'ft²',
  bench: (ft: Filling) => line`Bench, ${ft}`,
  priceUsesMinutesAndPlace:
    'Price, uses, minutes and place on the bench are asked under Vessels. A dash means not given.',
  aBagOfTheBought: 'A bag of the bought mix holds',
  itCosts: 'It costs',
  minutesToMakeABatch: 'Minutes to make a batch',
  anHourCosts: 'An hour costs',
  toBuyFirstMixerScreen: 'To buy first: mixer, screen',
  aBatch: 'A batch',
  batchesAWeek: 'Batches a week',
  weeksAYear: 'Weeks a year',
  makingItSavesOnThis: (value: Filling) => line`Making it saves ${value} on this job.`,
  buyingItSavesOnThis: (value: Filling) => line`Buying it saves ${value} on this job.`,
  made: 'Made',
  bought: 'Bought',
  madeA: (gallon: Filling) => line`Made, a ${gallon}`,
  whatIsBoughtFirstIs: 'What is bought first is paid back after',
  boughtFor: (cost: Filling, bags: number) => line`${cost}, ${bags} ${many(bags, 'bag', 'bags')}`,
  ifTheBagMeansQuarts: (liquid: Filling, bags: Filling) =>
    line`If the bag means ${liquid} quarts it takes ${bags} bags.`,
  yd: (toFixed: Filling) => line`${toFixed} yd³`,
  ofMixAYearOf: (amount: Filling, perLitre: Filling) =>
    line`${amount} of mix a year. What has a price in it costs ${perLitre}.`,
});
