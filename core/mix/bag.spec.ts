import { bagAsMaterial, sharesByOrder } from '#core/mix/bag';
import { materialFromRow } from '#core/material/material';
import { evaluateMix } from '#core/mix/evaluate';
import { material } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

test('an order alone tells shares: the broken stick', () => {
  // MacArthur, PNAS 43:293 (1957), from memory: expected lengths of a stick broken at random, largest first.
  const source = 'MacArthur 1957, the broken stick (from memory)';
  [0.6111, 0.2778, 0.1111].forEach((share, i) => {
    published({
      what: `share ${i + 1} of three`,
      source,
      published: share,
      ours: sharesByOrder(3)[i]!,
      unit: '',
      within: 1e-4,
    });
  });
  for (let n = 1; n <= 12; n++) expect(sharesByOrder(n).reduce((a, b) => a + b)).toBeCloseTo(1, 12);
});

const ingredients = ['peat-fine', 'perlite-coarse', 'vermiculite-medium'].map(material);
const bag = { id: 'own-bag', name: 'The blue bag', ingredients };

test('what is printed holds, what is not stays wide', () => {
  const row = bagAsMaterial({ ...bag, ph: 6.1, nMgPerL: 150, kMgPerL: 200 });
  expect([row.ph, row.availableNMgPerL, row.availableKMgPerL]).toEqual([6.1, 150, 200]);
  expect(row.doubt).toBe(2);
  expect(row.sure).toEqual({ phUnits: 1, salts: 1 });
  expect(row.madeOf!.peat).toBeCloseTo(0.6111, 3);
  expect(bagAsMaterial(bag).sure).toEqual({});
});

test('with its parts told a bag drains as the recipe does', () => {
  const result = materialFromRow(bagAsMaterial({ ...bag, parts: [4, 2, 1] }));
  const is = evaluateMix({
    ...recipe({}, { vessel: 'pot-9' }),
    components: [{ material: result, parts: 1 }],
  });
  const was = evaluateMix(
    recipe({ 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 }, { vessel: 'pot-9' }),
  );
  expect(Math.abs(is.drained.air - was.drained.air)).toBeLessThan(0.03);
});

test.each([
  [() => bagAsMaterial({ ...bag, ingredients: [] }), 'ingredients must be a number from 1 to 12, was 0'],
  [() => bagAsMaterial({ ...bag, parts: [1] }), 'parts must be 3 to 3 ingredients, was 1'],
  [() => bagAsMaterial({ ...bag, ph: 14 }), 'ph must be'],
  [() => bagAsMaterial({ ...bag, nMgPerL: -1 }), 'nMgPerL must be'],
])('what cannot be is named (%#)', (act, message) => {
  expect(act).toThrow(message);
});
