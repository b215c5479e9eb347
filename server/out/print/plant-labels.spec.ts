import request from 'supertest';
import { randomUUID } from 'node:crypto';
import { metric } from '#testing/readers';
import { plantLabel } from '#server/out/print/plant-labels';
import { storesOf } from '#server/kept/stores';
import { TODAY, testApp } from '#testing/server';

const { app, db } = testApp();
const plant = async (change: object): Promise<number> =>
  (
    await request(app)
      .post('/api/plants')
      .send({ key: randomUUID(), crop: 'tomato', name: 'Long Red', cells: 8, ...change })
  ).body.id;

test('one label carries the whole chain of days: sown, potted, potted again', async () => {
  const sown = await plant({ start: 'sow', vessel: 'cell-72', on: '2031-01-10' });
  await request(app)
    .post(`/api/plants/${sown}/events`)
    .send({ key: randomUUID(), event: { kind: 'up', on: '2031-01-20', count: 8 } })
    .expect(201);
  const cup = await plant({
    ...{ start: 'pot', vessel: 'pot-9', on: '2031-02-01', from: [{ planting: sown, plants: 8 }] },
  });
  const last = await plant({
    ...{ start: 'pot', vessel: 'pot-13', cells: 7, on: '2031-02-25', from: [{ planting: cup, plants: 7 }] },
  });
  const { body } = await request(app).get(`/api/plants/${last}`);
  const before = storesOf(db, () => TODAY).plants.before(last);
  const { dates } = plantLabel('Tomato', '13 cm pot', body, before, metric, 'http://here');
  expect(dates.slice(0, 3)).toEqual([
    { name: 'Sown', on: '2031-01-10' },
    { name: 'Potted', on: '2031-02-01' },
    { name: 'Potted', on: '2031-02-25' },
  ]);
});
