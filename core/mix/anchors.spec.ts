import fc from 'fast-check';
import { judgeMix } from '#core/judge/judge';
import { evaluateMix } from '#core/mix/evaluate';
import { gPerLInPoundPerCubicYard } from '#core/units/factors';
import { type Vessel } from '#core/vessel/vessel';
import { materials } from '#testing/library';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

/** Published air space of fills drained in the vessel is repeated to about three points of volume. */
const POINTS = 3;
const around = (low: number, high = low): [number, number] => [low - POINTS, high + POINTS];

const pot15: Vessel = { shape: 'round', topMm: 152, baseMm: 112, depthMm: 152, headspaceMm: 12 };
const pot10: Vessel = { shape: 'round', topMm: 102, baseMm: 76, depthMm: 96, headspaceMm: 8 };
const cell48: Vessel = { shape: 'rect', topMm: [55, 55], baseMm: [40, 40], depthMm: 57, headspaceMm: 3 };
const plug273: Vessel = { shape: 'rect', topMm: [21, 21], baseMm: [14, 14], depthMm: 25, headspaceMm: 0 };
const ring: Vessel = { shape: 'round', topMm: 76, baseMm: 76, depthMm: 76, headspaceMm: 0 };
const column10: Vessel = { shape: 'round', topMm: 80, baseMm: 80, depthMm: 100, headspaceMm: 0 };
const plug27: Vessel = { shape: 'rect', topMm: [21, 21], baseMm: [14, 14], depthMm: 27, headspaceMm: 0 };

const FONTENO = 'Fonteno, Acta Hort. 238:67 (1989) (from memory)';
const BUNT = 'Bunt, Media and Mixes for Container-Grown Plants (1988) (from memory)';
const BILDERBACK = 'Bilderback, Warren, Owen & Albano, HortTechnology 15:747 (2005) (from memory)';
const peatVermiculite = { 'peat-medium': 1, 'vermiculite-medium': 1 };

type What = 'air' | 'water' | 'porosity' | 'shrinkage' | 'density';
const figure: Record<What, (e: ReturnType<typeof evaluateMix>) => number> = {
  air: (e) => 100 * e.drained.air,
  water: (e) => 100 * e.drained.water,
  porosity: (e) => 100 * e.composition.totalPorosity,
  shrinkage: (e) => 100 * e.composition.shrinkage,
  density: (e) => e.composition.dryBulkDensityGPerL / 1000,
};

