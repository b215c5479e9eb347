import { unit } from 'mathjs';
import { NO_PRODUCT, printedPct, productByLabel } from '#core/material/product-by-label';
import { amendments } from '#testing/library';

const named = { id: 'own-x', name: 'X' };
const label = { kind: 'salt', traces: false, oxides: true, figures: {} } as const;

test('P and K as elements are the oxides by their molar masses', () => {
  // P₂O₅ 141.94 of 2 × 30.974; K₂O 94.196 of 2 × 39.098 (IUPAC atomic weights).
  const row = productByLabel(
    named,
    { ...label, oxides: false, figures: { nPct: 10, pPct: 4.364, kPct: 8.302 } },
    NO_PRODUCT,
  );
  expect(row.p2O5Pct).toBeCloseTo((4.364 * 141.94) / (2 * 30.974), 1);
  expect(row.k2OPct).toBeCloseTo((8.302 * 94.196) / (2 * 39.098), 1);
  expect(productByLabel(named, { ...label, figures: { pPct: 10 } }, NO_PRODUCT).p2O5Pct).toBe(10);
});

test('a level cup gives the weight by volume', () => {
  const { bulkDensityGPerMl } = productByLabel(named, { ...label, figures: { cupG: 237 } }, NO_PRODUCT);
  expect(bulkDensityGPerMl).toBeCloseTo(237 / unit(1, 'cup').toNumber('mL'), 3);
});

test('what a printed analysis leaves out is not in it; what is put right keeps the rest', () => {
  const kin = amendments.find(({ id }) => id === 'calcium-nitrate')!;
  const bare = productByLabel(named, { ...label, figures: { nPct: 12 } }, kin);
  expect([bare.nPct, bare.caPct, bare.solubilityGPerL]).toEqual([12, 0, kin.solubilityGPerL]);
  const changed = productByLabel(named, { ...label, figures: { nPct: 12 } }, kin, true);
  expect([changed.nPct, changed.caPct]).toEqual([12, kin.caPct]);
});

test('more than all of it is refused by name', () => {
  const figures = { nPct: 60, pPct: 30, caPct: 20 };
  expect(printedPct(figures)).toBe(110);
  expect(() => productByLabel(named, { ...label, figures }, NO_PRODUCT)).toThrow(
    /analysis must be at most 100/,
  );
});
