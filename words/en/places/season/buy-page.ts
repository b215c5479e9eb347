import { type Filling, line, many, place } from '#words/place';

export const buyPage = place('season/buy-page', {
  allThatSowingsPotUps:
    'All that sowings, pot-ups and mixing days from today on need, less what is in stock. Trays count as they come back.',
  ordered: 'Ordered',
  orderedOn: (day: Filling) => line`ordered ${day}`,
  came: 'Came',
  notOrdered: 'Not ordered',
  about: (price: Filling) => line`About ${price} at the last prices.`,
  countFirst: 'Count these first',
  nobodyCounted: 'Nobody has counted what there is of them, so nothing says how much to buy.',
  neededBy: (needed: Filling, by: Filling) => line`${needed} needed by ${by}`,
  isOrdered: (name: Filling) => line`${name} is ordered.`,
  isNotOrdered: (name: Filling) => line`${name} is not ordered.`,
  isThere: (name: Filling) => line`${name} is in stock.`,
  delivery: (day: Filling) => line`Delivery of ${day}`,
  packs: (count: number, pack: string, each: Filling) =>
    line`${count} ${many(count, pack, pack === 'box' ? 'boxes' : `${pack}s`)} of ${each}`,
  forPrice: (packs: Filling, price: Filling) => line`${packs}, ${price}`,
  byNeeded: (by: Filling, needed: Filling, left: Filling) => line`by ${by}; ${needed} needed, ${left}`,
  sendFor: (on: Filling, days: Filling) => line`send for it by ${on}: it rests ${days} days`,
  nothingIsMissingForWhat: 'Nothing is missing for what is planned.',
  whatLasts: (count: Filling) => line`What lasts (${count})`,
  needed: (needed: Filling, left: Filling) => line`${needed} needed, ${left}`,
  deliveriesAndStockEnterWhat: 'Deliveries and stock: enter what you have',
  cells: (ceil: Filling, ceil2: Filling) => line`${ceil} (${ceil2} cells)`,
  seedOf: (item: Filling) => line`Seed of ${item}`,
  there: (amount: Filling) => line`${amount} there`,
});
