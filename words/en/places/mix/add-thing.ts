import { type Filling, line, place } from '#words/place';

export const addThing = place('mix/add-thing', {
  addAMaterial: 'Add a material',
  findAMaterial: 'Find a material',
  addAFertiliserOrLime: 'Add a fertiliser or lime',
  findAFertiliserOrLime: 'Find a fertiliser or lime',
  bitsTo: (says: Filling) => line`${says}, bits to`,
  nothingHasThatName: 'Nothing has that name.',
  makeYourOwn: 'Make one of your own',
  called: (name: Filling) => line`called “${name}”`,
});
