import { bignumber, create, all } from 'mathjs';
import { fitRetention, retentionOf, waterAt, type RetentionCurve } from '#core/material/retention';
import { materials } from '#testing/library';
import { published } from '#testing/published';

/** Parameters of table 1 in van Genuchten, Soil Sci. Soc. Am. J. 44:892 (1980) (from memory). */
const soils: [string, RetentionCurve][] = [
  ['Touchet silt loam', { thetaS: 0.469, thetaR: 0.19, alphaPerCm: 0.00505, n: 7.09, airEntryCm: 0 }],
  ['silt loam G.E. 3', { thetaS: 0.396, thetaR: 0.131, alphaPerCm: 0.00423, n: 2.06, airEntryCm: 0 }],
  ['Guelph loam, drying', { thetaS: 0.52, thetaR: 0.218, alphaPerCm: 0.0115, n: 2.03, airEntryCm: 0 }],
  ['Beit Netofa clay', { thetaS: 0.446, thetaR: 0, alphaPerCm: 0.00152, n: 1.17, airEntryCm: 0 }],
];

test.each(soils)('the formula at 64 digits: %s', (name, curve) => {
  const math = create(all!, { number: 'BigNumber', precision: 64 });
  for (const h of [1, 10, 100, 1000]) {
    const { thetaS, thetaR, alphaPerCm, n } = curve;
    const reference = Number(
      math.evaluate('r + (s - r) / (1 + (a * h) ^ n) ^ (1 - 1 / n)', {
        r: bignumber(thetaR),
        s: bignumber(thetaS),
        a: bignumber(alphaPerCm),
        n: bignumber(n),
        h: bignumber(h),
      }),
    );
    published({
      what: `water at ${h} cm, ${name}`,
      source: 'mathjs at 64 digits; parameters of van Genuchten 1980 (from memory)',
      published: reference,
      ours: waterAt(curve, h),
      unit: 'L/L',
      within: 1e-12,
    });
  }
});

test.each(soils)('the fit finds the curve that made the points: %s', (name, curve) => {
  const points = [30, 100, 200, 400, 1000, 3000].map((suctionCm) => ({
    suctionCm,
    water: waterAt(curve, suctionCm),
  }));
  const fit = fitRetention(points, curve.thetaS);
  if (fit.outcome !== 'fitted') throw new Error(fit.reason);
  published({
    what: `n fitted back from six points, ${name}`,
    source: 'van Genuchten 1980, table 1 (from memory)',
    published: curve.n,
    ours: fit.curve.n,
    unit: '',
    within: 0.01,
  });
  expect(fit.largestMiss).toBeLessThan(1e-4);
});

test('every material of the starter library is met within half a point at its three suctions', () => {
  for (const m of materials) {
    const curve = retentionOf(m);
    expect(Math.abs(waterAt(curve, 10) - m.waterAt10Cm)).toBeLessThan(0.005);
    expect(Math.abs(waterAt(curve, 50) - m.waterAt50Cm)).toBeLessThan(0.005);
    expect(Math.abs(waterAt(curve, 100) - m.waterAt100Cm)).toBeLessThan(0.005);
    expect(waterAt(curve, 0)).toBeCloseTo(m.totalPorosity, 12);
    expect(curve.alphaPerCm).toBeLessThanOrEqual(2 + 1e-9);
  }
});

const points = (...read: [suctionCm: number, water: number][]) =>
  read.map(([suctionCm, water]) => ({ suctionCm, water }));

test.each([
  [points([10, 0.5]), 0.9, 'at least 2 points'],
  [points([0, 0.5], [50, 0.4]), 0.9, 'suction must be above 0'],
  [points([10, 0.4], [50, 0.5]), 0.9, 'water at 50 cm must be from 0 to 0.4'],
  [points([10, NaN], [50, 0.5]), 0.9, 'water at 10 cm'],
  [points([10, 0.4], [50, 0.3]), 1.2, 'total porosity'],
])('unusable points are told, not guessed at (%#)', (unusable, thetaS, reason) => {
  const fit = fitRetention(unusable, thetaS);
  expect(fit.outcome).toBe('unusable');
  if (fit.outcome === 'unusable') expect(fit.reason).toContain(reason);
});
