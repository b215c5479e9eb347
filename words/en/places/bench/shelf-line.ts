import { type Filling, line, place } from '#words/place';

export const shelfLine = place('bench/shelf-line', {
  ofIt: ' of ',
  price: 'price?',
  priceLoose: 'Price, loose',
  perL: 'per L',
  useUpSoon: 'use up soon',
  price2: 'Price',
  notKept: (why: Filling) => line`Not saved: ${why}`,
});
