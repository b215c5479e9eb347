import { type Filling, line, place } from '#words/place';

export const partList = place('mix/parts/part-list', {
  theParts: 'The parts',
  partsOf: 'Parts of ',
  slider: ', slider',
  nothingInItYetAdd: 'Nothing in it yet: add a material, and all the rest follows.',
  part: 'part',
  parts: 'parts',
  scoopedSettlesTo: 'scooped settles to',
  pressed: ', pressed.',
  finesSlipBetweenTheCoarse: 'Fines slip between the coarse.',
  addAMaterial: 'Add a material',
  findAMaterial: 'Find a material',
  bitsTo: (says: Filling) => line`${says}, bits to`,
  noMaterialIsCalledSo: 'No material is called so.',
});
