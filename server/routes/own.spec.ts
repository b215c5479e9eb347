import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { likeThis } from '#core/material/like';
import { materialToRow } from '#core/material/material';
import { vesselKinds } from '#core/vessel/kinds';
import { LibraryStore } from '#server/kept/library/library';
import { material } from '#testing/library';
import { newBatch, testApp } from '#testing/server';

const compost = materialToRow(material('compost'));
const { id: _, ...row } = likeThis(compost, { id: 'x', name: 'Our heap' }, { ph: 7.1, struckKgPerL: 0.7 });
const { id: __, ...kind } = vesselKinds[0]!;
const cup = {
  ...kind,
  ...{ name: 'Coffee cup', noun: 'cup', perTray: 1, usualCompaction: 0 },
  vessel: { shape: 'round' as const, topMm: 80, baseMm: 55, depthMm: 95, headspaceMm: 10 },
};
const post = (app: Parameters<typeof request>[0], path: string, body: object) =>
  request(app)
    .post(`/api${path}`)
    .send({ key: randomUUID(), ...body });

test('an own material stands in the library and on the shelf, is judged, searched and made into a batch', async () => {
  const { app } = testApp();
  const made = await post(app, '/materials', { says: 'like green-waste compost', row });
  expect([made.status, made.body.id, made.body.ph]).toEqual([201, 'own-our-heap', 7.1]);
  const { body: library } = await request(app).get('/api/library');
  expect(library.materials.at(-1)).toEqual({ ...made.body, own: true });
  expect(library.materials[0].own).toBe(false);
  const { body: shelf } = await request(app).get('/api/shelf');
  expect(shelf).toContainEqual({ material: 'own-our-heap', here: true, costPerL: null, useUp: false });

  const vessel = { shape: 'round', topMm: 130, baseMm: 95, depthMm: 130, headspaceMm: 15 };
  const components = [
    { material: 'own-our-heap', parts: 1 },
    { material: 'peat-medium', parts: 3 },
  ];
  const judged = await request(app).post('/api/evaluate').send({ stage: 'potting', vessel, components });
  expect(judged.status).toBe(200);
  const found = await request(app)
    .post('/api/formulate')
    .send({ stage: 'potting', vessel, materials: ['own-our-heap', 'peat-medium', 'perlite-coarse'] });
  expect(found.body.recipes[0].parts).toBeDefined();
  const recipe = { ...newBatch().recipe, components };
  const batch = await request(app)
    .post('/api/batches')
    .send({ ...newBatch(), recipe });
  expect(batch.status).toBe(201);
  const lot = { item: 'own-our-heap', name: 'Autumn heap', receivedOn: '2031-03-01' };
  expect((await post(app, '/lots', lot)).status).toBe(201);
});

test('the same key is one material; a second of the same name has an id of its own', async () => {
  const { app } = testApp();
  const key = randomUUID();
  const first = await post(app, '/materials', { key, says: 'like compost', row });
  const again = await post(app, '/materials', { key, says: 'like compost', row });
  expect([again.status, again.body]).toEqual([200, first.body]);
  const other = await post(app, '/materials', { says: 'like compost', row });
  expect(other.body.id).toBe('own-our-heap-2');
});

test('own rows are changed, starter ones are not, and a new start leaves own ones as they are', async () => {
  const { app, db } = testApp();
  await post(app, '/materials', { says: 'like compost', row });
  const put = (id: string) =>
    request(app)
      .put(`/api/materials/${id}`)
      .send({ says: 'tested', row: { ...row, ph: 6.6 } });
  expect((await put('own-our-heap')).body).toMatchObject({ id: 'own-our-heap', ph: 6.6, source: 'tested' });
  expect((await put('compost')).status).toBe(404);
  new LibraryStore(db).refreshStarter();
  const { body } = await request(app).get('/api/library');
  expect(body.materials.find((m: { id: string }) => m.id === 'own-our-heap').ph).toBe(6.6);
});

test('an own vessel can be used at once, and changed', async () => {
  const { app } = testApp();
  const made = await post(app, '/vessels', { kind: cup });
  expect([made.status, made.body.id]).toEqual([201, 'own-coffee-cup']);
  const recipe = { ...newBatch().recipe, vessel: 'own-coffee-cup', job: { trays: 25, sparePct: 0 } };
  const batch = await request(app)
    .post('/api/batches')
    .send({ ...newBatch(), recipe });
  expect(batch.body.snapshot.vessel.name).toBe('Coffee cup');
  const changed = await request(app)
    .put('/api/vessels/own-coffee-cup')
    .send({ kind: { ...cup, perTray: 20 } });
  expect(changed.body.perTray).toBe(20);
  // The batch keeps the vessel of its day.
  const { body } = await request(app).get(`/api/batches/${batch.body.id}`);
  expect(body.snapshot.vessel.perTray).toBe(1);
});

test.each<[string, object, string]>([
  ['/materials', { says: 'x', row: { ...row, ph: 19 } }, 'row.ph'],
  ['/materials', { says: 'x', row: { ...row, waterAt10CmPct: 99 } }, ''],
  ['/materials', { says: 'x', row: { ...row, name: '' } }, 'row.name'],
  ['/vessels', { kind: { ...cup, perTray: 0 } }, 'kind.perTray'],
  ['/vessels', { kind: { ...cup, vessel: { ...cup.vessel, headspaceMm: 95 } } }, ''],
])('%s refuses what cannot be, and keeps nothing', async (path, body, named) => {
  const { app, db } = testApp();
  const before = db.prepare('SELECT count(*) FROM items').pluck().get();
  const answer = await post(app, path, body);
  expect(answer.status).toBe(400);
  if (named) expect(answer.body.issues[0].path).toBe(named);
  expect(db.prepare('SELECT count(*) FROM items').pluck().get()).toBe(before);
});
