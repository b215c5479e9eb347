import { place } from '#words/place';

export const materialTests = place('shelf/material-tests', {
  fillAMeasureLooseStrike: 'Fill a measure loose, strike it off level, weigh what is in it.',
  theMeasureHolds: 'The measure holds',
  itWeighs: 'It weighs',
  moisture: 'Moisture',
  weighASampleDryIt: 'Weigh a sample, dry it in a low oven until it loses no more, weigh again.',
  wet: 'Wet',
  dry: 'Dry',
  soakAndDrain: 'Soak and drain',
  plugAVesselFillIt:
    'Plug a vessel, fill it, let water in slowly to the brim. Wait an hour, top up, pull the plug, catch what runs out.',
  ranOutOfOne: 'Ran out of one',
  shakeWithDistilledWaterWait: 'Shake with distilled water, wait half an hour, read the pen.',
  salts: 'Salts',
  limeInAJar: 'Lime in a jar',
  mixLimeIntoAMoist:
    'Mix lime into moist mix, keep it warm and moist in a lidded jar for two weeks. Goggles on: lime stings.',
  limeGiven: 'Lime given',
  phBefore: 'pH before',
  phAfter: 'pH after',
  screen: 'Screen',
  putADrySampleThrough: 'Put a dry sample through a screen; measure the largest piece.',
  theScreen: 'The screen',
  staysOnIt: 'Stays on it, %',
  largestPiece: 'Largest piece',
  blockFalls: 'Block falls',
  pressABlockOfIt:
    'Press a block of it alone. Drop it flat from a foot (30 cm) until it breaks. Count the falls it survives.',
  fallsThatItOutlived: 'Falls that it survived',
  weightDry: 'Weight, dry',
  airDrained: 'Air, drained',
  answerToLime: 'Answer to lime',
  usualBit: 'Usual bit',
  holdsTogether: 'Holds together',
});
