import { evaluateMix } from '#core/mix/evaluate';
import { K_PER_K2O, P_PER_P2O5 } from '#core/material/amendment';
import { amendment } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';
import { gramsIn, litresIn } from '#core/units/factors';

/**
 * Formulas of the handbooks, entered as they are printed (from memory), against the pH they are said to come to and
 * the nutrients of the products they name. Cornell mix A stands in chemistry.spec.ts.
 */

const BUNT = 'Bunt, Media and Mixes for Container-Grown Plants (1988) (from memory)';
const bare = (parts: Record<string, number>) => evaluateMix(recipe(parts, { stage: 'potting' }));

describe('sand–peat: GCRI seed compost, 1:1, per m³ 0.75 kg superphosphate, 0.4 kg potassium nitrate, 3 kg chalk', () => {
  const parts = { 'peat-medium': 1, 'sand-fine': 1 };
  const mix = evaluateMix(
    recipe(parts, {
      doses: { 'superphosphate-single': 0.75, 'potassium-nitrate': 0.4, 'lime-calcitic': 3 },
    }),
  );
  const added = (e: 'n' | 'p' | 'k'): number => mix.elementsMgPerL[e] - bare(parts).elementsMgPerL[e];

  test('pH, N, P and K', () => {
    published({
      what: 'pH of GCRI seed compost',
      source: BUNT,
      published: [5.4, 6.3],
      ours: mix.ph,
      unit: 'pH',
    });
    // Potassium nitrate holds 13.85 % N and 38.67 % K by its formula weight; fertiliser grades a little less.
    published({
      what: 'N of 0.4 kg/m³ potassium nitrate',
      source: BUNT,
      published: 400 * 0.1385,
      ours: added('n'),
      unit: 'mg/L',
      within: 2,
    });
    published({
      what: 'K of 0.4 kg/m³ potassium nitrate',
      source: BUNT,
      published: 400 * 0.3867,
      ours: added('k'),
      unit: 'mg/L',
      within: 4,
    });
    // 18 % P₂O₅: 7.9 % P.
    published({
      what: 'P of 0.75 kg/m³ superphosphate',
      source: BUNT,
      published: 750 * 0.079,
      ours: added('p'),
      unit: 'mg/L',
      within: 1,
    });
  });
});

test('sand–peat: GCRI potting mix, 3:1, 2.25 kg/m³ each of calcitic and dolomitic limestone', () => {
  const mix = evaluateMix(
    recipe(
      { 'peat-medium': 3, 'sand-fine': 1 },
      {
        stage: 'potting',
        doses: { 'lime-calcitic': 2.25, 'lime-dolomitic': 2.25, 'superphosphate-single': 1.5 },
      },
    ),
  );
  published({
    what: 'pH of GCRI potting mix',
    source: BUNT,
    published: [5.4, 6.2],
    ours: mix.ph,
    unit: 'pH',
  });
});

describe('loam: John Innes composts', () => {
  const LAWRENCE = 'Lawrence & Newell, Seed and Potting Composts (1939) (from memory)';
  /** Imperial bushel, 8 imperial gallons of 4.54609 L. */
  const perBushel = (ounces: number): number => (ounces * gramsIn.ounce) / (8 * 4.54609);

  test('seed compost, 2 loam 1 peat 1 sand, per bushel 1½ oz superphosphate and ¾ oz chalk', () => {
    const parts = { loam: 2, 'peat-medium': 1, 'sand-sharp': 1 };
    const mix = evaluateMix(
      recipe(parts, { doses: { 'superphosphate-single': perBushel(1.5), chalk: perBushel(0.75) } }),
    );
    published({
      what: 'pH of John Innes seed compost',
      source: LAWRENCE,
      published: [5.6, 6.5],
      ours: mix.ph,
      unit: 'pH',
    });
    published({
      what: 'P of 1½ oz superphosphate to the bushel',
      source: LAWRENCE,
      published: 1169 * 0.079,
      ours: mix.elementsMgPerL.p - bare(parts).elementsMgPerL.p,
      unit: 'mg/L',
      within: 2,
    });
  });

  test('base fertiliser, 2 hoof and horn 2 superphosphate 1 potassium sulphate: 5.1 % N, 7.2 % P₂O₅, 9.7 % K₂O', () => {
    const share = { 'hoof-and-horn': 0.4, 'superphosphate-single': 0.4, 'potassium-sulphate': 0.2 };
    const sum = (of: 'nPct' | 'p2O5Pct' | 'k2OPct'): number =>
      Object.entries(share).reduce((s, [id, f]) => s + f * amendment(id)[of], 0);
    published({
      what: 'N of John Innes base',
      source: LAWRENCE,
      published: 5.1,
      ours: sum('nPct'),
      unit: '%',
      within: 0.2,
    });
    published({
      what: 'P₂O₅ of John Innes base',
      source: LAWRENCE,
      published: 7.2,
      ours: sum('p2O5Pct'),
      unit: '%',
      within: 0.2,
    });
    published({
      what: 'K₂O of John Innes base',
      source: LAWRENCE,
      published: 9.7,
      ours: sum('k2OPct'),
      unit: '%',
      within: 0.4,
    });
  });
});

test('label oxides: a pound of 0-20-0 in a cubic yard', () => {
  const gPerL = gramsIn.pound / litresIn.cubicYard;
  // P is 61.948 of 141.945 in P₂O₅, K is 78.197 of 94.196 in K₂O (atomic weights, CRC Handbook).
  published({
    what: 'P of 1 lb/yd³ 0-20-0',
    source: 'atomic weights, CRC Handbook',
    published: (593.3 * 0.2 * 61.948) / 141.945,
    ours: gPerL * 1000 * 0.2 * P_PER_P2O5,
    unit: 'mg/L',
    within: 0.05,
  });
  expect(K_PER_K2O).toBeCloseTo(78.197 / 94.196, 3);
});
