import { type Filling, line, place } from '#words/place';

export const finderChart = place('finder/finder-chart', {
  showPriceInsteadOfPeat: 'Show price instead of peat',
  showPeatInsteadOfPrice: 'Show peat instead of price',
  recipesByAndOddsOdds: (count: Filling, price: Filling, toFixed: Filling, toFixed2: Filling) =>
    line`${count} recipes by ${price} and odds; odds from ${toFixed} to ${toFixed2} in 100. The list has them all.`,
  pricePerL: 'price per L',
  allRightIn100: 'all right, in 100',
});
