import { asFraction, fromAmounts, looseLitresOf } from '#core/recipe/from-amounts';
import { evaluateMix } from '#core/mix/evaluate';
import { material } from '#testing/library';
import { recipe } from '#testing/recipe';

const setting = { bucketLitres: 10, barrowLitres: 80, bagLitres: 40, brickLitres: 70 };

test('two buckets, a cubic foot, five pounds: parts and litres, by hand', () => {
  const [peat, perlite, sand] = ['peat-fine', 'perlite-coarse', 'sand-sharp'].map(material);
  const made = fromAmounts(
    [
      { material: peat!, amount: 2, way: 'buckets' },
      { material: perlite!, amount: 1, way: 'cubicFeet' },
      { material: sand!, amount: 5, way: 'lb' },
    ],
    setting,
    0,
  );
  const sandL = (5 * 453.59237 * (1 - sand!.moistureWetBasis)) / sand!.dryBulkDensityGPerL;
  expect(made.parts.map((p) => p.parts)).toEqual(
    [20 / sandL, 28.3168 / sandL, 1].map((n) => Math.round(n * 100) / 100),
  );
  const same = recipe({ 'peat-fine': 20, 'perlite-coarse': 28.3168, 'sand-sharp': sandL });
  expect(made.litres).toBeCloseTo((20 + 28.3168 + sandL) / evaluateMix(same).composition.densification, 2);
});

test('a third as much: of the rest, or of one', () => {
  const others = [
    { material: 'peat-fine', parts: 3 },
    { material: 'compost', parts: 3 },
  ];
  expect(asFraction(1 / 3, others, null)).toBe(2);
  expect(asFraction(1 / 3, others, 'peat-fine')).toBe(1);
  expect(() => asFraction(0, others, null)).toThrow('fraction must be above nothing to {"most":20}, was 0');
  expect(() => asFraction(1, others, 'loam')).toThrow('of must be another part');
});

test('half a bag is half of what a bag holds', () => {
  expect(looseLitresOf({ material: material('compost'), amount: 0.5, way: 'bags' }, setting)).toBe(20);
});

test('nothing of something is refused', () => {
  expect(() => looseLitresOf({ material: material('loam'), amount: 0, way: 'kg' }, setting)).toThrow(
    'amount must be above nothing',
  );
});
