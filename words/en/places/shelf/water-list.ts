import { type Filling, line, place } from '#words/place';

export const waterList = place('shelf/water-list', {
  whatTheMainsTheWell: 'What the mains, the well or the barrel brings with each watering.',
  yourWaters: 'your waters',
  noneYetEnterYoursFrom:
    'None yet: enter yours from the supplier’s report, or count the drops of an alkalinity kit.',
  anotherWater: 'Another water',
  whatYouCallIt: 'What you call it',
  comesFrom: 'Comes from',
  alkalinityAsCalciumCarbonate: 'Alkalinity, as calcium carbonate',
  phIfGiven: 'pH, if given',
  byADropKitInstead: 'By a drop kit instead',
  dropsUntilTheColourTurns: 'Drops until the colour turns',
  eachDropCounts: 'Each drop counts',
  it: 'it',
  take: (kitSays: Filling) => line`Take ${kitSays}`,
  ifGiven: ', if given',
  calcium: 'Calcium',
  magnesium: 'Magnesium',
  sodium: 'Sodium',
  chloride: 'Chloride',
  alkalinityEc: (
    kind: Filling,
    fixed: Filling,
    mg: Filling,
    fixed2: Filling,
    fixed3: Filling,
    mg2: Filling,
  ) => line`${kind}: alkalinity ${fixed} ${mg}, EC ${fixed2}${fixed3}${mg2}`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
  isArchived: (name: Filling) => line`${name} is archived.`,
});
