import { place } from '#words/place';

export const appRoutes = place('app.routes', {
  finder: 'Finder',
  newBatch: 'New batch',
  makingIt: 'Making it',
  batch: 'Batch',
  waitingToBeSent: 'Waiting to be sent',
  aCropOfTheSeason: 'A crop of the season',
  whatToBuy: 'What to buy',
  fewerMixes: 'Fewer mixes',
  frostAndBenches: 'Frost and benches',
  newPlanting: 'New planting',
  compareResults: 'Compare results',
  trials: 'Trials',
  aTrial: 'A trial',
  aPlanting: 'A planting',
  lots: 'Lots',
  lot: 'Lot',
  makeOrBuy: 'Make or buy',
  measures: 'Measures',
  waters: 'Waters',
  notFound: 'Not found',
});
