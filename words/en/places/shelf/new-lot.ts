import { type Filling, line, place } from '#words/place';

export const newLot = place('shelf/new-lot', {
  asLast: (pack: string, amount: Filling) =>
    line`${pack === 'box' ? 'Boxes' : `${pack.charAt(0).toUpperCase()}${pack.slice(1)}s`} of ${amount}, as last time`,
  deliveryOf: (day: Filling) => line`Delivery of ${day}`,
  somethingCame: 'Something came',
  whatItIs: 'What it is',
  whereItIsFrom: 'Where it is from',
  cropAndVariety: 'Crop and variety',
  nameOnTheBagBale: 'Name on the bag, bale or heap',
  begunOn: 'Begun on',
  cameOn: 'Came on',
  doNotUseBefore: (readyOn: Filling) => line`do not use before ${readyOn}:`,
  feedOrLime: 'Feed or lime',
  emptyVessels: 'Empty vessels',
  bought: 'Bought',
  ourOwnHeap: 'Our own heap',
  emptiedTrays: 'Emptied trays',
  cellsBlocksOrPotsIn: 'Cells, blocks or pots in all',
  seeds: 'Seeds',
  yearOfHarvest: 'Year of harvest',
  germination: 'Germination, %',
  usedBeforeTimes: 'Used before, times',
  isKept: (name: Filling) => line`${name} is saved.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
