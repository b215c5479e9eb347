import { type Filling, line, place } from '#words/place';

export const fromAmounts = place('mix/parts/from-amounts', {
  startFromWhatGoesIn: 'Start from what goes in, or from a share',
  useTheseAsTheParts: 'Use these as the parts',
  orThisPart: 'Or: this part',
  asMuchAs: 'as much as',
  allTheRest: 'all the rest',
  setItSo: 'Set it so',
  litresLoose: 'litres, loose',
  cubicFeet: 'cubic feet',
  kgAsDelivered: 'kg as delivered',
  poundsAsDelivered: 'pounds as delivered',
  aBucket: 'A bucket',
  aBarrow: 'A barrow',
  aBag: 'A bag',
  aBrickMakes: 'A brick makes',
  asMuch: 'as much',
  times: (slice: Filling) => line`${slice} times`,
  ofAllTheRestThat: (whole: Filling, toLowerCase: Filling, ofOne: Filling) =>
    line`Of all the rest that is ${whole} parts; of ${toLowerCase} alone ${ofOne}.`,
  thatIsVolume: (volume: Filling) => line`Of what is typed that is ${volume}.`,
  fromWhatGoesIn: 'from what goes in',
  whichMakes: (parts: Filling, volume: Filling) => line`${parts}, which makes ${volume} of mix.`,
  inLabel: 'in',
  ofLabel: 'of',
});
