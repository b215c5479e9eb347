import fc from 'fast-check';
import {
  CARBONATE_STOPS_PH,
  limeBetween,
  limedFrom,
  limeScale,
  phOfLimeScale,
  shareActing,
} from '#core/mix/lime-curve';

/** Simpson's rule, straight from the definition. */
function simpson(of: (x: number) => number, from: number, to: number): number {
  const n = 2000;
  const h = (to - from) / n;
  let sum = of(from) + of(to);
  for (let i = 1; i < n; i++) sum += (i % 2 === 1 ? 4 : 2) * of(from + i * h);
  return (sum * h) / 3;
}

const mix = fc.record({
  buffer: fc.double({ min: 1, max: 90, noNaN: true }),
  slope: fc.double({ min: 0, max: 0.35, noNaN: true }),
  from: fc.double({ min: 3, max: 7, noNaN: true }),
  rise: fc.double({ min: 0.01, max: 4, noNaN: true }),
});

test('lime from one pH to another is the integral of buffer over share', () => {
  fc.assert(
    fc.property(mix, ({ buffer, slope, from, rise }) => {
      const [a, b] = [buffer * slope, buffer * (1 + 5.5 * slope)];
      const to = Math.min(7.4, from + rise);
      const sum = simpson((ph) => (b - a * ph) / shareActing(ph), from, to);
      expect(limeBetween(a, b, from, to) / sum).toBeCloseTo(1, 5);
    }),
  );
});

test('so much lime comes to the pH that takes it, and never to 7.5', () => {
  fc.assert(
    fc.property(mix, fc.double({ min: 0, max: 2000, noNaN: true }), ({ buffer, slope, from }, meq) => {
      const [a, b] = [buffer * slope, buffer * (1 + 5.5 * slope)];
      const to = limedFrom(a, b, from, meq);
      expect(to).toBeGreaterThanOrEqual(from);
      expect(to).toBeLessThanOrEqual(CARBONATE_STOPS_PH);
      if (to < 7.49) expect(limeBetween(a, b, from, to)).toBeCloseTo(meq, 5);
    }),
  );
});

test('the scale of lime goes back and forth, and rises by the reciprocal of the share', () => {
  for (const ph of [3.5, 4.8, 6, 7, 7.4]) {
    expect(phOfLimeScale(limeScale(ph))).toBeCloseTo(ph, 9);
    const h = 1e-5;
    expect((limeScale(ph + h) - limeScale(ph - h)) / (2 * h)).toBeCloseTo(1 / shareActing(ph), 3);
  }
  // Nine tenths act at 5.5, none at 7.5.
  expect([shareActing(5.5), shareActing(CARBONATE_STOPS_PH), shareActing(8)]).toEqual([
    expect.closeTo(0.9, 9),
    0,
    0,
  ]);
});
