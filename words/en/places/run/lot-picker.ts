import { type Filling, line, place } from '#words/place';

export const lotPicker = place('run/lot-picker', {
  theLots: 'the lots',
  doNotUseBefore: (readyOn: Filling) => line`Do not use before ${readyOn}.`,
  moreWasTakenOfIt: 'More was taken than it held: count it, or say where the rest came from.',
  anotherAmountOrTwoLots: 'Another amount, or two lots',
  ofThisOne: 'Of this one',
  theRestOf: 'The rest of',
  noOther: 'no other',
  aNewLot: 'A new lot',
  nameOnTheBagBale: 'Name on the bag, bale or heap',
  ofIt: (toLowerCase: Filling) => line`of ${toLowerCase}`,
  howMuchCameIsAsked: 'How much came is asked on the',
  left: (name: Filling, of: Filling) => line`${name} (${of} left)`,
  whereItWentNotCounted: 'Where it went; not counted yet',
  left2: (of: Filling) => line`${of} left`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
