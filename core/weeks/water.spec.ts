import { acidify, remarksOnAcid } from '#core/weeks/alkalinity';
import {
  acidityMeqPerG,
  acidityMeqPerMgN,
  type Analysis,
  isFeedTooCold,
  liquidFeed,
} from '#core/weeks/liquid-feed';
import { gramsIn, litresIn } from '#core/units/factors';
import { amendment } from '#testing/library';
import { published } from '#testing/published';

const WHIPKER = 'Whipker et al., Commun. Soil Sci. Plant Anal. 27:959 (1996) (from memory)';

test('hard well water to pH 5.8 with nitric acid', () => {
  const { meqPerL, neutralisedShare, acidMlPerL, adds } = acidify(250, 5.8, 'nitric61');
  expect(meqPerL).toBe(5);
  published({
    what: 'share neutralised at 5.8',
    source: WHIPKER,
    published: 0.78,
    ours: neutralisedShare,
    unit: '',
    within: 0.0005,
  });
  published({
    what: '61 % nitric acid for 250 mg/L to 5.8',
    source: WHIPKER,
    published: 0.3,
    ours: acidMlPerL!,
    unit: 'mL/L',
    within: 0.005,
  });
  published({
    what: 'nitrogen that comes with it',
    source: WHIPKER,
    published: 55,
    ours: adds.n,
    unit: 'mg/L',
    within: 0.5,
  });
});

test('phosphoric brings phosphorus; citric gives between one and three protons', () => {
  const phosphoric = acidify(250, 5.8, 'phosphoric75');
  expect(phosphoric.acidMlPerL).toBeCloseTo(3.9 / 12.1, 3);
  expect(phosphoric.adds.p).toBeCloseTo(3.9 * 30.97, 0);
  const citric = acidify(250, 5.8, 'citric');
  expect(citric.acidMlPerL).toBeUndefined();
  // 3.9 meq of an acid of 192.12 g/mol with three protons at the most.
  expect(citric.acidGPerL).toBeGreaterThan((3.9 * 192.12) / 3000);
  expect(citric.acidGPerL).toBeLessThan((3.9 * 192.12) / 1000);
});

test('the sourer the target, the more acid; soft water takes none', () => {
  const at = (ph: number): number => acidify(200, ph, 'nitric61').acidMlPerL!;
  const all = [7, 6.5, 6, 5.5, 5, 4.5].map(at);
  expect(all).toEqual([...all].sort((a, b) => a - b));
  expect(acidify(0, 5.8, 'nitric61').acidMlPerL).toBe(0);
});

test('a liquid feed to a strength', () => {
  const twenty = { nPct: 20, p2O5Pct: 20, k2OPct: 20, caPct: 0, mgPct: 0, sPct: 0 };
  const source = 'stock = mg/L × ratio / (% × 10), usual in greenhouse handbooks (from memory)';
  published({
    what: 'stock for 150 mg/L from 20 %, 1:100',
    source,
    published: 75,
    ours: liquidFeed(twenty, 150, 100, 50).stockGPerL,
    unit: 'g/L',
    within: 1e-9,
  });
  const can = liquidFeed(twenty, 200, 1, 10);
  published({
    what: '200 mg/L from 20 %, oz in 100 US gal',
    source,
    published: 13.35,
    ours: (can.productGPerL * 100 * litresIn.gallon) / gramsIn.ounce,
    unit: 'oz',
    within: 0.01,
  });
  expect(can.tankGrams).toBeCloseTo(10, 9);
  expect(can.elementsMgPerL).toMatchObject({ n: 200, p: 200 * 0.4364, k: 200 * 0.8301 });
});

test('nothing is counted in nitrogen that has none; nonsense is named', () => {
  expect(() => liquidFeed(amendment('potassium-sulphate'), 100, 100, 10)).toThrow(
    /product.nPct must be counted in nitrogen/,
  );
  expect(() => acidify(250, 3, 'citric')).toThrow(/targetPh must be a number from 4.5 to 7/);
  expect(() => liquidFeed(amendment('calcium-nitrate'), 9000, 100, 10)).toThrow(
    /nMgPerL must be a number from 1 to 2000/,
  );
});

test.each<[string, number, Partial<Analysis>]>([
  ['ammonium nitrate 33.5-0-0', 60, { nPct: 33.5 }],
  ['ammonium sulphate 21-0-0', 110, { nPct: 21, sPct: 24 }],
  ['urea 46-0-0', 84, { nPct: 46 }],
  ['monoammonium phosphate 11-48-0', 58, { nPct: 11, p2O5Pct: 48 }],
  ['calcium nitrate 15.5-0-0', -20, { nPct: 15.5, caPct: 19 }],
  ['potassium nitrate 13-0-44', -26, { nPct: 13, k2OPct: 44 }],
])('%s leaves the acidity of the tables', (name, published100, label) => {
  const none = { nPct: 0, p2O5Pct: 0, k2OPct: 0, caPct: 0, mgPct: 0, sPct: 0 };
  published({
    what: `acidity of ${name}, kg of calcium carbonate to 100 kg`,
    source: 'Pierre 1933, as the tables of fertiliser handbooks have it (from memory)',
    published: published100,
    ours: acidityMeqPerG({ ...none, ...label }) * 5,
    unit: 'kg',
    within: 6,
  });
});

test('acidity is counted by nitrogen, and a product without it is refused', () => {
  const urea = { nPct: 46, p2O5Pct: 0, k2OPct: 0, caPct: 0, mgPct: 0, sPct: 0 };
  expect(acidityMeqPerMgN(urea)).toBeCloseTo(1 / 14.007 / 2, 9);
  expect(() => acidityMeqPerMgN({ ...urea, nPct: 0 })).toThrow(/nPct/);
});

test('what an acid brings too much of, and leaves too little of: model § 27', () => {
  // 250 mg/L to 5.8: 55 mg/L of nitrogen, 121 of phosphorus; a fifth of the alkalinity stays, 55 mg/L.
  expect(remarksOnAcid(acidify(250, 5.8, 'nitric61'))).toEqual(['nitrogen']);
  expect(remarksOnAcid(acidify(250, 5.8, 'phosphoric75'))).toEqual(['phosphorus']);
  expect(remarksOnAcid(acidify(250, 5.8, 'citric'))).toEqual([]);
  expect(remarksOnAcid(acidify(120, 5.5, 'citric'))).toEqual(['no-buffer']);
});

test('more than half ammonium is no feed under 15 °C', () => {
  const share = (nh4ShareOfNPct: number) => ({ nh4ShareOfNPct });
  expect([
    isFeedTooCold(share(60), 12),
    isFeedTooCold(share(50), 12),
    isFeedTooCold(share(60), 15),
    isFeedTooCold(amendment('calcium-nitrate'), 5),
  ]).toEqual([true, false, false, false]);
});
