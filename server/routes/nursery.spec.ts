import request from 'supertest';
import { randomUUID } from 'node:crypto';
import { newBatch, testApp } from '#testing/server';

test('days are those of the nursery: a lot that came at dawn east of UTC came today', async () => {
  const { app } = testApp();
  const { body } = await request(app).get('/api/nursery');
  expect(body).toEqual({ id: body.id, timeZone: 'Australia/Adelaide', today: '2031-03-04' });
  const lot = (receivedOn: string) =>
    request(app).post('/api/lots').send({ key: randomUUID(), item: 'loam', name: 'Heap', receivedOn });
  expect((await lot('2031-03-04')).status).toBe(201);
  expect((await lot('2031-03-05')).body.issues[0]).toMatchObject({ path: 'receivedOn', value: '2031-03-05' });
});

test('another zone, another day: yesterday in the west is still to come for what was entered in the east', async () => {
  const { app } = testApp();
  const { id } = (await request(app).post('/api/batches').send(newBatch())).body;
  const zone = (timeZone: string) => request(app).put('/api/nursery').send({ timeZone });
  expect((await zone('America/Los_Angeles')).body).toMatchObject({ today: '2031-03-03' });
  const use = { kind: 'use', what: 'Leeks', count: 10, on: '2031-03-04' };
  const enter = () =>
    request(app).post(`/api/batches/${id}/entries`).send({ key: randomUUID(), seen: 0, data: use });
  expect((await enter()).status).toBe(400);
  await zone('Pacific/Auckland').expect(200);
  expect((await enter()).status).toBe(201);
});

test.each(['Mars/Olympus', '', 7, null])('%p is no time zone', async (timeZone) => {
  const { app } = testApp();
  const answer = await request(app).put('/api/nursery').send({ timeZone });
  expect([answer.status, answer.body.issues[0].path]).toEqual([400, 'timeZone']);
  expect((await request(app).get('/api/nursery')).body.timeZone).toBe('Australia/Adelaide');
});
