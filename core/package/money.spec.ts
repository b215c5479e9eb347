import { makeOrBuy } from '#core/package/make-or-buy';
import { openPackage, type PackageUnit, packageUnits } from '#core/package/package';
import { published } from '#testing/published';

// NIST Handbook 44, Appendix C (from memory): dry quart 67.200625 in³, liquid quart 57.75 in³, ft³ 1728 in³.
const NIST = 'NIST Handbook 44, Appendix C (from memory)';

const five = openPackage({ kind: 'bag', volume: 5, unit: 'ft3' }).litres;
const bag = (unit: PackageUnit): number => openPackage({ kind: 'bag', volume: 12, unit }).litres;

test.each<[string, number, number, number]>([
  ['litres in a dry quart', 1.101221, packageUnits.dryQuart, 1e-6],
  ['litres in a liquid quart', 0.946353, packageUnits.liquidQuart, 1e-6],
  ['5 ft³ in dry quarts', 128.6, five / packageUnits.dryQuart, 0.05],
  ['5 ft³ in 12-quart bags, dry', 10.7, five / bag('dryQuart'), 0.05],
  ['5 ft³ in 12-quart bags, liquid', 12.5, five / bag('liquidQuart'), 0.05],
])('%s', (what, theirs, ours, within) => {
  published({ what, source: NIST, published: theirs, ours, unit: '', within });
});

test('bales swell, bricks drink, heaps are weighed', () => {
  expect(openPackage({ kind: 'bale', volume: 3.8, unit: 'ft3', loosening: 2 }).litres).toBeCloseTo(
    2 * 3.8 * 28.316846592,
    9,
  );
  const brick = openPackage({ kind: 'brick', massKg: 5, litresPerKg: 14, waterLitresPerKg: 5 }, 10, 21);
  expect(brick).toEqual({ litres: 70, usableLitres: 63, pricePerL: 21 / 63, waterToHydrateLitres: 25 });
  const bulk = openPackage({ kind: 'bulk', massKg: 1000, dryBulkDensityGPerL: 250, moisturePctWb: 50 });
  expect(bulk).toEqual({ litres: 2000, usableLitres: 2000, pricePerL: null, waterToHydrateLitres: null });
});

test('made against bought, by hand', () => {
  const bill = makeOrBuy({
    litres: 100,
    ingredients: [
      { litres: 80, pricePerL: 0.1 },
      { litres: 40, pricePerL: 0.2 },
    ],
    doses: [{ grams: 300, pricePerKg: 2 }],
    labour: { minutes: 30, perHour: 20 },
    outlay: 500,
    bought: { litres: 40, price: 16 },
  });
  // 8 + 8 + 0.6 + 10 = 26.6; three bags cost 48; each litre made saves 0.4 − 0.266.
  expect(bill).toMatchObject({ bags: 3, costBought: 48 });
  expect(bill.costMade).toBeCloseTo(26.6, 9);
  expect(bill.saved).toBeCloseTo(21.4, 9);
  expect(bill.breakEvenLitres).toBeCloseTo(500 / 0.134, 6);
  const dear = makeOrBuy({
    litres: 80,
    ingredients: [{ litres: 80, pricePerL: 1 }],
    doses: [],
    outlay: 5,
    bought: { litres: 40, price: 16 },
  });
  expect(dear).toMatchObject({ bags: 2, breakEvenLitres: null });
});

test.each([
  [() => openPackage({ kind: 'bag', volume: 0, unit: 'L' }), /volume must be a number from 0.001/],
  [
    () => openPackage({ kind: 'bale', volume: 1, unit: 'L', loosening: 9 }),
    /loosening must be a number from 1 to 5/,
  ],
  [
    () => openPackage({ kind: 'bag', volume: 1, unit: 'L' }, 120),
    /screenLossPct must be a number from 0 to 99/,
  ],
  [
    () => makeOrBuy({ litres: 0, ingredients: [], doses: [], bought: { litres: 1, price: 1 } }),
    /litres must be/,
  ],
])('what cannot be is named with its range (%#)', (act, message) => {
  expect(act).toThrow(message);
});
