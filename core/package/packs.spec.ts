import { lastBought, packsFor } from '#core/package/packs';

const lot = (receivedOn: string, more: object = {}) => ({
  ...{ kind: 'material' as const, receivedOn, quantity: 240, price: null, pack: null, from: null },
  ...more,
});

test('what is short is told in whole packages as last bought, at the last price known', () => {
  const lots = [
    lot('2031-01-10', { price: 36 }),
    lot('2031-02-10', { pack: { kind: 'bale', amount: 120 } }),
    lot('2031-03-10', { from: { batch: 4, what: 'left' }, quantity: 9 }),
  ];
  // By hand: 36 / 240 L × 120 L = 18 a bale; 380 L are 3.17 bales.
  expect(lastBought(lots)).toEqual({ pack: { kind: 'bale', amount: 120 }, price: 18 });
  expect([packsFor(380, 120), packsFor(360, 120), packsFor(0.1, 120)]).toEqual([4, 3, 1]);
});

test('a delivery that says no package counts as one; what was made here was never bought', () => {
  expect(lastBought([lot('2031-01-10')])).toEqual({ pack: { kind: 'load', amount: 240 }, price: null });
  expect(lastBought([lot('2031-01-10', { from: { what: 'heap' } })])).toBeNull();
  expect(lastBought([])).toBeNull();
});
