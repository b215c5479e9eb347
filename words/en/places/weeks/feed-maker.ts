import { type Filling, line, place } from '#words/place';

export const feedMaker = place('weeks/feed-maker', {
  theFeed: 'The feed',
  canOrTank: 'Can or tank',
  injectorOneTo1None: 'Injector, one to (1: none)',
  notPossible: (why: Filling) => line`Not possible: ${why}.`,
  itNeitherAcidifiesNorLimes: 'It neither acidifies nor limes.',
  itAcidifiesWhatItLeaves: (fixed: Filling, unit: Filling) =>
    line`It acidifies: what it leaves removes ${fixed} ${unit} of alkalinity.`,
  itLimesLikeMoreOf: (fixed: Filling, unit: Filling) =>
    line`It limes, like ${fixed} ${unit} more alkalinity.`,
  ofStock: 'of stock',
  ofWater: 'of water',
  atThePlant: (unit: Filling, join: Filling) => line`At the plant, ${unit}: ${join}.`,
  moreThanOfNitrogenIs: (MOST_FOR_SEEDLINGS: Filling, unit: Filling) =>
    line`More than ${MOST_FOR_SEEDLINGS} ${unit} of nitrogen is strong for seedlings. The label decides.`,
  coldForAmmonium: (pct: Filling, celsius: Filling) =>
    line`${pct} % of its nitrogen is ammonium or urea: below ${celsius} it stays so and harms roots. Use a nitrate feed.`,
  feedMade: (mass: Filling, product: Filling, spoons: Filling, volume: Filling, tank: Filling) =>
    line`${mass} of ${product}, ${spoons} by a level spoon or cup, in ${volume} ${tank}.`,
});