test.each<[string, Record<string, number>, Vessel, What, [number, number], string]>([
  ['peat–vermiculite 1:1 in a 15 cm pot', peatVermiculite, pot15, 'air', around(20), FONTENO],
  ['peat–vermiculite 1:1 in a 10 cm pot', peatVermiculite, pot10, 'air', around(13), FONTENO],
  ['peat–vermiculite 1:1 in a bedding cell', peatVermiculite, cell48, 'air', around(8), FONTENO],
  ['peat–vermiculite 1:1 in a 273 plug', peatVermiculite, plug273, 'air', [0, 3 + POINTS], FONTENO],
  ['peat–vermiculite 1:1', peatVermiculite, pot15, 'porosity', around(85, 90), FONTENO],
  ['peat–perlite 1:1', { 'peat-medium': 1, 'perlite-coarse': 1 }, ring, 'porosity', around(80, 88), FONTENO],
  [
    'peat–perlite 1:1 in a 7.6 cm ring',
    { 'peat-medium': 1, 'perlite-coarse': 1 },
    ring,
    'air',
    around(20, 28),
    FONTENO,
  ],
  ['aged pine bark in a 15 cm pot', { 'bark-pine': 1 }, pot15, 'air', around(25, 30), BILDERBACK],
  ['aged pine bark in a 15 cm pot', { 'bark-pine': 1 }, pot15, 'water', around(50, 60), BILDERBACK],
  ['bark–sand 8:1', { 'bark-pine': 8, 'sand-sharp': 1 }, pot15, 'air', around(22, 28), BILDERBACK],
  ['bark–sand 8:1', { 'bark-pine': 8, 'sand-sharp': 1 }, pot15, 'water', around(48, 55), BILDERBACK],
  [
    'GCRI potting mix, medium peat–fine sand 3:1, in a 10 cm column',
    { 'peat-medium': 3, 'sand-fine': 1 },
    column10,
    'air',
    [7, 15],
    BUNT,
  ],
  [
    'GCRI seed mix, medium peat–fine sand 1:1, in a 10 cm column',
    { 'peat-medium': 1, 'sand-fine': 1 },
    column10,
    'air',
    [3, 9],
    BUNT,
  ],
  [
    'John Innes potting mix, loam–peat–sand 7:3:2, in a 10 cm column',
    { loam: 7, 'peat-medium': 3, 'sand-sharp': 2 },
    column10,
    'air',
    [4, 12],
    BUNT,
  ],
  [
    'John Innes seed mix, loam–peat–sand 2:1:1, in a 10 cm column',
    { loam: 2, 'peat-medium': 1, 'sand-sharp': 1 },
    column10,
    'air',
    [4, 12],
    BUNT,
  ],
  ['bark–sand 8:1, kg/L', { 'bark-pine': 8, 'sand-sharp': 1 }, pot15, 'density', [0.3, 0.4], BILDERBACK],
  [
    'bark–peat–sand 3:1:1',
    { 'bark-pine': 3, 'peat-medium': 1, 'sand-sharp': 1 },
    pot15,
    'air',
    around(15, 22),
    BILDERBACK,
  ],
  [
    'medium peat–fine sand 1:1',
    { 'peat-medium': 1, 'sand-fine': 1 },
    pot15,
    'shrinkage',
    around(15, 20),
    'common practice, no source',
  ],
  [
    'medium peat–sharp sand 1:1',
    { 'peat-medium': 1, 'sand-sharp': 1 },
    pot15,
    'shrinkage',
    around(8, 15),
    'common practice, no source',
  ],
])('%s: %s', (name, parts, vessel, what, range, source) => {
  published({
    what: `${what} of ${name}`,
    source,
    published: range,
    ours: figure[what](evaluateMix(recipe(parts, { vessel }))),
    unit: what === 'density' ? 'kg/L' : '%',
  });
});

test('pure sharp sand stays saturated in a plug 27 mm deep: its first pore empties higher up', () => {
  published({
    what: 'air of sharp sand in a 27 mm plug',
    source:
      'Schroth et al., Soil Sci. Soc. Am. J. 60:1331 (1996): air entry of such sand about 5 cm (from memory)',
    published: [0, 2],
    ours: 100 * evaluateMix(recipe({ 'sand-sharp': 1 }, { vessel: plug27 })).drained.air,
    unit: '%',
  });
});

describe('blocks pressed by a quarter', () => {
  const source = 'model § 14, after Assouline, Vadose Zone J. 5:554 (2006) (from memory)';
  test.each<[string, Record<string, number>, number, number]>([
    ['black peat', { 'peat-black': 1 }, 16, 8],
    ['black and white peat 7:3', { 'peat-black': 7, 'peat-medium': 3 }, 19, 9.5],
    ['coir and compost 3:1', { 'coir-pith': 3, compost: 1 }, 20, 11],
    ['compost and sand 3:1', { compost: 3, 'sand-sharp': 1 }, 11, 5.5],
  ])('%s', (name, parts, water, air) => {
    const e = evaluateMix(recipe(parts, { vessel: 'block-50', compaction: 0.25 }));
    published({
      what: `easy water of a block of ${name}`,
      source,
      published: water,
      ours: 100 * e.easilyAvailableWater,
      unit: '%',
      within: 1,
    });
    published({
      what: `air after dry-down of a block of ${name}`,
      source,
      published: air,
      ours: 100 * e.airAfterDrydown,
      unit: '%',
      within: 1,
    });
  });

  test('the standard peat of the block trade is no stop for its air', () => {
    const { flags } = judgeMix(
      recipe({ 'peat-black': 1 }, { stage: 'seedling', vessel: 'block-50', compaction: 0.25, limeToPh: 5.8 }),
    );
    expect(flags.filter((f) => f.severity === 'stop')).toEqual([]);
  });
});

