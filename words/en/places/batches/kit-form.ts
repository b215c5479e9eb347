import { place } from '#words/place';

export const kitForm = place('batches/kit-form', {
  tubLoadsAndHeat: 'Tub, loads and heat',
  heatItThrough: 'Heat it through',
  notHeated: 'not heated',
  withBoilingWater: 'with boiling water',
  inTheOven: 'in the oven',
  withSteam: 'with steam',
  theTubTurnsLoose: 'The tub turns, loose',
  oneLiftsAtMost: 'One lifts at most',
  theKettleHolds: 'The kettle holds',
});
