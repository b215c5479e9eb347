import { place } from '#words/place';

export const packageUnits = place('ui/words/package-units', {
  dryQuartsMostBags: 'dry quarts (most bags)',
  liquidQuarts: 'liquid quarts',
  cubicFeet: 'cubic feet',
  cubicYards: 'cubic yards',
  usGallons: 'US gallons',
});