describe('lime and carbonate', () => {
  test.each<[string, Record<string, number>, object, [number, number], string]>([
    [
      'peat with a quarter of compost, unlimed',
      { 'peat-medium': 3, compost: 1 },
      {},
      [5.2, 6.2],
      'common practice, no source',
    ],
    [
      'peat with half compost, unlimed',
      { 'peat-medium': 1, compost: 1 },
      {},
      [6.1, 7.2],
      'common practice, no source',
    ],
    [
      'coir with a tenth of compost, unlimed',
      { 'coir-pith': 9, compost: 1 },
      {},
      [6.3, 6.6],
      'common practice, no source',
    ],
    [
      'bark–sand 8:1 with 5 lb/yd³ of dolomite',
      { 'bark-pine': 8, 'sand-sharp': 1 },
      { doses: { 'lime-dolomitic': 5 * gPerLInPoundPerCubicYard } },
      [5.6, 6.4],
      BILDERBACK,
    ],
  ])('%s', (what, parts, sketch, range, source) => {
    published({
      what: `pH of ${what}`,
      source,
      published: range,
      ours: evaluateMix(recipe(parts, sketch)).ph,
      unit: 'pH',
    });
  });

  test.each<[string, Record<string, number>, Record<string, number>, [number, number], string]>([
    ...(
      [
        [3, [5.1, 5.6]],
        [4, [5.5, 6]],
        [6, [6.3, 6.9]],
        [10, [6.8, 7.5]],
        [60, [7.3, 7.5]],
      ] as const
    ).map(
      ([gPerL, range]): [
        string,
        Record<string, number>,
        Record<string, number>,
        [number, number],
        string,
      ] => [
        `peat–perlite 7:3 with ${gPerL} g/L of dolomitic lime`,
        { 'peat-medium': 7, 'perlite-coarse': 3 },
        { 'lime-dolomitic': gPerL },
        [...range],
        'model § 23: calcite at pCO₂ 10⁻² (from memory)',
      ],
    ),
    [
      'U.C. mix C: 7.5 lb dolomite and 2.5 lb calcite per yd³ of fine sand and peat 1:1',
      { 'peat-medium': 1, 'sand-fine': 1 },
      { 'lime-dolomitic': 7.5 * gPerLInPoundPerCubicYard, 'lime-calcitic': 2.5 * gPerLInPoundPerCubicYard },
      [5.9, 7.3],
      'Baker, U.C. Manual 23 (1957) (from memory)',
    ],
  ])('the upper half of the curve: %s', (what, parts, doses, range, source) => {
    published({
      what: `pH of ${what}`,
      source,
      published: range,
      ours: evaluateMix(recipe(parts, { doses })).ph,
      unit: 'pH',
    });
  });

  test('sphagnum to pH 5.8 takes 5–6 g/L', () => {
    published({
      what: 'lime for medium peat to 5.8',
      source: BUNT,
      published: [5, 6],
      ours: evaluateMix(recipe({ 'peat-medium': 1 }, { limeToPh: 5.8 })).lime!.gPerL,
      unit: 'g/L',
    });
  });

  test('the table: a litre that takes more the sourer it is', () => {
    // U.C. mix C: 11.5, 7.4 and 3.5 lb/yd³ for peat of 4.0, 4.5 and 5.0, as shares of what it takes from 3.5 (15.5).
    // Baker, The U.C. System, Manual 23 (1957) (from memory). The ratio does not know how strong the peat is.
    const peat = materials.find((m) => m.id === 'peat-medium')!;
    const takes = (ph: number): number =>
      evaluateMix({
        ...recipe({ 'peat-medium': 1 }, { limeToPh: 5.7 }),
        components: [{ material: { ...peat, ph }, parts: 1 }],
      }).lime!.gPerL;
    for (const [ph, pounds] of [
      [4, 11.5],
      [4.5, 7.4],
      [5, 3.5],
    ] as const)
      published({
        what: `lime from pH ${ph} as a share of that from 3.5`,
        source: 'Baker, U.C. Manual 23 (1957) (from memory)',
        published: pounds / 15.5,
        ours: takes(ph) / takes(3.5),
        unit: '',
        within: 0.06,
      });
  });
});

