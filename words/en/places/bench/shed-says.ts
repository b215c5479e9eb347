import { type Filling, line, place } from '#words/place';

export const shedSays = place('bench/shed-says', {
  deliveriesAndStock: 'Deliveries and stock',
  makeOrBuy: 'Make or buy?',
  yourStockMakesOfIt: (stockAmount: Filling, first: Filling) =>
    line`Your stock makes ${stockAmount} of it; ${first} runs out first.`,
  ofIt: (amount: Filling, toLowerCase: Filling) => line`${amount} of ${toLowerCase}`,
  shortForThisJob: (join: Filling) => line`Short for this job: ${join}.`,
  without: (join: Filling) => line`, without ${join}`,
  costsAAForThe: (
    each: Filling,
    litre: Filling,
    value: Filling,
    noun: Filling,
    value2: Filling,
    without: Filling,
  ) => line`Costs ${each} a ${litre}, ${value} a ${noun}, ${value2} for the job${without}.`,
});
