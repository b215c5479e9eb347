import { yearBill } from '#core/package/year';

test('a year of two recipes, by hand', () => {
  const bill = yearBill(
    [
      { batches: 4, litres: 250, money: 32, pricedLitres: 200 },
      { batches: 1, litres: 60, money: 30, pricedLitres: 60 },
      { batches: 2, litres: 90, money: null, pricedLitres: 0 },
    ],
    { labour: { minutes: 30, perHour: 18 }, outlay: 50, bought: { litres: 40, price: 16 } },
  );
  // A batch of 50 L had no price: 200 L cost 32, so 250 cost 40. 250 L are 7 bags of 40 at 16; four batches of half an hour at 18 are 36. 60 L are 2 bags; one batch 9.
  expect(bill.rows[0]).toEqual({ costMade: 76, bags: 7, costBought: 112, saved: 36, savedPerBatch: 9 });
  expect(bill.rows[1]).toEqual({ costMade: 39, bags: 2, costBought: 32, saved: -7, savedPerBatch: -7 });
  expect(bill.rows[2]).toBeNull();
  expect(bill).toMatchObject({ costMade: 115, costBought: 144, saved: 29, savedAfterOutlay: -21 });
});

test('nothing made is nothing saved, and the outlay is still to be paid', () => {
  const none = yearBill([], {
    labour: { minutes: 30, perHour: 18 },
    outlay: 5,
    bought: { litres: 40, price: 16 },
  });
  expect(none).toEqual({ rows: [], costMade: 0, costBought: 0, saved: 0, savedAfterOutlay: -5 });
});

test('a bag of nothing is refused with its range', () => {
  expect(() =>
    yearBill([{ batches: 1, litres: 1, money: 1, pricedLitres: 1 }], {
      labour: { minutes: 0, perHour: 0 },
      bought: { litres: 0, price: 1 },
    }),
  ).toThrow(/bought.litres must be/);
});