test('salts of a material are the ions that are listed for it', () => {
  for (const m of materials) {
    const meq =
      m.availableKMgPerL / 39.1 +
      m.availableCaMgPerL / 20.04 +
      m.availableMgMgPerL / 12.15 +
      m.naMgPerL / 22.99 +
      m.nh4NMgPerL / 14.007;
    expect([m.id, Math.abs(meq - m.saltsMeqPerL) < 0.05]).toEqual([m.id, true]);
  }
});

describe('for any parts', () => {
  const parts = fc
    .uniqueArray(fc.tuple(fc.constantFrom(...materials.map((m) => m.id)), fc.integer({ min: 1, max: 9 })), {
      selector: ([id]) => id,
      minLength: 1,
      maxLength: 5,
    })
    .map((pairs) => Object.fromEntries(pairs));
  const loose = fc.constantFrom('cell-288', 'cell-72', 'pot-9', 'pot-15');

  test('lime never lowers pH', () => {
    fc.assert(
      fc.property(
        parts,
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (p, a, b) => {
          const at = (g: number): number => evaluateMix(recipe(p, { doses: { 'lime-dolomitic': g } })).ph;
          expect(at(Math.max(a, b))).toBeGreaterThanOrEqual(at(Math.min(a, b)) - 1e-9);
        },
      ),
    );
  });

  test('the dose that is solved comes to the pH that was asked', () => {
    fc.assert(
      fc.property(parts, fc.double({ min: 5, max: 7, noNaN: true }), (p, ph) => {
        const e = evaluateMix(recipe(p, { limeToPh: ph }));
        if (e.lime!.gPerL > 0) expect(e.ph).toBeCloseTo(ph, 6);
        else expect(e.ph).toBeGreaterThanOrEqual(ph - 1e-9);
      }),
    );
  });

  test('firming never raises air', () => {
    fc.assert(
      fc.property(
        parts,
        loose,
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (p, vessel, a, b) => {
          const at = (compaction: number): number =>
            evaluateMix(recipe(p, { vessel, compaction })).drained.air;
          expect(at(Math.max(a, b))).toBeLessThanOrEqual(at(Math.min(a, b)) + 1e-9);
        },
      ),
    );
  });

  test('a deeper vessel never has less air by share', () => {
    fc.assert(
      fc.property(
        parts,
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 0, max: 200 }),
        (p, depthMm, deeper) => {
          const at = (depth: number): number =>
            evaluateMix(
              recipe(p, {
                vessel: { shape: 'rect', topMm: [50, 50], baseMm: [50, 50], depthMm: depth, headspaceMm: 0 },
              }),
            ).drained.air;
          expect(at(depthMm + deeper)).toBeGreaterThanOrEqual(at(depthMm) - 1e-9);
        },
      ),
    );
  });

  test('more of a part that is saltier than the mix never lowers its salts', () => {
    fc.assert(
      fc.property(parts, fc.constantFrom(...materials), (p, more) => {
        const before = evaluateMix(recipe(p));
        if (before.saltsMeqPerL / before.composition.densification > more.saltsMeqPerL) return;
        const after = evaluateMix(recipe({ ...p, [more.id]: (p[more.id] ?? 0) + 1 }));
        expect(after.saltsMeqPerL / after.composition.densification).toBeGreaterThanOrEqual(
          before.saltsMeqPerL / before.composition.densification - 1e-9,
        );
      }),
    );
  });
});
