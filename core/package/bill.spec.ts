import { batchSheet } from '#core/batch/sheet';
import { evaluateMix } from '#core/mix/evaluate';
import { partOf } from '#core/mix/composition';
import { billOf, takesOf } from '#core/mix/takes';
import { vesselCost } from '#core/package/bill';
import { material, vesselKind } from '#testing/library';
import { recipe } from '#testing/recipe';

const evaluation = evaluateMix(
  recipe({ 'peat-fine': 4, 'perlite-coarse': 2 }, { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.3 } }),
);

test('a bill is what is scooped and weighed, times its price', () => {
  const sheet = batchSheet(evaluation, 50, 'sowing');
  const price = new Map([
    ['peat-fine', 0.12],
    ['perlite-coarse', 0.15],
    ['calcium-nitrate', 1.8],
  ]);
  const bill = billOf(takesOf(evaluation), (item) => price.get(item) ?? null);
  const byHand =
    sheet.components[0]!.looseLitres * 0.12 +
    sheet.components[1]!.looseLitres * 0.15 +
    (0.3 * 50 * 1.8) / 1000;
  expect(bill.perLitre * 50).toBeCloseTo(byHand, 9);
  expect(bill.unpriced).toEqual(['lime-dolomitic']);
});

test('what is screened takes more than goes through', () => {
  const input = recipe({}, { vessel: 'pot-9' });
  const bark = material('bark-pine');
  const takes = (mm?: number) =>
    takesOf(evaluateMix({ ...input, components: [partOf(bark, 1, mm)] }))[0]!.perLitre;
  expect(takes(5)).toBeGreaterThan(takes() * 1.05);
});

test('cells against blocks, a hundred plants, by hand', () => {
  const tray = { ...vesselKind('cell-72'), price: 2.4, uses: 4, minutesPerHundred: 6, footprintM2: 0.15 };
  const cost = vesselCost(tray, 0.2, 18);
  expect(cost.vesselMoney).toBeCloseTo(((100 / 72) * 2.4) / 4, 9);
  expect(cost.labourMoney).toBeCloseTo(1.8, 9);
  expect(cost.benchM2).toBeCloseTo((100 / 72) * 0.15, 9);
  expect(cost.mixMoney).toBeCloseTo(cost.mixL * 0.2, 9);
  expect(vesselCost({ ...tray, ownMix: true }, 0.2).mixL).toBe(0);
  expect(vesselCost(vesselKind('block-50'), null)).toMatchObject({
    mixMoney: null,
    vesselMoney: null,
    minutes: null,
  });
});
