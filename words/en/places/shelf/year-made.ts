import { type Filling, line, many, place } from '#words/place';

export const yearMade = place('shelf/year-made', {
  title: 'What a year made',
  which: 'Which year',
  theYear: 'the year',
  nothingYet: (year: Filling) => line`No batch is made yet in ${year}. One counts when its steps are done.`,
  byRecipe: 'By recipe',
  recipe: 'Recipe',
  made: 'Made',
  bought: 'Bought',
  saved: 'Saved',
  aBatch: (money: Filling) => line`${money} a batch`,
  inAll: 'All of it',
  ofNoRecipe: 'Of no saved recipe',
  batches: (count: number, amount: Filling) => line`${count} ${many(count, 'batch', 'batches')}, ${amount}`,
  bags: (bags: number) => line`${bags} ${many(bags, 'bag', 'bags')}`,
  making: (year: Filling, amount: Filling, money: Filling) =>
    line`${year}: ${amount} made; making it saved ${money}.`,
  buying: (year: Filling, amount: Filling, money: Filling) =>
    line`${year}: ${amount} made; buying it would have saved ${money}.`,
  outlayBack: (money: Filling) => line`With what was bought first paid, ${money} is left.`,
  outlayNotYet: (money: Filling) => line`What was bought first is not paid back yet: ${money} to go.`,
  askTheBag: 'Type what a bag of the bought mix holds and costs, above, to see what the year saved.',
  todaysPrices: (count: number) =>
    line`${count} ${many(count, 'batch', 'batches')} had no price on the day and ${many(count, 'counts', 'count')} by today’s.`,
  unpriced: (count: number) =>
    line`${count} ${many(count, 'batch', 'batches')} ${many(count, 'has', 'have')} something without a price in it.`,
});
