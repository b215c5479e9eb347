import { type Filling, line, place } from '#words/place';

export const swapMenu = place('mix/doses/swap-menu', {
  useADifferentProduct: 'Use a different product',
  than: (name: Filling) => line`than ${name}`,
  eachBrings: (by: Filling) => line`Each brings ${by}.`,
  nothingElseOnTheShelf: 'Nothing else on the shelf supplies it.',
  asMuchNitrogen: 'as much nitrogen',
  asMuchPhosphorus: 'as much phosphorus',
  asMuchPotassium: 'as much potassium',
  asMuchLimeValue: 'as much lime value',
  limeValue: 'lime value',
  nReadyInTwoWeeks: 'N ready in two weeks',
});
