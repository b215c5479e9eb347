import fc from 'fast-check';
import { doseFrom, doseInWays, type DoseSetting, doseWays } from '#core/units/dose-ways';
import { published } from '#testing/published';

const setting: DoseSetting = {
  ...{
    bulkDensityGPerMl: 1.1,
    batchLitres: 40,
    potLitres: 0.5,
    barrowLitres: 80,
    sackKg: 20,
    measureLitres: 0.06,
  },
};

test('pounds to the yard and ounces to the gallon', () => {
  // NIST Handbook 44, Appendix C (from memory): 1 lb = 453.592 g, 1 yd³ = 764.555 L, 1 oz = 28.3495 g, 1 gal = 3.78541 L.
  const source = 'NIST Handbook 44, Appendix C (from memory)';
  const check = (what: string, theirs: number, ours: number): void =>
    published({ what, source, published: theirs, ours, unit: 'g/L', within: 1e-4 });
  check('5 lb/yd³', 2.9664, doseFrom(5, 'lbPerYd3', setting));
  check('1 oz/gal', 7.4892, doseFrom(1, 'ozPerGal', setting));
});

test('by hand: two cups to a batch, grams to a pot, half a sack', () => {
  expect(doseFrom(2, 'cupsPerBatch', setting)).toBeCloseTo((2 * 236.588 * 1.1) / 40, 3);
  expect(doseFrom(1.5, 'gramsPerPot', setting)).toBeCloseTo(3, 12);
  expect(doseFrom(0.5, 'sacksPerBatch', setting)).toBeCloseTo(250, 9);
  // A third of a cup to each half litre pot; two handfuls of 60 mL to the batch.
  expect(doseFrom(1 / 3, 'cupsPerPot', setting)).toBeCloseTo((236.588 * 1.1) / 3 / 0.5, 3);
  expect(doseFrom(1, 'tablespoonsPerPot', setting)).toBeCloseTo((14.7868 * 1.1) / 0.5, 3);
  expect(doseFrom(1, 'ouncesPerPot', setting)).toBeCloseTo(28.3495 / 0.5, 3);
  expect(doseFrom(2, 'measuresPerBatch', setting)).toBeCloseTo((2 * 60 * 1.1) / 40, 9);
  expect(doseFrom(2, 'measuresPerPot', setting)).toBeCloseTo((2 * 60 * 1.1) / 0.5, 9);
  expect(doseFrom(2, 'poundsPerBatch', setting)).toBeCloseTo(907.185 / 40, 3);
  expect(doseFrom(3, 'ouncesPerBatch', setting)).toBeCloseTo(85.0486 / 40, 4);
  expect(doseFrom(0.2, 'kilogramsPerBatch', setting)).toBeCloseTo(5, 9);
  // A gallon is 256 tablespoons and 768 teaspoons: by volume 1 in 256, and 3 in 768, at 1100 g a litre.
  expect(doseFrom(1, 'tablespoonsPerGal', setting)).toBeCloseTo(1100 / 256, 9);
  expect(doseFrom(3, 'teaspoonsPerGal', setting)).toBeCloseTo(1100 / 256, 9);
});

test('said in any way and read back it is the same dose', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 100, noNaN: true }),
      fc.constantFrom(...doseWays),
      (gPerL, way) => {
        const { amount } = doseInWays(gPerL, setting).find((doseInWay) => doseInWay.way === way)!;
        expect(doseFrom(amount, way, setting)).toBeCloseTo(gPerL, 9);
      },
    ),
  );
});

test('a sack that nobody weighed is no measure', () => {
  const unweighed = { ...setting, sackKg: null };
  expect(doseInWays(1, unweighed).map((doseInWay) => doseInWay.way)).not.toContain('sacksPerBatch');
  expect(() => doseFrom(1, 'sacksPerBatch', unweighed)).toThrow('sack weighed');
});
