import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { testApp } from '#testing/server';

const { app } = testApp();
const well = { name: 'Well', kind: 'well', alkalinityMgPerL: 250, ecMSPerCm: 0.6, caMgPerL: 80 };
const keep = (water: object, key: string = randomUUID()) =>
  request(app)
    .post('/api/waters')
    .send({ key, ...water });
const all = async () => (await request(app).get('/api/waters')).body;

test('a water is kept once under its key, put away and brought back; what a report leaves out stays out', async () => {
  const key = randomUUID();
  const { body: kept } = await keep(well, key).expect(201);
  expect(kept).toEqual({
    id: kept.id,
    ...well,
    on: null,
    ph: null,
    mgMgPerL: null,
    naMgPerL: null,
    clMgPerL: null,
  });
  expect((await keep(well, key).expect(200)).body).toEqual(kept);
  expect(await all()).toEqual([kept]);
  await request(app).delete(`/api/waters/${kept.id}`).expect(204);
  expect(await all()).toEqual([]);
  await request(app).post(`/api/waters/${kept.id}/restore`).send({}).expect(204);
  expect(await all()).toEqual([kept]);
});

test.each<[object, string]>([
  [{ ...well, name: '' }, 'name'],
  [{ ...well, kind: 'sea' }, 'kind'],
  [{ ...well, alkalinityMgPerL: 4000 }, 'alkalinityMgPerL'],
  [{ ...well, clMgPerL: -1 }, 'clMgPerL'],
  [{ ...well, ph: 14 }, 'ph'],
  [{ ...well, on: '2031-02-30' }, 'on'],
])('%j is refused by name', async (water, path) => {
  const { status, body } = await keep(water);
  expect([status, body.issues[0].path]).toEqual([400, path]);
});
