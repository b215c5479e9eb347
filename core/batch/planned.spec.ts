import { metric, us } from '#testing/readers';
import { read } from '#words/read';
import { costOf, plannedItems, plannedOf } from '#core/batch/planned';
import { snapshotBatch } from '#core/batch/snapshot';
import { starterMixes } from '#core/recipe/starter-mixes';
import { costSays, moneySaid } from '#core/units/money';
import { volumeL } from '#core/vessel/vessel';
import { library, vesselKind } from '#testing/library';

const choice = { units: 'metric', scoop: 'bucket-10l' } as const;
const potting = {
  ...starterMixes.potting,
  vessel: 'pot-11',
  compactionPct: 0,
  job: { vessels: 40, sparePct: 0 },
};
const batch = snapshotBatch(potting, library, choice);

test('a litre of each at 2 and a kilogram at 5: the money of all that it takes', () => {
  const materials = new Set(batch.sheet.components.map((component) => component.material));
  const litres = plannedItems(batch).reduce(
    (sum, each) => sum + (materials.has(each.item) ? each.amount : 0),
    0,
  );
  const kilograms = batch.sheet.amendments.reduce((sum, each) => sum + each.grams / 1000, 0);
  const cost = costOf(plannedItems(batch), (item) => (materials.has(item) ? 2 : 5))!;
  expect(cost.money).toBeCloseTo(2 * litres + 5 * kilograms, 9);
  expect(cost.unpriced).toBe(0);
  const first = batch.sheet.components[0]!.material;
  expect(costOf(plannedItems(batch), (item) => (item === first ? 3 : null))).toEqual({
    money: 3 * plannedOf(batch, first),
    unpriced: plannedItems(batch).length - 1,
  });
  expect(costOf(plannedItems(batch), () => null)).toBeNull();
});

test('what goes over a screen is paid for', () => {
  const [first, ...others] = potting.components;
  const screened = snapshotBatch(
    { ...potting, components: [{ ...first!, screenedMm: 3 }, ...others] },
    library,
    choice,
  );
  const through = screened.sheet.components[0]!.looseLitres;
  expect(plannedOf(screened, first!.material)).toBeGreaterThan(through);
});

test('a US gallon is 3.785 litres, on the money as well', () => {
  const cost = (sign: string) => costSays('cost.batch', { money: 12, unpriced: 1, litres: 40, sign });
  expect(read(cost('€'), metric)).toBe('Cost €12.00, €0.30 a litre, without 1\u00a0thing that had no price.');
  expect(read(cost('$'), us)).toContain(`$${((12 / 40) * 3.785411784).toFixed(2)} a gallon`);
  expect(moneySaid(0.0514, 'kr')).toBe('kr\u00a00.051');
});

test('filled half for now: a step says what fills it up later, and both together fill it', () => {
  const half = snapshotBatch({ ...potting, fillPct: 50 }, library, choice);
  const step = half.steps.find((each) => each.id === 'top-up')!;
  const more = 40 * volumeL(vesselKind('pot-11').vessel) - half.sheet.litres;
  expect(more).toBeGreaterThan(0);
  const text = read(step.text, metric).replaceAll('\u00a0', ' ');
  expect(text).toContain('Filled to 50 %');
  expect(text).toContain(`${more.toFixed(1)} L more`);
  expect(batch.steps.map((each) => each.id)).not.toContain('top-up');
});
