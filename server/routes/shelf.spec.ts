import request from 'supertest';
import { testApp } from '#testing/server';

const { app } = testApp();
const put = (id: string, line: object) => request(app).put(`/api/shelf/${id}`).send(line);

test('a material is put on the shelf, priced and taken off; nothing else moves', async () => {
  expect((await request(app).get('/api/shelf')).body).toEqual([]);
  await put('perlite-fine', { here: true, costPerL: 0.21 });
  await put('peat-fine', { here: true, useUp: true });
  await put('peat-fine', { here: false, costPerL: 0.08, useUp: false });
  expect((await request(app).get('/api/shelf')).body).toEqual([
    { material: 'peat-fine', here: false, costPerL: 0.08, useUp: false },
    { material: 'perlite-fine', here: true, costPerL: 0.21, useUp: false },
  ]);
});

test.each<[string, object, number, string]>([
  ['moondust', { here: true }, 404, 'there is no material moondust'],
  ['loam', { here: 'yes' }, 400, 'here must be true or false'],
  ['loam', { here: true, costPerL: -2 }, 400, 'Price must be from 0 to 1\u202f000\u202f000, not −2'],
  ['loam', {}, 400, 'here must be true or false'],
  ['loam', { here: true, colour: 'green' }, 400, 'colour'],
])('%s %j is refused', async (id, line, status, detail) => {
  const answer = await put(id, line);
  expect(answer.status).toBe(status);
  expect(answer.body.detail).toContain(detail);
});

test('two pages change two things of one line: both hold', async () => {
  const change = (what: object) => request(app).patch('/api/shelf/compost').send(what);
  await change({ here: true });
  await Promise.all([change({ costPerL: 0.4 }), change({ useUp: true })]);
  const answer = await change({});
  expect(answer.body).toEqual({ material: 'compost', here: true, costPerL: 0.4, useUp: true });
  expect((await change({ costPerL: null })).body.costPerL).toBeNull();
  expect((await change({ costPerL: -1 })).body.detail).toContain('Price must be from 0 to');
});
