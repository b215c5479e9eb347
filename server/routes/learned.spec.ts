import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { type LearnedAnswer } from '#contract/lots';
import { type LibraryAnswer } from '#contract/library';
import { amendment, vesselKind } from '#testing/library';
import { testApp } from '#testing/server';

const { app } = testApp();
const enter = (item: string, values: object, key = randomUUID()) =>
  request(app).post(`/api/materials/${item}/tests`).send({ key, on: '2031-03-02', values });
const compost = async () =>
  ((await request(app).get('/api/library')).body as LibraryAnswer).materials.find((m) => m.id === 'compost')!;

test('a test moves the material everywhere, a repeat does not, and laid aside it moves nothing', async () => {
  const before = await compost();
  const key = randomUUID();
  const ph = { test: 'ph', ph: 6.4, method: 'oneToFive' };
  const answer = (await enter('compost', ph, key).expect(201)).body as LearnedAnswer;
  await enter('compost', ph, key).expect(200);
  const [figure] = answer.figures;
  expect(figure).toMatchObject({ figure: 'ph', tests: 1, book: { mean: before.ph } });
  const after = await compost();
  expect(after.ph).toBeCloseTo(figure!.yours.mean, 9);
  expect(after.sure!.phUnits).toBeLessThan(1);
  expect(after.source).toContain('1 of your own tests');

  const evaluate = () =>
    request(app)
      .post('/api/evaluate')
      .send({
        ...{ stage: 'potting', vessel: { shape: 'round', topMm: 90, baseMm: 65, depthMm: 80 } },
        components: [{ material: 'compost', parts: 1 }],
      });
  const tested = (await evaluate()).body.mix.ph as number;
  await request(app).put(`/api/tests/${answer.tests[0]!.id}`).send({ aside: true }).expect(200);
  expect((await compost()).ph).toBe(before.ph);
  expect((await evaluate()).body.mix.ph).toBeGreaterThan(tested);
});

test.each([
  ['compost', { test: 'dry', wetG: 100, dryG: 130 }, 'dryG'],
  ['compost', { test: 'drain', vessel: 'bathtub', drainedMl: 10 }, 'values.vessel'],
  ['compost', { test: 'smell' }, 'values.test'],
])('what cannot be is refused by name (%#)', async (item, values, path) => {
  const { status, body } = await enter(item, values);
  expect([status, body.issues[0].path]).toEqual([400, path]);
});

test('of what is not there nothing is learned', async () => {
  await enter('moon-dust', { test: 'falls', falls: 1 }).expect(404);
  await request(app).put('/api/tests/999').send({ aside: true }).expect(404);
});

test('a product of their own is a product, and only that', async () => {
  const { id: _, ...row } = amendment('organic-4-4-4');
  const body = {
    key: randomUUID(),
    says: 'yours, by its label',
    row: { ...row, name: 'Our pellets', nPct: 5 },
  };
  const made = (await request(app).post('/api/products').send(body).expect(201)).body as { id: string };
  await request(app).post('/api/products').send(body).expect(200);
  await request(app)
    .put(`/api/products/${made.id}`)
    .send({ says: 'again', row: { ...row, name: 'Ours', nPct: 6 } })
    .expect(200);
  const { amendments } = (await request(app).get('/api/library')).body as LibraryAnswer;
  expect(amendments.find((a) => a.id === made.id)).toMatchObject({ name: 'Ours', nPct: 6, own: true });
  await request(app)
    .put('/api/products/loam')
    .send({ says: 'no', row: { ...row, name: 'x' } })
    .expect(404);
  await request(app)
    .put('/api/products/gypsum')
    .send({ says: 'no', row: { ...row, name: 'x' } })
    .expect(404);
});

test('a test that fits no more moves nothing, says so, and does not take the library along', async () => {
  const { id: _, ...kind } = vesselKind('pot-9');
  const cup = { key: randomUUID(), kind: { ...kind, name: 'Cup' } };
  const { id } = (await request(app).post('/api/vessels').send(cup).expect(201)).body as { id: string };
  await enter('bark-pine', { test: 'drain', vessel: id, drainedMl: 250 }).expect(201);
  const small = { ...kind, name: 'Cup', vessel: { shape: 'round', topMm: 40, baseMm: 30, depthMm: 40 } };
  await request(app).put(`/api/vessels/${id}`).send({ kind: small }).expect(200);
  const { materials } = (await request(app).get('/api/library').expect(200)).body as LibraryAnswer;
  const bark = materials.find((m) => m.id === 'bark-pine')!;
  expect(bark.source).toContain('do not fit it any more');
  const result = (await request(app).get('/api/materials/bark-pine/tests').expect(200)).body as LearnedAnswer;
  expect(result).toMatchObject({
    figures: [],
    misfit: expect.stringContaining('Ran out must be at most nine tenths') as string,
  });
  expect(result.book.waterAt10CmPct).toBe(bark.waterAt10CmPct);
  await request(app).put(`/api/tests/${result.tests[0]!.id}`).send({ aside: true }).expect(200);
  expect(
    ((await request(app).get('/api/materials/bark-pine/tests')).body as LearnedAnswer).misfit,
  ).toBeNull();
});

test('a test of a lot that is not there is refused as such', async () => {
  const { app } = testApp();
  const sent = await request(app)
    .post('/api/materials/compost/tests')
    .send({ key: randomUUID(), lot: 999, on: '2031-03-01', values: { test: 'weigh', litres: 10, kg: 7 } });
  expect([sent.status, sent.body.detail]).toEqual([404, 'there is no lot 999']);
});
