import { amendmentSchema } from '#contract/amendment';
import { limingPct, neutralisingMeqPerG } from '#core/material/amendment';
import { dryBlend, sharesByWeight } from '#core/material/dry-blend';
import { releasedMgPerL } from '#core/mix/release';
import { amendment, amendments } from '#testing/library';

const four = (by: 'volume' | 'weight') =>
  dryBlend(
    { id: 'own-blend', name: 'Four to one' },
    [
      { product: amendment('feather-meal'), parts: 4 },
      { product: amendment('rock-phosphate'), parts: 1 },
      { product: amendment('kelp-meal'), parts: 1 },
      { product: amendment('lime-dolomitic'), parts: 1 },
    ],
    by,
  );

test('four to one to one to one, by weight, by hand', () => {
  const [feather, rock, kelp] = ['feather-meal', 'rock-phosphate', 'kelp-meal'].map(amendment);
  const blend = four('weight');
  expect(blend.nPct).toBeCloseTo((4 * feather!.nPct + rock!.nPct + kelp!.nPct) / 7, 9);
  expect(blend.p2O5Pct).toBeCloseTo((4 * feather!.p2O5Pct + rock!.p2O5Pct + kelp!.p2O5Pct) / 7, 9);
  expect(blend.kind).toBe('organic');
  const strengths = ['feather-meal', 'rock-phosphate', 'kelp-meal', 'lime-dolomitic'].map((id) =>
    neutralisingMeqPerG(amendment(id)),
  );
  const byHand = strengths.reduce((sum, s, i) => sum + s * (i === 0 ? 4 : 1), 0) / 7;
  expect(neutralisingMeqPerG(blend)).toBeCloseTo(byHand, 6);
});

test('by cups each weighs as it does', () => {
  const parts = ['feather-meal', 'lime-dolomitic'].map((id) => ({ product: amendment(id), parts: 1 }));
  const [meal, lime] = sharesByWeight(parts, 'volume');
  expect(lime! / meal!).toBeCloseTo(
    amendment('lime-dolomitic').bulkDensityGPerMl / amendment('feather-meal').bulkDensityGPerMl,
    9,
  );
  expect(meal! + lime!).toBeCloseTo(1, 12);
});

test('a blend of organic feeds sets free what its parts would, within a tenth', () => {
  const feeds = amendments.filter((a) => a.kind === 'organic' && a.nPct > 1);
  for (const a of feeds)
    for (const b of feeds) {
      if (a === b) continue;
      const blend = dryBlend(
        { id: 'own-b', name: 'Both' },
        [
          { product: a, parts: 1 },
          { product: b, parts: 1 },
        ],
        'weight',
      );
      for (const weeks of [2, 8]) {
        const apart = releasedMgPerL(
          [
            { amendment: a, gPerL: 1 },
            { amendment: b, gPerL: 1 },
          ],
          'n',
          weeks,
          20,
        );
        const together = releasedMgPerL([{ amendment: blend, gPerL: 2 }], 'n', weeks, 20);
        expect(Math.abs(together / apart - 1)).toBeLessThan(0.1);
      }
    }
});

test('its ceiling is where the first of its parts reaches its own', () => {
  const coated = amendments.find((a) => a.kind === 'coated' && a.mostYoungGPerL > 0)!;
  const gypsum = amendment('gypsum');
  const blend = dryBlend(
    { id: 'own-c', name: 'C' },
    [
      { product: coated, parts: 1 },
      { product: gypsum, parts: 3 },
    ],
    'weight',
  );
  const others = gypsum.mostYoungGPerL > 0 ? gypsum.mostYoungGPerL / 0.75 : Infinity;
  expect(blend.mostYoungGPerL).toBeCloseTo(Math.min(coated.mostYoungGPerL / 0.25, others), 9);
});

test('what cannot be is named', () => {
  const each = { product: amendment('gypsum'), parts: 1 };
  expect(() => dryBlend({ id: 'x', name: 'x' }, [each], 'weight')).toThrow(
    'parts must be 2 to 12 products, was 1',
  );
  expect(() => dryBlend({ id: 'x', name: 'x' }, [each, { ...each, parts: 0 }], 'weight')).toThrow('parts.1');
});

test('any two of the library make a product that can be kept', () => {
  for (const a of amendments)
    for (const b of amendments.filter((each) => each !== a)) {
      const parts = [
        { product: a, parts: 4 },
        { product: b, parts: 1 },
      ];
      const kept = amendmentSchema.safeParse(dryBlend({ id: 'own-any', name: 'Any' }, parts, 'volume'));
      expect([a.id, b.id, kept.error?.issues[0]?.message]).toEqual([a.id, b.id, undefined]);
    }
});

test('by cups, what a blend limes like is what its parts lime together, fineness and all', () => {
  const cups = { 'blood-meal': 5, 'bone-meal': 2, 'lime-dolomitic': 1, 'potassium-sulphate': 1 };
  const parts = Object.entries(cups).map(([id, n]) => ({ product: amendment(id), parts: n }));
  const blend = dryBlend({ id: 'own', name: 'Ours' }, parts, 'volume');
  const weights = parts.map(({ product, parts: n }) => n * product.bulkDensityGPerMl);
  const sum = weights.reduce((a, b) => a + b, 0);
  const byHand = parts.reduce((s, { product }, i) => s + (limingPct(product) * weights[i]!) / sum, 0);
  expect(limingPct(blend)).toBeCloseTo(byHand, 6);
});
