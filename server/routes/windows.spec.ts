import request from 'supertest';
import { newBatch, testApp } from '#testing/server';

const windows = { stages: { germination: { airPct: { low: 30, high: 40 } } }, crops: {} };

test('own windows are kept, judge the next batch, and leave the one before as it was', async () => {
  const { app } = testApp();
  expect((await request(app).get('/api/windows')).body).toEqual({ stages: {}, crops: {} });
  const before = await request(app).post('/api/batches').send(newBatch());
  expect((await request(app).put('/api/windows').send(windows)).body).toEqual(windows);
  const after = await request(app).post('/api/batches').send(newBatch());
  const air = async (id: number) => {
    const { body } = await request(app).get(`/api/batches/${id}`);
    return body.snapshot.readings.find((r: { id: string }) => r.id === 'air');
  };
  const [old, own] = [await air(before.body.id), await air(after.body.id)];
  expect(own).toMatchObject({ low: 30, high: 40, source: 'your own window' });
  expect(old.low).not.toBe(30);
  await request(app).put('/api/windows').send({ stages: {}, crops: {} }).expect(200);
});

test.each([
  [{ stages: { seedling: { ph: { low: 6, high: 5 } } }, crops: {} }, 'stages.seedling.ph'],
  [{ stages: { seedling: { ph: { low: 1, high: 5 } } }, crops: {} }, 'stages.seedling.ph.low'],
  [{ stages: { sprout: {} }, crops: {} }, 'stages'],
  [{ stages: {}, crops: {}, more: 1 }, ''],
])('%j is refused and named', async (body, path) => {
  const { app } = testApp();
  const answer = await request(app).put('/api/windows').send(body);
  expect(answer.status).toBe(400);
  expect(answer.body.issues[0].path).toContain(path);
  expect((await request(app).get('/api/windows')).body).toEqual({ stages: {}, crops: {} });
});
