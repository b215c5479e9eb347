import { releasedShare } from '#core/mix/release';
import { clockOf } from '#core/weeks/clock';
import { Living } from '#core/weeks/life';
import { topDressing } from '#core/weeks/top-dressing';
import { keepingOf, usualKeeping } from '#core/weeks/usual-keeping';
import { volumeL } from '#core/vessel/vessel';
import { amendment } from '#testing/library';
import { recipe } from '#testing/recipe';

const input = recipe({ 'peat-medium': 5, 'bark-pine': 3 }, { stage: 'potting', vessel: 'pot-11' });
const living = new Living(input);
const things = { waters: new Map(), amendments: new Map() };
const keeping = keepingOf(usualKeeping, things, { on: '2026-05-01' });

test.each(['coated-14-14-14', 'blood-meal', 'organic-4-4-4'])(
  '%s: laid on top when the clock calls for feed; what it sets free is what the plants would miss, or its ceiling',
  (id) => {
    const product = amendment(id);
    const it = topDressing(living, keeping, product)!;
    expect(it.fromDay).toBe(clockOf(living, keeping).feedFrom);
    const { days } = living.under({ ...keeping, rule: { ...keeping.rule, feedNMgPerL: 0 } });
    // 120 mg in each litre drunk, less what they found.
    const missing = days
      .slice(it.fromDay - 1)
      .reduce((sum, day) => sum + 0.12 * day.transpiredMl - day.uptakeNMg, 0);
    const weeks = (days.length - it.fromDay + 1) / 7;
    const given = 0.7 * it.grams * 10 * product.nPct * releasedShare(product, weeks, usualKeeping.tempC);
    if (it.capped) expect(it.grams).toBeCloseTo(product.mostPottingGPerL * volumeL(input.vessel), 9);
    else expect(given).toBeCloseTo(missing, 6);
    expect(given).toBeLessThanOrEqual(missing + 1e-6);
    expect(missing).toBeGreaterThan(0);
  },
);

test('none where the mix lasts, and none of what feeds nothing', () => {
  expect(topDressing(living, keeping, amendment('lime-dolomitic'))).toBeNull();
  const bare = { ...keeping, plant: { leafCoverFrom: 0, leafCoverTo: 0 } };
  expect(topDressing(living, bare, amendment('blood-meal'))).toBeNull();
});
