import fc from 'fast-check';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { evaluateMix } from '#core/mix/evaluate';
import { CARBONATE_STOPS_PH } from '#core/mix/lime-curve';
import { convertEc, type EcMethod, sparing } from '#core/mix/salts';
import { readingsOf } from '#core/judge/readings';
import { amendment } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';
import { gPerLInPoundPerCubicYard as lbPerYd3 } from '#core/units/factors';

/** Boodley & Sheldrake, Cornell Peat-Lite Mixes (1967): per cubic yard of mix A (from memory). */
const CORNELL = 'Boodley & Sheldrake, Cornell Peat-Lite Mixes (1967) (from memory)';
const mixA = evaluateMix(
  recipe(
    { 'peat-medium': 11, 'vermiculite-medium': 11 },
    {
      doses: {
        'lime-dolomitic': 5 * lbPerYd3,
        'superphosphate-single': 2 * lbPerYd3,
        'calcium-nitrate': lbPerYd3,
      },
    },
  ),
);

describe('lime', () => {
  test('peat-lite mix A comes to its published pH', () => {
    published({
      what: 'pH of peat-lite mix A, 5 lb/yd³ dolomitic lime',
      source: CORNELL,
      published: [5.5, 6.2],
      ours: mixA.ph,
      unit: 'pH',
    });
  });

  test('pure sphagnum takes about 5–6 kg/m³ to pH 5.8', () => {
    const dose = evaluateMix(recipe({ 'peat-medium': 1 }, { limeToPh: 5.8 })).lime!.gPerL;
    published({
      what: 'lime for pure sphagnum to pH 5.8',
      source: 'Bunt 1988 (from memory)',
      published: [5, 6],
      ours: dose,
      unit: 'g/L',
    });
  });

  test('pure calcium carbonate neutralises 19.98 meq per gram', () => {
    const pure = { ...amendment('lime-calcitic'), ccePct: 100, passing250UmPct: 100 };
    published({
      what: 'strength of pure calcium carbonate',
      source: 'molar mass 100.087 (CRC Handbook)',
      published: 2000 / 100.087,
      ours: neutralisingMeqPerG(pure),
      unit: 'meq/g',
      within: 0.01,
    });
  });

  test('coarse lime counts half (US agronomic fineness)', () => {
    // 60 % through 0.25 mm, 40 % between: 0.6 + 0.2 = 0.8 of its strength.
    const coarse = amendment('lime-calcitic');
    expect(
      neutralisingMeqPerG(coarse) / neutralisingMeqPerG({ ...coarse, passing250UmPct: 100 }),
    ).toBeCloseTo(0.8, 9);
  });

  test('a solved dose lands on its target, on top of other limes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: 5, max: 7, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (peat, target, chalk) => {
          const e = evaluateMix(
            recipe({ 'peat-fine': peat, 'perlite-fine': 1 }, { limeToPh: target, doses: { chalk } }),
          );
          expect(e.ph).toBeCloseTo(target, 6);
        },
      ),
    );
  });

  test('lime never lowers pH, and never lifts it past the carbonate ceiling', () => {
    expect(evaluateMix(recipe({ 'vermiculite-fine': 1 }, { limeToPh: 5.5 })).lime!.gPerL).toBe(0);
    expect(evaluateMix(recipe({ 'peat-fine': 1 }, { doses: { chalk: 500 } })).ph).toBeLessThanOrEqual(
      CARBONATE_STOPS_PH,
    );
    // Caustic lime goes past it.
    expect(evaluateMix(recipe({ 'peat-fine': 1 }, { doses: { 'lime-hydrated': 15 } })).ph).toBeGreaterThan(
      CARBONATE_STOPS_PH,
    );
  });

  test('a product that is no lime, or a target out of range, is refused', () => {
    expect(() => evaluateMix(recipe({ 'peat-fine': 1 }, { limeToPh: 6, lime: 'gypsum' }))).toThrow(
      'limeToPh.amendment must be neutralises acid, was "gypsum"',
    );
    expect(() => evaluateMix(recipe({ 'peat-fine': 1 }, { limeToPh: 12 }))).toThrow(
      'limeToPh.ph must be a number from 3.5 to 8, was 12',
    );
  });
});

