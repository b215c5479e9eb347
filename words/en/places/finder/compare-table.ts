import { type Filling, line, place } from '#words/place';

export const compareTable = place('finder/compare-table', {
  what: 'What',
  differs: ', differs',
  allRight: 'All right',
  peat: 'Peat, %',
  priceA: (counted: Filling) => line`Price a ${counted}`,
});
