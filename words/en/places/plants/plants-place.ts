import { place } from '#words/place';

export const plantsPlace = place('plants/plants-place', {
  ofThePlants: 'Of the plants',
  growingNow: 'Growing now',
  compareResults: 'Compare results',
  trials: 'Trials',
});
