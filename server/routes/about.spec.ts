import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { aboutText } from '#contract/about';
import { Folder } from '#server/base/database/folder';
import { newBatch, testApp } from '#testing/server';

const ON = '2031-03-01';

async function nursery() {
  const { app, db } = testApp();
  const add = async (crop: string, cells: number): Promise<{ id: number; key: string }> =>
    (
      await request(app)
        .post('/api/plants')
        .send({ key: randomUUID(), start: 'pot', crop, vessel: 'pot-9', cells, on: ON })
        .expect(201)
    ).body;
  const events = async (id: number): Promise<unknown[]> =>
    (await request(app).get(`/api/plants/${id}`)).body.events;
  const lose = (id: number, headers: Record<string, string>, count = 25) =>
    request(app)
      .post(`/api/plants/${id}/events`)
      .set(headers)
      .send({ key: randomUUID(), event: { kind: 'lost', on: ON, count, cause: 'cold' } });
  return { app, db, add, events, lose, folder: new Folder(db) };
}

test('an entry of another folder, or about another planting under that number, is refused by the server and nothing is entered', async () => {
  const { add, events, lose, folder } = await nursery();
  const basil = await add('basil', 40);
  const cabbage = await add('cabbage', 40);
  const other = await lose(basil.id, { 'welcome-folder': 'f'.repeat(32) });
  expect([other.status, other.body.detail]).toEqual([412, expect.stringContaining('nothing was entered')]);
  expect(other.body.issues[0]).toMatchObject({
    path: 'welcome-folder',
    allowed: `must be one of ${folder.id}`,
  });
  const about = aboutText([{ kind: 'planting', id: cabbage.id, key: basil.key }]);
  const wrong = await lose(cabbage.id, { 'welcome-folder': folder.id, 'welcome-about': about });
  expect([wrong.status, wrong.body.detail]).toEqual([
    412,
    'this was meant for another planting; nothing was entered',
  ]);
  expect([await events(basil.id), await events(cabbage.id)]).toEqual([[], []]);
  const right = aboutText([{ kind: 'planting', ...basil }]);
  await lose(basil.id, { 'welcome-folder': folder.id, 'welcome-about': right }).expect(201);
  // A script says nothing of it.
  await lose(cabbage.id, {}).expect(201);
});

test('what is no such header is named; every kind is found by its key, and one that is not there is not', async () => {
  const { app, add, lose } = await nursery();
  const basil = await add('basil', 40);
  for (const about of ['planting', 'planting x y', 'moon 1 k', `planting 1e3 ${basil.key}`])
    expect((await lose(basil.id, { 'welcome-about': about }).expect(400)).body.issues[0].path).toBe(
      'welcome-about',
    );
  const event = (await lose(basil.id, {}).expect(201)).body as { id: number };
  const { key } = (await request(app).get(`/api/plants/${basil.id}`)).body.events[0];
  expect((await request(app).get(`/api/where/event/${key}`).expect(200)).body).toEqual({
    ...{ id: event.id, name: 'lost', planting: basil.id },
  });
  const made = (await request(app).post('/api/batches').send(newBatch()).expect(201)).body;
  expect((await request(app).get(`/api/where/batch/${made.key}`)).body).toEqual({ id: made.id, name: 'Run' });
  await request(app).get(`/api/where/lot/${made.key}`).expect(404);
  await request(app).get(`/api/where/moon/${made.key}`).expect(400);
});

test('counts carry the time at which they were made, put right by the clock of the device: the later made one holds, whichever came in first', async () => {
  const { app, add } = await nursery();
  const { id } = await add('basil', 100);
  const count = (alive: number, madeAt: string, sentAt: string) =>
    request(app)
      .post(`/api/plants/${id}/events`)
      .send({ key: randomUUID(), event: { kind: 'count', on: ON, alive }, madeAt, sentAt })
      .expect(201);
  // Counted an hour ago on a clock that is a day ahead, sent now; then one counted two hours ago on a clock that is slow.
  await count(90, '2031-03-05T10:00:00Z', '2031-03-05T11:00:00Z');
  const late = await count(95, '2031-03-03T10:00:00Z', '2031-03-03T12:00:00Z');
  expect(late.body.at).toBe('2031-03-03T18:00:00.000Z');
  const { tally, events } = (await request(app).get(`/api/plants/${id}`)).body;
  expect(tally.alive).toBe(90);
  // Both stay in the record, each with its time.
  expect(
    events.map((event: { at: string; event: { alive: number } }) => [event.event.alive, event.at]),
  ).toEqual([
    [90, '2031-03-03T19:00:00.000Z'],
    [95, '2031-03-03T18:00:00.000Z'],
  ]);
});
