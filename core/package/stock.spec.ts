import fc from 'fast-check';
import { daysLeft, fills, leftOf, makeable, yearLitres } from '#core/package/stock';

const amount = fc.double({ min: 0, max: 1e4, noNaN: true });

test('left is what came, less what was lost and used, put right by counting', () => {
  fc.assert(
    fc.property(
      amount,
      amount,
      amount,
      amount,
      amount,
      amount,
      (quantity, came, lost, counted, back, took) => {
        expect(leftOf({ quantity, came, lost, counted, back, took })! + lost + took).toBeCloseTo(
          quantity + came + counted + back,
          6,
        );
      },
    ),
  );
  expect(leftOf({ quantity: null, came: 5, lost: 0, counted: 0, back: 0, took: 2 })).toBeNull();
});

test('what can be made ends with what ends first, and making it leaves nothing of that', () => {
  const wanted = [
    { item: 'peat', perLitre: 0.8 },
    { item: 'perlite', perLitre: 0.3 },
    { item: 'lime', perLitre: 0.003 },
  ];
  const left = new Map([
    ['peat', 63],
    ['perlite', 20],
    ['lime', 12],
  ]);
  const made = makeable(wanted, left, 100);
  expect(made).toEqual({
    litres: 20 / 0.3,
    endsFirst: 'perlite',
    short: [
      { item: 'peat', by: 80 - 63 },
      { item: 'perlite', by: 10 },
    ],
    unknown: [],
  });
  expect(makeable(wanted, new Map([['peat', 63]]), 10)).toMatchObject({
    litres: null,
    unknown: ['perlite', 'lime'],
  });
});

test('what is left fills whole vessels only', () => {
  expect([fills(63, 0.5), fills(0.49, 0.5), fills(1.5, 0.5)]).toEqual([126, 0, 3]);
});

test('a year of an 80 L barrow, three times, twice a week, is about 25 m³', () => {
  // model § 18: an 80 L barrow three times twice a week for a year. By hand: 80 × 3 × 2 × 52 = 24,960 L.
  expect(yearLitres(80 * 3, 2, 52)).toBe(24_960);
});

test('how long it lasts', () => {
  expect(daysLeft(100, 200, 56)).toBe(28);
  expect([daysLeft(null, 10, 56), daysLeft(10, 0, 56)]).toEqual([null, null]);
});

test.each([
  [() => makeable([], new Map(), 0), 'litres must be above nothing, was 0'],
  [() => fills(1, 0), 'eachL must be above nothing, was 0'],
])('what cannot be is named (%#)', (act, message) => {
  expect(act).toThrow(message);
});
