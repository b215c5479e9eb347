import request from 'supertest';
import { formulateAnswerSchema } from '#contract/formulate';
import { type z } from 'zod';
import { testApp } from '#testing/server';

type Answer = z.infer<typeof formulateAnswerSchema>;

const { app } = testApp();
const vessel = { shape: 'rect', topMm: [40, 40], baseMm: [28, 28], depthMm: 55, headspaceMm: 3 };
const job = {
  stage: 'germination',
  vessel,
  materials: ['peat-fine', 'perlite-coarse', 'vermiculite-medium'],
};
const post = (path: string, sent: object) => request(app).post(path).send(sent);
const ask = async (change: object = {}): Promise<Answer> =>
  (await post('/api/formulate', { ...job, ...change })).body as Answer;

test('answers as the contract says: best first, whole parts with no common divisor', async () => {
  const { status, body } = await post('/api/formulate', { ...job, top: 20 });
  expect(status).toBe(200);
  expect(formulateAnswerSchema.strict().safeParse(body).success).toBe(true);
  const { recipes, tried, commonDivisor } = body as Answer;
  expect(recipes).toHaveLength(20);
  // Sets of up to 10 parts of 3 materials: C(13, 3) − 1.
  expect(tried + commonDivisor).toBe(285);
  const scores = recipes.map((r) => r.score);
  expect(scores).toEqual([...scores].sort((a, b) => a - b));
  for (const { parts, costPerL } of recipes) {
    const counts = Object.values(parts);
    expect(counts.every((n) => Number.isInteger(n) && n > 0)).toBe(true);
    expect(counts.reduce((a, b) => a + b)).toBeLessThanOrEqual(10);
    expect(costPerL).toBeNull();
  }
});

test('its evaluation is that of /api/evaluate for the same parts and doses', async () => {
  const { recipes } = await ask();
  const { parts, amendments, lime, evaluation } = recipes[0]!;
  const again = await post('/api/evaluate', {
    stage: job.stage,
    vessel,
    components: Object.entries(parts).map(([material, n]) => ({ material, parts: n })),
    amendments,
  });
  expect(amendments).toContainEqual(lime);
  // There the lime is one dose among others; here it is told as well. All else is the same.
  expect({ ...again.body, lime: null }).toEqual({ ...evaluation, lime: null });
  expect(evaluation.readings.every((r) => r.verdict === 'ok')).toBe(true);
});

test('limits and prices', async () => {
  const { recipes } = await ask({
    materials: [
      { id: 'peat-fine', costPerL: 0.1 },
      { id: 'perlite-coarse', costPerL: 0.2 },
      { id: 'coir-pith', costPerL: 0.3 },
    ],
    limits: {
      peatPctMax: 50,
      minParts: { 'perlite-coarse': 2 },
      maxParts: { 'coir-pith': 3 },
      materialsMax: 2,
    },
    top: 50,
  });
  expect(recipes.length).toBeGreaterThan(0);
  for (const { parts, costPerL, evaluation } of recipes) {
    expect(evaluation.mix.peatPct).toBeLessThanOrEqual(50 + 1e-9);
    expect(parts['perlite-coarse']).toBeGreaterThanOrEqual(2);
    expect(parts['coir-pith'] ?? 0).toBeLessThanOrEqual(3);
    expect(Object.keys(parts).length).toBeLessThanOrEqual(2);
    const total = Object.values(parts).reduce((a, b) => a + b);
    const loose =
      ((parts['peat-fine'] ?? 0) * 0.1 + parts['perlite-coarse']! * 0.2 + (parts['coir-pith'] ?? 0) * 0.3) /
      total;
    expect(costPerL).toBeCloseTo(loose / (1 - evaluation.mix.mixingShrinkagePct / 100), 9);
  }
});

test('a price that counts changes the order', async () => {
  const materials = [
    { id: 'peat-fine', costPerL: 0.05 },
    { id: 'perlite-coarse', costPerL: 0.3 },
    { id: 'vermiculite-medium', costPerL: 0.9 },
  ];
  const plain = await ask({ materials, top: 1 });
  const cheap = await ask({ materials, top: 1, preferences: { price: 20 } });
  expect(cheap.recipes[0]!.costPerL).toBeLessThan(plain.recipes[0]!.costPerL!);
});

test('nothing fits: the windows that conflict, and the least change', async () => {
  const { feasible, conflict } = await ask({ stage: 'rooting', materials: ['sand-fine', 'loam'] });
  expect(feasible).toBe(0);
  expect(conflict!.never).toContain('air');
  expect((await ask()).conflict).toBeNull();
});

test.each<[string, object, string]>([
  ['empty shelf', { materials: [] }, 'materials'],
  ['eleven', { materials: Array<string>(11).fill('loam') }, 'materials'],
  ['unknown', { materials: ['moondust'] }, 'materials.0'],
  ['twice', { materials: ['loam', 'loam'] }, 'materials.1'],
  ['parts', { maxTotalParts: 21 }, 'maxTotalParts'],
  ['half', { limits: { minParts: { 'peat-fine': 1.5 } } }, 'limits.minParts.peat-fine'],
  [
    'contradiction',
    { limits: { minParts: { 'peat-fine': 5 }, maxParts: { 'peat-fine': 1 } } },
    'limits.minParts.peat-fine',
  ],
  ['not there', { limits: { minParts: { loam: 5 } } }, 'limits.minParts'],
  ['peat', { limits: { peatPctMax: 101 } }, 'limits.peatPctMax'],
  ['stranger', { colour: 'green' }, 'colour'],
  ['price', { materials: [{ id: 'loam', costPerL: -1 }] }, 'materials.0.costPerL'],
  ['no lime', { lime: 'gypsum' }, 'lime'],
  ['top', { top: 0 }, 'top'],
])('%s is refused by path', async (_, change, path) => {
  const { status, body, headers } = await post('/api/formulate', { ...job, ...change });
  expect(status).toBe(400);
  expect(headers['content-type']).toContain('application/problem+json');
  expect(body.issues.map((i: { path: string }) => i.path)).toContain(path);
});
