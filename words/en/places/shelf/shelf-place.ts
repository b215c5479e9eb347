import { place } from '#words/place';

export const shelfPlace = place('shelf/shelf-place', {
  onTheShelf: 'On the shelf',
  deliveriesAndStock: 'Deliveries and stock',
  makeOrBuy: 'Make or buy',
  measures: 'Measures',
  waters: 'Waters',
});