describe('nutrients and salts', () => {
  test('what the feed of mix A brings, by hand from the published weights', () => {
    const bare = evaluateMix(recipe({ 'peat-medium': 11, 'vermiculite-medium': 11 }));
    const added = (e: 'n' | 'p' | 'ca'): number => mixA.elementsMgPerL[e] - bare.elementsMgPerL[e];
    // 453.592 g in 764.555 L: 593.3 mg/L of product to the pound.
    published({
      what: 'N of 1 lb/yd³ calcium nitrate 15.5-0-0',
      source: CORNELL,
      published: 593.3 * 0.155,
      ours: added('n'),
      unit: 'mg/L',
      within: 0.5,
    });
    // 20 % superphosphate in 1967; the starter library holds 18 %. P is 61.94 × 2 / 141.94 of P₂O₅.
    published({
      what: 'P of 2 lb/yd³ superphosphate 18 %',
      source: CORNELL,
      published: 2 * 593.3 * 0.18 * ((2 * 30.974) / 141.943),
      ours: added('p'),
      unit: 'mg/L',
      within: 0.5,
    });
    published({
      what: 'Ca of 5 lb dolomitic lime, 2 lb superphosphate, 1 lb calcium nitrate',
      source: CORNELL,
      published: 593.3 * (5 * 0.215 + 2 * 0.2 + 0.19),
      ours: added('ca'),
      unit: 'mg/L',
      within: 2,
    });
  });

  test('EC by three methods, against the normal row of the interpretation table', () => {
    // Cavins et al., NCSU Hort. Inf. Leaflet 590 (2000) (from memory): normal is 1:2 0.8–1.3,
    // saturated 2.0–3.5, displaced 2.6–4.6. One salt load at the middle of one method has to lie in the others.
    const source = 'Cavins et al., NCSU Hort. Inf. Leaflet 590 (2000) (from memory)';
    const at = { totalPorosity: mixA.composition.totalPorosity, water: 0.7 };
    const from =
      (ec: number, method: EcMethod) =>
      (to: EcMethod): number =>
        convertEc(ec, method, to, at);
    const middle = from(2.75, 'saturated');
    published({
      what: 'saturated 2.75 as 1:2',
      source,
      published: [0.8, 1.3],
      ours: middle('oneToTwo'),
      unit: 'mS/cm',
    });
    published({
      what: 'saturated 2.75 as displaced',
      source,
      published: [2.6, 4.6],
      ours: middle('displaced'),
      unit: 'mS/cm',
    });
    const methods: EcMethod[] = ['saturated', 'displaced', 'oneToTwo', 'oneToFive'];
    for (const a of methods)
      for (const b of methods) expect(convertEc(convertEc(1.5, a, b, at), b, a, at)).toBeCloseTo(1.5, 12);
  });

  test('10 meq of cations per litre of water read about 1 mS/cm', () => {
    const e = evaluateMix(recipe({ 'perlite-coarse': 1 }, { doses: { 'potassium-nitrate': 1 } }));
    // 9.8 meq/L of salt + 0.09 of perlite, dissolved in the pores.
    expect(e.ecSaturatedMSPerCm).toBeCloseTo((9.8 + 0.09) / 0.77 / 10, 6);
  });

  test('slow feeds count nothing at mixing', () => {
    const fed = evaluateMix(recipe({ 'peat-fine': 1 }, { doses: { 'blood-meal': 3, 'coated-14-14-14': 3 } }));
    expect(fed.elementsMgPerL.n).toBeCloseTo(evaluateMix(recipe({ 'peat-fine': 1 })).elementsMgPerL.n, 9);
  });
});

describe('gypsum dissolves as it does', () => {
  const dose = (gPerL: number) => [{ amendment: amendment('gypsum'), gPerL }];

  test('its saturated water', () => {
    published({
      what: 'EC of saturated gypsum water',
      source: 'CRC Handbook (from memory)',
      published: 2.2,
      ours: sparing(dose(50), 1).ecMSPerCm,
      unit: 'mS/cm',
      within: 0.05,
    });
    expect(sparing(dose(50), 1)).toEqual(sparing(dose(5), 1));
    // Twice the water takes up twice as much.
    expect(sparing(dose(50), 2).meqPerL).toBeCloseTo(2 * sparing(dose(50), 1).meqPerL, 12);
  });

  test('what it brings is named, allowed on top of the window, and never more than 2 mS/cm', () => {
    const read = (gPerL: number) => {
      const input = recipe({ 'coir-pith': 1 }, { doses: { gypsum: gPerL } });
      const e = evaluateMix(input);
      return { e, ec: readingsOf(input, e).find((r) => r.id === 'ecSaturated')! };
    };
    const [none, little, much] = [read(0), read(0.8), read(30)];
    expect(none.ec.high).toBe(0.75);
    expect(little.ec.high).toBeCloseTo(0.75 + little.e.harmlessEcMSPerCm, 12);
    expect(little.ec.value - none.ec.value).toBeCloseTo(little.e.harmlessEcMSPerCm, 9);
    expect(little.ec.source).toContain('of gypsum allowed on top');
    expect(much.ec.high).toBeLessThanOrEqual(2.75);
    expect(read(60).e.ecSaturatedMSPerCm).toBeCloseTo(much.e.ecSaturatedMSPerCm, 9);
  });
});

test('wood fibre takes its nitrogen off what is ready, and never below none', () => {
  const e = evaluateMix(recipe({ 'wood-fibre': 3, 'bark-pine': 2 }));
  expect(e.drawdownMgNPerL).toBeGreaterThan(30);
  expect(e.readyNMgPerL).toBe(Math.max(0, e.elementsMgPerL.n - e.drawdownMgNPerL));
  const fed = evaluateMix(recipe({ 'wood-fibre': 3, 'bark-pine': 2 }, { doses: { 'calcium-nitrate': 1 } }));
  expect(fed.readyNMgPerL).toBeCloseTo(fed.elementsMgPerL.n - fed.drawdownMgNPerL, 9);
});
