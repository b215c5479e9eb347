import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { newBatch, testApp } from '#testing/server';

const { app } = testApp();
const add = (measure: object) =>
  request(app)
    .post('/api/measures')
    .send({ key: randomUUID(), ...measure });

test('an own bucket is kept, counts on a card, and the card keeps it when it is archived', async () => {
  const { body: bucket } = await add({ name: 'Green bucket', litres: 7.5, heapedLitres: 9 });
  expect((await request(app).get('/api/measures')).body).toEqual([bucket]);
  const made = (
    await request(app)
      .post('/api/batches')
      .send(newBatch({ scoop: `own-${bucket.id}-heaped` }))
  ).body;
  const measure = { id: `own-${bucket.id}-heaped`, name: 'Green bucket, heaped', litres: 9 };
  expect(made.snapshot.choice.measure).toMatchObject(measure);
  await request(app).delete(`/api/measures/${bucket.id}`).expect(204);
  expect((await request(app).get('/api/measures')).body).toEqual([]);
  expect((await request(app).get(`/api/batches/${made.id}`)).body.snapshot.choice.measure).toMatchObject(
    measure,
  );
  await request(app).post(`/api/measures/${bucket.id}/restore`).send({}).expect(204);
  expect((await request(app).get('/api/measures')).body).toEqual([bucket]);
  const answer = await request(app)
    .post('/api/batches')
    .send(newBatch({ scoop: 'own-99-struck' }));
  expect([answer.status, answer.body.issues[0].path]).toEqual([400, 'scoop']);
});

test.each([
  [{ name: '', litres: 5 }, 'name'],
  [{ name: 'x', litres: 0 }, 'litres'],
  [{ name: 'x', litres: -5 }, 'litres'],
  [{ name: 'x', litres: 5, heapedLitres: 4 }, 'heapedLitres'],
])('%j is refused', async (measure, path) => {
  const answer = await add(measure);
  expect([answer.status, answer.body.issues[0].path]).toEqual([400, path]);
});
