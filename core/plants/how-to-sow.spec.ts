import { howToSow } from '#core/plants/how-to-sow';

/** P(Binomial(n, p) ≥ k), added up from the definition. */
function chanceOfAtLeast(k: number, n: number, p: number): number {
  let [term, sum] = [(1 - p) ** n, 0];
  for (let x = 0; x <= n; x++) {
    if (x >= k) sum += term;
    term *= ((n - x) / (x + 1)) * (p / (1 - p));
  }
  return sum;
}

test('old seed, 11 of 20 up on paper: three to a block, and blocks for fifty plants nine times in ten', () => {
  const { perCell, cells, upShare } = howToSow(50, 11, 20);
  expect(perCell).toBe(3);
  // 1 − 0.45³, by hand.
  expect(upShare).toBeCloseTo(1 - 0.45 ** 3, 12);
  expect(chanceOfAtLeast(50, cells, upShare)).toBeGreaterThanOrEqual(0.9);
  expect(chanceOfAtLeast(50, cells - 1, upShare)).toBeLessThan(0.9);
});

test('good seed is sown singly; what never comes up, or more than was tested, is refused', () => {
  expect(howToSow(40, 20, 20)).toEqual({ perCell: 1, cells: 40, upShare: 1 });
  expect(howToSow(40, 1, 20).perCell).toBe(4);
  expect(() => howToSow(40, 0, 20)).toThrow('cameUp');
  expect(() => howToSow(40, 21, 20)).toThrow('cameUp');
});
