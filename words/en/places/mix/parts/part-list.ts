import { place } from '#words/place';

export const partList = place('mix/parts/part-list', {
  staysOnTheScreen: 'stays on the screen',
  theParts: 'The parts',
  partsOf: 'Parts of ',
  slider: ', slider',
  nothingInItYetAdd: 'Nothing in it yet: add a material to begin.',
  part: 'part',
  parts: 'parts',
  scoopedSettlesTo: 'scooped settles to',
  itWeighs: 'It weighs',
  asItComes: 'as it comes,',
  withItsWater: 'with its water.',
  pressed: ', pressed.',
  finesSettleBetweenTheCoarse: 'Fines settle between the coarse pieces.',
});
