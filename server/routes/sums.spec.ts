import { labelOf } from '#words/problem';
import request from 'supertest';
import { inPlace, testApp } from '#testing/server';

const { app } = testApp();
const post = (path: string, sent: object) => request(app).post(`/api/${path}`).send(sent);

test.each<[string, object, object]>([
  [
    'package',
    { package: { kind: 'bag', volume: 12, unit: 'L' }, price: 6 },
    { litres: 12, usableLitres: 12, pricePerL: 0.5, waterToHydrateLitres: null },
  ],
  [
    'package',
    { package: { kind: 'brick', massKg: 2, litresPerKg: 12 } },
    { litres: 24, usableLitres: 24, pricePerL: null, waterToHydrateLitres: 10 },
  ],
  [
    'make-or-buy',
    {
      litres: 10,
      ingredients: [{ litres: 10, pricePerL: 0.1 }],
      bought: { litres: 10, price: 3 },
      outlay: 20,
    },
    { costMade: 1, costPerL: 0.1, bags: 1, costBought: 3, saved: 2, breakEvenLitres: expect.closeTo(100, 6) },
  ],
  [
    'compare',
    { a: { alive: 5, of: 10 }, b: { alive: 5, of: 10 } },
    {
      a: expect.objectContaining({ share: 0.5 }),
      b: expect.objectContaining({ share: 0.5 }),
      fisherP: expect.closeTo(1, 9),
      better: 'neither',
      cellsEachToTell: null,
    },
  ],
  ['learn', { prior: { mean: 1, sd: 2 }, tests: [] }, { mean: 1, sd: 2 }],
  [
    'season',
    {
      lastFrost: '2027-05-15',
      crops: [
        {
          id: 'leek',
          plants: 10,
          plantOutDays: 0,
          steps: [
            {
              vessel: { shape: 'block', edgeMm: [40, 40], depthMm: 40 },
              perTray: 10,
              trayM2: 0.1,
              weeks: 1,
              lossPct: 0,
            },
          ],
        },
      ],
      benchM2: 1,
    },
    {
      crops: [
        {
          id: 'leek',
          sowing: 1,
          plantOn: '2027-05-15',
          steps: [
            {
              ...{ from: '2027-05-08', to: '2027-05-15', plants: 10, cells: 10, trays: 1 },
              ...{ litres: expect.closeTo(0.64, 9), benchM2: 0.1, tooLongWeeks: null },
            },
          ],
        },
      ],
      weeks: [
        { week: '2027-W18', benchM2: 0.1, litres: expect.closeTo(0.64, 9), over: false },
        { week: '2027-W19', benchM2: 0.1, litres: 0, over: false },
      ],
    },
  ],
  [
    'water',
    { alkalinityMgPerL: 250, targetPh: 5.8, acid: 'citric' },
    {
      meqPerL: 5,
      neutralisedShare: expect.closeTo(0.78, 2),
      acidGPerL: expect.any(Number),
      adds: { n: 0, p: 0 },
    },
  ],
  [
    'liquid-feed',
    { product: 'calcium-nitrate', nMgPerL: 155, injector: 100, tankLitres: 20 },
    {
      productGPerL: 1,
      stockGPerL: 100,
      tankGrams: 2000,
      elementsMgPerL: expect.objectContaining({ n: 155, ca: 190 }),
    },
  ],
])('%s %j', async (path, sent, wanted) => {
  const answer = await post(path, sent);
  expect([answer.status, answer.body]).toEqual([200, wanted]);
});

test.each<[string, object, string]>([
  ['package', { package: { kind: 'sack', volume: 1, unit: 'L' } }, 'package.kind'],
  [
    'package',
    { package: { kind: 'bag', volume: -1, unit: 'L' } },
    'package.volume must be a number from 0.001 to 1000000, was -1',
  ],
  ['make-or-buy', { litres: 10, bought: { litres: 0, price: 1 } }, 'bought.litres'],
  ['compare', { a: { alive: 5, of: 4 }, b: { alive: 1, of: 4 } }, 'a.alive'],
  [
    'compare',
    { a: { alive: 1, of: 4 }, b: { alive: 1, of: 4 }, confidence: 2 },
    'confidence must be a number from 0.5 to 0.9999, was 2',
  ],
  ['learn', { prior: { mean: 1, sd: 0 }, tests: [] }, 'prior.sd'],
  [
    'water',
    { alkalinityMgPerL: 250, targetPh: 5.8, acid: 'vinegar' },
    'acid must be one of nitric61, phosphoric75, citric, was "vinegar"',
  ],
  [
    'water',
    { alkalinityMgPerL: 250, targetPh: 9, acid: 'citric' },
    'targetPh must be a number from 4.5 to 7, was 9',
  ],
  ['season', { lastFrost: '2027-02-30', crops: [] }, 'lastFrost must be a day'],
  ['liquid-feed', { product: 'moondust', nMgPerL: 100, tankLitres: 10 }, 'moondust'],
  ['liquid-feed', { product: 'gypsum', nMgPerL: 100, tankLitres: 10 }, 'product.nPct must be above 0'],
])('%s %j is refused', async (path, sent, detail) => {
  const answer = await post(path, sent);
  expect([answer.status, answer.type]).toEqual([400, 'application/problem+json']);
  // The path has a place of its own; the sentence has the label of the screen.
  const [{ path: at, value, allowed }] = answer.body.issues;
  expect(`${at} ${allowed}, was ${JSON.stringify(value)}`).toContain(detail);
  expect(answer.body.detail).toMatch(new RegExp(`^${labelOf(at)}(:| must be )`));
});

test('counts of a million are compared beside the server', async () => {
  const run = jest.spyOn(inPlace, 'run');
  const { app } = testApp();
  await request(app)
    .post('/api/compare')
    .send({ a: { alive: 5, of: 9 }, b: { alive: 1, of: 9 } })
    .expect(200);
  expect(run.mock.calls.map(([name]) => name)).toEqual(['compare']);
  run.mockRestore();
});
