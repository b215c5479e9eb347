import { type Filling, line, place } from '#words/place';

export const buyPage = place('season/buy-page', {
  allThatSowingsPotUps:
    'All that sowings, pot-ups and mixing days from today on need, less what is in stock. Trays count as they come back.',
  toBuy: (short: Filling) => line`${short} to buy`,
  byNeeded: (by: Filling, needed: Filling, left: Filling) => line`by ${by}; ${needed} needed, ${left}`,
  nothingIsMissingForWhat: 'Nothing is missing for what is planned.',
  whatLasts: (count: Filling) => line`What lasts (${count})`,
  needed: (needed: Filling, left: Filling) => line`${needed} needed, ${left}`,
  deliveriesAndStockEnterWhat: 'Deliveries and stock: enter what you have',
  week: (week: Filling, year: Filling) => line`Week ${week} of ${year}`,
  cells: (ceil: Filling, ceil2: Filling) => line`${ceil} (${ceil2} cells)`,
  seedOf: (item: Filling) => line`Seed of ${item}`,
  there: (amount: Filling) => line`${amount} there`,
});
