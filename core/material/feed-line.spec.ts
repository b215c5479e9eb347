import { feedLine } from '#core/material/feed-line';
import { gramsIn } from '#core/units/factors';

test('a feed in one line: its name, its N-P-K, and what a cup weighs', () => {
  expect(feedLine('Chicken pellets 4-3-3, 150 g a cup')).toEqual({
    ...{ name: 'Chicken pellets', nPct: 4, pPct: 3, kPct: 3, cupG: 150 },
  });
  expect(feedLine('Crab shell 2.5-2,5-0.5 cup 5 1/2 oz').cupG).toBeCloseTo(5.5 * gramsIn.ounce, 9);
  expect(feedLine('Our own, dried: 3–1–2')).toEqual({ name: 'Our own, dried', nPct: 3, pPct: 1, kPct: 2 });
});

test('what is no feed is refused, with what was given', () => {
  for (const wrong of ['4-3-3', 'Pellets', 'Pellets 4-3', 'Pellets 4-3-3 heavy', 'Pellets 4-3-3, 2 g'])
    expect(() => feedLine(wrong)).toThrow(wrong);
  expect(() => feedLine('Pellets 60-30-20')).toThrow('110');
});
