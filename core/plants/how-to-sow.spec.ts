import { holeFor, howToSow, timeToMove } from '#core/plants/how-to-sow';
import { withBroken } from '#core/vessel/broken';

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

test('blocks that break are pressed too: of 64, three break, and 60 are left', () => {
  expect(withBroken(60, 5)).toBe(64);
  expect(64 * 0.95).toBeGreaterThanOrEqual(60);
  expect(63 * 0.95).toBeLessThan(60);
  expect(withBroken(60, 0)).toBe(60);
  expect(howToSow(50, 11, 20, 10).cells).toBe(withBroken(howToSow(50, 11, 20).cells, 10));
  expect(() => withBroken(60, 51)).toThrow('breakPct');
});

// A quarter of an inch for fine seed, half an inch for beans: common practice, no source.
test('the hole of a press against the depth of sowing', () => {
  expect(holeFor(6, 6)).toBe('suits');
  expect(holeFor(13, 6)).toBe('too-deep');
  expect(holeFor(6, 0)).toBe('too-deep');
  expect(holeFor(6, 13)).toBe('too-shallow');
  expect(holeFor(13, 13)).toBe('suits');
});

// From the first pair of true leaves on: common practice, no source.
test('thinnings are moved at their first pair of true leaves, and not long after', () => {
  expect([0, 1, 2, 3].map((pairs) => timeToMove(pairs, 2))).toEqual(['early', 'now', 'now', 'late']);
  expect([1, 2, 3, 4].map((pairs) => timeToMove(pairs, 4))).toEqual(['early', 'now', 'now', 'late']);
  expect(() => timeToMove(11, 2)).toThrow('pairs');
});
