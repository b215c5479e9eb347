import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import request from 'supertest';
import { jpegOf } from '#testing/jpeg';
import { newBatch, testApp } from '#testing/server';

const { app, db } = testApp();
const today = '2031-03-04';
const plant = (change: object = {}): request.Test =>
  request(app)
    .post('/api/plants')
    .send({
      ...{ key: randomUUID(), start: 'sow', crop: 'tomato', name: 'Long Red', vessel: 'cell-72' },
      ...{ cells: 72, on: '2031-02-01' },
      ...change,
    });
const enter = (id: number, event: object, key: string = randomUUID()) =>
  request(app).post(`/api/plants/${id}/events`).send({ key, event });
const page = async (id: number) => (await request(app).get(`/api/plants/${id}`)).body;

test('bare-root rescue: two trays into one lot of pots, every plant accounted for, and back again by trace', async () => {
  const { body: batch } = await request(app).post('/api/batches').send(newBatch());
  const [{ body: a }, { body: b }] = [await plant({ batch: batch.id }), await plant({ name: 'Yellow' })];
  await enter(a.id, { kind: 'up', on: '2031-02-10', count: 60 }).expect(201);
  await enter(b.id, { kind: 'up', on: '2031-02-10', count: 50 }).expect(201);
  const potted = await plant({
    ...{ start: 'pot', vessel: 'pot-9', cells: 70, on: '2031-02-20', bareRoot: true, batch: batch.id },
    from: [
      { planting: a.id, plants: 40 },
      { planting: b.id, plants: 30 },
    ],
  });
  expect(potted.status).toBe(201);
  expect(potted.body.tally).toMatchObject({ begun: 70, entered: 70, alive: 70 });
  expect((await page(a.id)).tally).toMatchObject({ alive: 20, moved: 40 });
  const { kin, batchName, allCare } = await page(potted.body.id);
  expect(kin).toEqual([
    { id: a.id, name: 'Tomato “Long Red”', way: 'from', plants: 40 },
    { id: b.id, name: 'Tomato “Yellow”', way: 'from', plants: 30 },
  ]);
  expect((await page(b.id)).kin).toEqual([
    { id: potted.body.id, name: 'Tomato “Long Red”', way: 'to', plants: 30 },
  ]);
  expect(batchName).toBe(batch.name);
  expect(allCare.map((each: { id: string }) => each.id)).toEqual(['water', 'look', 'feed', 'pot-up']);
  // More than stand: nothing of it is kept.
  const tooMany = await plant({
    ...{ start: 'pot', vessel: 'pot-9', cells: 9, on: '2031-02-21' },
    from: [
      { planting: a.id, plants: 5 },
      { planting: b.id, plants: 21 },
    ],
  });
  expect([tooMany.status, tooMany.body.issues[0]]).toEqual([
    400,
    expect.objectContaining({ path: 'from.1.plants', value: 21 }),
  ]);
  expect((await page(a.id)).tally.alive).toBe(20);
});

test('the same key twice is one event; two devices counting one tray lose nothing; taken back by adding', async () => {
  const { body: tray } = await plant();
  const key = randomUUID();
  const event = { kind: 'up', on: '2031-02-10', count: 61 };
  const first = await enter(tray.id, event, key);
  expect((await enter(tray.id, event, key)).body).toEqual(first.body);
  await enter(tray.id, { kind: 'count', on: '2031-02-12', alive: 58 }).expect(201);
  await enter(tray.id, { kind: 'count', on: '2031-02-12', alive: 59 }).expect(201);
  const { events, tally } = await page(tray.id);
  expect(events).toHaveLength(3);
  expect(tally).toMatchObject({ entered: 61, alive: 59, lost: [{ cause: 'not seen', count: 2 }] });
  await enter(tray.id, { kind: 'undo', on: '2031-02-12', of: events[2].id }).expect(201);
  expect((await page(tray.id)).tally.alive).toBe(58);
  expect(() => db.prepare('DELETE FROM plant_events').run()).toThrow('never deleted');
});

test.each<[string, object, RegExp]>([
  ['more lost than stand', { kind: 'lost', on: '2031-02-12', count: 500, cause: 'cold' }, /at most 72/],
  ['before it was sown', { kind: 'fed', on: '2031-01-12', text: 'weak' }, /when it began/],
  ['a day to come', { kind: 'fed', on: '2031-03-09', text: 'weak' }, /2031-03-0/],
  ['a pH that is none', { kind: 'ph', on: '2031-02-12', value: 19 }, /from 2.5 to 11/],
  [
    'a cause that is not there',
    { kind: 'did', on: '2031-02-12', cause: 'moon', text: 'x' },
    /must be one of hungry/,
  ],
  ['no event at all', { kind: 'sang', on: '2031-02-12' }, /kind/],
])('%s is named, and nothing is kept', async (_, event, says) => {
  const { body: tray } = await plant();
  const answer = await enter(tray.id, event);
  expect(answer.status).toBe(400);
  expect(JSON.stringify(answer.body)).toMatch(says);
  expect((await page(tray.id)).events).toEqual([]);
});

test('what is done with leaves the list of what stands, and comes back when its last word is taken back', async () => {
  const { body: tray } = await plant({ crop: 'basil' });
  await enter(tray.id, { kind: 'up', on: '2031-02-12', count: 3 });
  const { body: sold } = await enter(tray.id, { kind: 'out', on: '2031-02-20', count: 3, way: 'sold' });
  const listed = async (finished: string): Promise<number[]> =>
    (await request(app).get(`/api/plants?finished=${finished}`)).body.map((each: { id: number }) => each.id);
  expect(await listed('yes')).toContain(tray.id);
  expect(await listed('no')).not.toContain(tray.id);
  await enter(tray.id, { kind: 'undo', on: '2031-02-20', of: sold.id });
  expect(await listed('no')).toContain(tray.id);
});

test('a potting entered by mistake gives its plants back, and brought back takes them again', async () => {
  const { body: tray } = await plant({ crop: 'celery' });
  await enter(tray.id, { kind: 'up', on: '2031-02-10', count: 60 });
  const { body: pots } = await plant({
    ...{ crop: 'celery', start: 'pot', vessel: 'pot-9', cells: 60, on: '2031-02-20' },
    from: [{ planting: tray.id, plants: 60 }],
  });
  const alive = async (): Promise<[number, number]> => {
    const { tally } = await page(tray.id);
    return [tally.alive, tally.moved];
  };
  const away = async (): Promise<number[]> =>
    (await request(app).get('/api/plants?finished=away')).body.map((each: { id: number }) => each.id);
  expect(await alive()).toEqual([0, 60]);
  // What others came from is not put away before them.
  const refused = await request(app).delete(`/api/plants/${tray.id}`);
  expect([refused.status, JSON.stringify(refused.body)]).toEqual([
    400,
    expect.stringContaining('archive those first'),
  ]);
  await request(app).delete(`/api/plants/${pots.id}`).expect(204);
  await request(app).delete(`/api/plants/${pots.id}`).expect(204);
  expect(await alive()).toEqual([60, 0]);
  expect([await away(), (await page(pots.id)).putAway]).toEqual([[pots.id], true]);
  // Meanwhile nothing happens to it: its plants are elsewhere.
  await enter(pots.id, { kind: 'lost', on: '2031-02-22', count: 1, cause: 'cold' }).expect(400);
  await request(app).post(`/api/plants/${pots.id}/restore`).send({}).expect(204);
  expect([await alive(), await away()]).toEqual([[0, 60], []]);
  // Sold meanwhile: they are not there to be taken again.
  await request(app).delete(`/api/plants/${pots.id}`).expect(204);
  await enter(tray.id, { kind: 'out', on: '2031-02-21', count: 30, way: 'sold' }).expect(201);
  expect((await request(app).post(`/api/plants/${pots.id}/restore`).send({})).status).toBe(400);
  expect((await page(pots.id)).putAway).toBe(true);
});

test('what is sown of the season is marked there in the same moment, or neither is kept', async () => {
  const line = {
    ...{ key: randomUUID(), crop: 'tomato', name: '', plants: 50, plantOn: null, offsetDays: 14, count: 1 },
    ...{ everyDays: 14, sparePct: 10, confidence: 0.8, germination: null, seedTest: null, seedYear: null },
    ...{ steps: null, shifts: [], note: '' },
  };
  const { body: kept } = await request(app).post('/api/plan/lines').send(line);
  await plant({ season: { line: kept.id, sowing: 1, step: 0 } }).expect(201);
  const { done } = (await request(app).get('/api/plan')).body;
  expect(done).toContainEqual({ line: kept.id, sowing: 1, task: 'start', on: '2031-02-01' });
  const before = (await request(app).get('/api/plants')).body.length;
  await plant({ season: { line: 9999, sowing: 1, step: 0 } }).expect(404);
  expect((await request(app).get('/api/plants')).body).toHaveLength(before);
});

test('care that is due and that comes, and counts by batch and by seed', async () => {
  const { body: tray } = await plant({ crop: 'pepper', seed: 'Old bag', on: '2031-02-20' });
  const care = (await request(app).get('/api/plants/care')).body as {
    planting: number;
    on: string;
    state: string;
  }[];
  const mine = care.filter(({ planting }) => planting === tray.id);
  expect(mine.every(({ on, state }) => (state === 'due') === on <= today)).toBe(true);
  await enter(tray.id, { kind: 'up', on: '2031-03-01', count: 36 });
  const groups = (await request(app).get('/api/plants/groups?by=seed&crop=pepper')).body;
  expect(groups).toEqual([
    {
      ...{ key: 'Old bag', name: 'Old bag', plantings: 1, daysToUp: 9, lost: [] },
      ...{ up: { alive: 36, of: 72 }, made: { alive: 36, of: 72 } },
      after: { of: 0, grewOn: 0, stalled: 0, failed: 0, kg: null },
      outMinutesPerHundred: null,
      crops: [
        {
          ...{ crop: 'pepper', name: 'Pepper', struck: false, plantings: 1, trays: 1 },
          up: { alive: 36, of: 72 },
        },
      ],
    },
  ]);
});

test('those set apart or potted on are the same plants: counted once as begun, and lost where they are lost', async () => {
  const { body: tray } = await plant({ crop: 'lettuce', seed: 'Split bag', on: '2031-02-01' });
  await enter(tray.id, { kind: 'up', on: '2031-02-08', count: 60 }).expect(201);
  const apart = { start: 'split', cells: 20, on: '2031-02-20', crop: 'lettuce', seed: 'Split bag' };
  const { body: few } = await plant({ ...apart, from: [{ planting: tray.id, plants: 20 }] });
  await enter(few.id, { kind: 'lost', on: '2031-02-22', count: 5, cause: 'cold' }).expect(201);
  const pots = { ...apart, start: 'pot', vessel: 'pot-9', cells: 40, on: '2031-02-24' };
  const { body: potted } = await plant({ ...pots, from: [{ planting: tray.id, plants: 40 }] });
  await enter(potted.id, { kind: 'lost', on: '2031-02-26', count: 3, cause: 'cold' }).expect(201);
  const group = async (by: string) =>
    (await request(app).get(`/api/plants/groups?by=${by}&crop=lettuce`)).body.find(
      (each: { key: string }) => each.key === (by === 'seed' ? 'Split bag' : 'pot-9'),
    );
  // Of 72 seeds 60 came up, and 8 of them were lost since.
  expect(await group('seed')).toMatchObject({ made: { alive: 52, of: 72 }, up: { alive: 60, of: 72 } });
  // The pots began with the 40 that were potted.
  expect(await group('vessel')).toMatchObject({ made: { alive: 37, of: 40 } });
});

test('a weighed or watered tray is lifted again when half of its water may be gone; one never weighed is not told of', async () => {
  const { body: batch } = await request(app).post('/api/batches').send(newBatch());
  const { body: tray } = await plant({ batch: batch.id, on: '2031-02-01' });
  const lift = async () =>
    (await page(tray.id)).allCare.find(({ id }: { id: string }) => id === 'lift') as
      { on: string } | undefined;
  expect(await lift()).toBeUndefined();
  await enter(tray.id, { kind: 'watered', on: '2031-02-20' }).expect(201);
  const full = (await lift())!.on;
  expect(full > '2031-02-21').toBe(true);
  // So light that all of its water has gone: at once.
  const dry = await enter(tray.id, { kind: 'weight', on: '2031-03-03', grams: 500 }).expect(201);
  expect((await lift())!.on).toBe('2031-03-03');
  const care = (await request(app).get('/api/plants/care')).body as {
    planting: number;
    id: string;
    state: string;
  }[];
  expect(care.find((each) => each.planting === tray.id && each.id === 'lift')).toMatchObject({
    state: 'due',
  });
  await enter(tray.id, { kind: 'undo', on: '2031-03-03', of: dry.body.id }).expect(201);
  expect((await lift())!.on).toBe(full);
  // Days later nobody is told any more.
  await enter(tray.id, { kind: 'weight', on: '2031-02-22', grams: 500 }).expect(201);
  const later = (await request(app).get('/api/plants/care')).body as { planting: number; id: string }[];
  expect(later.filter((each) => each.planting === tray.id && each.id === 'lift')).toEqual([]);
});

test('own timings of watering from below are told by vessel, without what was taken back', async () => {
  const { body: tray } = await plant({ vessel: 'cell-24', cells: 24 });
  const water = async (minutes?: number) =>
    (await enter(tray.id, { kind: 'watered', on: '2031-02-20', litres: 1, minutes }).expect(201)).body
      .id as number;
  for (const minutes of [20, 44, 50]) await water(minutes);
  const wrong = await water(600);
  await water();
  const result = async () =>
    (await request(app).get('/api/plants/taken-up')).body.find(
      ({ vessel }: { vessel: string }) => vessel === 'cell-24',
    );
  expect(await result()).toEqual({ vessel: 'cell-24', minutes: 50, times: 4 });
  await enter(tray.id, { kind: 'undo', on: '2031-02-20', of: wrong }).expect(201);
  expect(await result()).toEqual({ vessel: 'cell-24', minutes: 44, times: 3 });
});

test('a trial is laid out from its seed, each arm once in a block, and collects its counts', async () => {
  const given = {
    ...{ key: randomUUID(), name: 'Grit', seed: 4711, blocks: 4, crop: 'lettuce', vessel: 'cell-72' },
    ...{ cells: 36, on: '2031-02-10', arms: [{ name: 'Plain' }, { name: 'Grit' }] },
  };
  const made = await request(app).post('/api/trials').send(given);
  expect(made.status).toBe(201);
  expect((await request(app).post('/api/trials').send(given)).body).toEqual(made.body);
  const { trays } = made.body as { trays: { planting: number; block: number; arm: number; place: number }[] };
  expect(trays).toHaveLength(8);
  for (const block of [1, 2, 3, 4])
    expect(
      trays
        .filter((tray) => tray.block === block)
        .map(({ arm }) => arm)
        .sort(),
    ).toEqual([0, 1]);
  await enter(trays[0]!.planting, { kind: 'up', on: '2031-02-20', count: 30 }).expect(201);
  const { body } = await request(app).get(`/api/trials/${made.body.id}`);
  expect(body.trays[0]).toMatchObject({ up: 30, begun: 36 });
  const bad = await request(app)
    .post('/api/trials')
    .send({ ...given, key: randomUUID(), arms: [{ name: 'One' }] });
  expect(JSON.stringify(bad.body)).toContain('2 to 8');
});

test('what helped here is counted by cause', async () => {
  const { body: tray } = await plant();
  await enter(tray.id, { kind: 'helped', on: '2031-02-20', cause: 'sour', helped: true });
  await enter(tray.id, { kind: 'helped', on: '2031-02-20', cause: 'dry', helped: false });
  expect((await request(app).get('/api/plants/taught')).body).toEqual([{ cause: 'sour', helped: 1 }]);
});

test('plantings and what happened go out as tables, in again as they are, and new rows are taken all or none', async () => {
  const table = (name: string, csv: string) => request(app).post(`/api/tables/${name}`).send({ csv });
  const { body: tray } = await plant({ crop: 'leek', name: '=2', seed: '2030' });
  await enter(tray.id, { kind: 'up', on: '2031-02-12', count: 60 });
  await enter(tray.id, { kind: 'helped', on: '2031-02-20', cause: 'sour', helped: false });
  for (const name of ['plantings', 'plant-events']) {
    const { csv } = (await request(app).get(`/api/tables/${name}`)).body;
    const { body } = await table(name, csv);
    expect([body.added, body.changed, body.same]).toEqual([[], [], body.rows]);
    expect(body.rows).toBeGreaterThan(1);
    expect((await request(app).get(`/api/tables/${name}`)).body.csv).toBe(csv);
  }
  const potted = `start,crop,vessel,cells,on,from,bare_root\npot,leek,pot-9,40,2031-02-20,${tray.id}:40,1\n`;
  expect((await table('plantings', potted)).body).toMatchObject({ added: ['leek'] });
  expect((await page(tray.id)).tally).toMatchObject({ alive: 20, moved: 40 });
  const happened = (count: number): string =>
    `planting,on,kind,count,cause\n${tray.id},2031-02-21,lost,3,cold\n${tray.id},2031-02-22,lost,${count},slugs\n`;
  const refused = await table('plant-events', happened(18));
  expect([refused.status, JSON.stringify(refused.body)]).toEqual([
    400,
    expect.stringContaining('line 3, count: must be at most 17'),
  ]);
  expect((await page(tray.id)).tally.alive).toBe(20);
  expect((await table('plant-events', happened(17))).body.added).toHaveLength(2);
  expect((await page(tray.id)).tally.alive).toBe(0);
  const { body: pots } = await plant({ start: 'pot', vessel: 'pot-9', cells: 9, halfFilled: true });
  const tall = `planting,on,kind,mm,count,empty\n${pots.id},2031-02-21,size,140,,\n${tray.id},2031-02-23,up,,70,"3 17"\n`;
  expect((await table('plant-events', tall)).body).toMatchObject({
    rows: 2,
    added: [expect.anything(), expect.anything()],
  });
  const out = async (name: string): Promise<string> =>
    (await request(app).get(`/api/tables/${name}`)).body.csv;
  expect((await out('plant-events')).split('\n').filter((row) => /,140,|3 17/.test(row))).toHaveLength(2);
  expect((await out('plantings')).split('\n')[0]).toContain('half_filled');
  for (const [name, csv, says] of [
    ['plantings', `start,crop,vessel,cells,on\nsow,moonflower-x,cell-72,3,2031-02-01`, /moonflower-x/],
    ['plantings', `start,crop,vessel,cells,on,from\npot,leek,pot-9,3,2031-02-01,twelve`, /planting:plants/],
    ['plant-events', `planting,on,kind,value\n${tray.id},2031-02-21,ph,19`, /2.5 to 11/],
  ] as const) {
    const { status, body } = await table(name, csv);
    expect([status, JSON.stringify(body)]).toEqual([400, expect.stringMatching(says)]);
  }
});

test('a picture is kept with its day, comes back as it was, once for a key; what is none or too large is named', async () => {
  const { body: tray } = await plant();
  const send = (change: object) =>
    request(app)
      .post(`/api/plants/${tray.id}/pictures`)
      .send({ key: randomUUID(), on: '2031-02-20', jpeg: jpegOf(1024, 768), text: 'Left corner', ...change });
  const key = randomUUID();
  const made = await send({ key });
  expect([made.status, made.body.event]).toEqual([
    201,
    { kind: 'picture', on: '2031-02-20', picture: expect.any(Number), text: 'Left corner' },
  ]);
  expect((await send({ key })).body).toEqual(made.body);
  const picture = await request(app).get(`/api/pictures/${made.body.event.picture}`).expect(200);
  expect(picture.headers['content-type']).toBe('image/jpeg');
  expect((picture.body as Buffer).toString('base64')).toBe(jpegOf(1024, 768));
  for (const [change, says] of [
    [{ jpeg: Buffer.from('no picture at all').toString('base64') }, /a picture, as JPEG/],
    [{ jpeg: jpegOf(8000, 6000) }, /from 8 to 2.?000 dots a side, not “8000 × 6000”/],
    [{ jpeg: 'A'.repeat(240_004) }, /at most 240000/],
    [{ on: '2031-01-20' }, /when it began/],
  ] as const) {
    const { status, body } = await send(change);
    expect([status, JSON.stringify(body).replaceAll('\\', '')]).toEqual([400, expect.stringMatching(says)]);
  }
  expect((await page(tray.id)).events).toHaveLength(1);
  await enter(tray.id, { kind: 'picture', on: '2031-02-20', picture: 1, text: '' }).expect(400);
  await request(app).get('/api/pictures/999').expect(404);
});

test('some are set apart as they are: counted first, in their own vessel, none lost', async () => {
  const { body: tray } = await plant();
  const apart = (change: object = {}) =>
    plant({
      ...{ start: 'split', cells: 20, on: '2031-02-20', from: [{ planting: tray.id, plants: 20 }] },
      ...change,
    });
  expect(JSON.stringify((await apart()).body)).toContain('count what came up first');
  await enter(tray.id, { kind: 'up', on: '2031-02-10', count: 60 });
  expect(JSON.stringify((await apart({ vessel: 'pot-9' })).body)).toContain('into another they are potted');
  const { body } = await apart();
  expect([body.tally.alive, (await page(tray.id)).tally.alive]).toEqual([20, 40]);
});

test('what became of a batch stands on it and on its mix; own odds are kept; tender ones are told', async () => {
  // A dose that no other batch has: one with the same parts would be of the same recipe.
  const dosed = { ...newBatch().recipe, amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.23 }] };
  const { body: mix } = await request(app)
    .post('/api/mixes')
    .send({ key: randomUUID(), name: 'House', recipe: dosed });
  const { body: batch } = await request(app)
    .post('/api/batches')
    .send(newBatch({ recipe: dosed, mixVersionId: mix.id }));
  const { body: tray } = await plant({ batch: batch.id });
  await enter(tray.id, { kind: 'up', on: '2031-02-10', count: 60 });
  await enter(tray.id, { kind: 'ph', on: '2031-02-12', value: 4.4 });
  const result = {
    ...{ batch: batch.id, name: batch.name, madeOn: batch.madeOn, plantings: 1, lost: [] },
    up: { alive: 60, of: 72 },
    crops: [
      {
        ...{ crop: 'tomato', name: 'Tomato', struck: false, plantings: 1, trays: 1 },
        up: { alive: 60, of: 72 },
      },
    ],
    read: { ph: 4.4, ec: null },
    suspects: [{ cause: 'sour', weight: 0.5, plantings: 1 }],
  };
  const results = async (query: string) => (await request(app).get(`/api/plants/results?${query}`)).body;
  expect(await results(`of=batch&id=${batch.id}`)).toEqual([{ ...result, version: null }]);
  expect(await results(`of=mix&id=${mix.mixId}`)).toEqual([{ ...result, version: 1 }]);
  expect(await results('of=mix&id=999')).toEqual([]);
  const why = '83 % came up, sour';
  const recipe = { ...mix.recipe, job: { litres: 77 } };
  await request(app).post(`/api/mixes/${mix.mixId}/versions`).send({ key: randomUUID(), recipe, why });
  expect((await request(app).get(`/api/mixes/${mix.mixId}/versions`)).body[0].why).toBe(why);

  expect((await request(app).get('/api/plants/odds')).body).toEqual({});
  const odds = { purple: { cold: 1, hungry: 5 } };
  expect((await request(app).put('/api/plants/odds').send(odds)).body).toEqual(odds);
  expect((await request(app).get('/api/plants/odds')).body).toEqual(odds);
  const bad = await request(app)
    .put('/api/plants/odds')
    .send({ purple: { cold: 900 } });
  expect([bad.status, JSON.stringify(bad.body)]).toEqual([400, expect.stringContaining('from 0 to 100')]);
  const tender = (await request(app).get('/api/plants/tender')).body;
  expect(tender).toContainEqual({
    planting: tray.id,
    name: 'Tomato “Long Red”',
    coldestC: expect.any(Number),
  });
});

test('no plant is lost or made by potting together and apart, setting apart, losing, putting away and back', async () => {
  const between = (low: number, high: number) => fc.integer({ min: low, max: high });
  const step = fc.oneof(
    fc.record({
      act: fc.constant('pot' as const),
      a: between(0, 9),
      b: between(0, 9),
      n: between(1, 30),
      m: between(0, 30),
    }),
    fc.record({ act: fc.constant('split' as const), a: between(0, 9), n: between(1, 20) }),
    fc.record({ act: fc.constant('lose' as const), a: between(0, 9), n: between(1, 15) }),
    fc.record({ act: fc.constant('sell' as const), a: between(0, 9), n: between(1, 15) }),
    fc.record({ act: fc.constant('away' as const), a: between(0, 9) }),
    fc.record({ act: fc.constant('back' as const), a: between(0, 9) }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 14 }), async (steps) => {
      const ids: number[] = [];
      for (const up of [60, 50]) {
        const { body } = await plant();
        await enter(body.id, { kind: 'up', on: '2031-02-05', count: up });
        ids.push(body.id);
      }
      const on = '2031-02-20';
      for (const it of steps) {
        const id = ids[it.a % ids.length]!;
        if (it.act === 'lose') await enter(id, { kind: 'lost', on, count: it.n, cause: 'cold' });
        else if (it.act === 'sell') await enter(id, { kind: 'out', on, count: it.n, way: 'sold' });
        else if (it.act === 'away' && !ids.slice(0, 2).includes(id))
          await request(app).delete(`/api/plants/${id}`);
        else if (it.act === 'back') await request(app).post(`/api/plants/${id}/restore`).send({});
        else if (it.act === 'split') {
          const { vessel } = await page(id);
          const from = [{ planting: id, plants: it.n }];
          const made = await plant({ start: 'split', vessel, cells: it.n, on, from });
          if (made.status === 201) ids.push(made.body.id);
        } else if (it.act === 'pot') {
          const other = ids[it.b % ids.length]!;
          const from = [
            { planting: id, plants: it.n },
            ...(other !== id && it.m > 0 ? [{ planting: other, plants: it.m }] : []),
          ];
          const made = await plant({ start: 'pot', vessel: 'pot-9', cells: 60, on, from });
          if (made.status === 201) ids.push(made.body.id);
        }
      }
      // Of the 110 that came up each stands, was lost, or was sold, in one place only.
      let sum = 0;
      for (const id of ids) {
        const { tally, putAway } = await page(id);
        expect(tally.alive).toBeGreaterThanOrEqual(0);
        const lost = tally.lost.reduce((all: number, each: { count: number }) => all + each.count, 0);
        if (!putAway) sum += (tally.alive as number) + lost + (tally.out as number);
      }
      expect(sum).toBe(110);
    }),
    { numRuns: 12, endOnFailure: true },
  );
}, 60_000);

test('the day of the first feed follows a vessel that is changed', async () => {
  const { app } = testApp();
  const kind = { noun: 'pot', perTray: 1, usualCompaction: 0.05 };
  const vessel = (depthMm: number, topMm: number) => ({
    ...{ ...kind, name: 'Ours' },
    vessel: { shape: 'round', topMm, baseMm: topMm - 10, depthMm, headspaceMm: 5 },
  });
  const made = await request(app)
    .post('/api/vessels')
    .send({ key: randomUUID(), kind: vessel(50, 50) })
    .expect(201);
  const { body: batch } = await request(app).post('/api/batches').send(newBatch()).expect(201);
  const { body: planting } = await request(app)
    .post('/api/plants')
    .send({
      ...{ key: randomUUID(), start: 'sow', crop: 'tomato', vessel: made.body.id, cells: 10 },
      ...{ on: '2031-03-01', batch: batch.id },
    })
    .expect(201);
  const feedOn = async (): Promise<string | undefined> =>
    (
      (await request(app).get(`/api/plants/${planting.id}`)).body.allCare as { id: string; on: string }[]
    ).find(({ id }) => id === 'feed')?.on;
  const small = await feedOn();
  await request(app)
    .put(`/api/vessels/${made.body.id}`)
    .send({ kind: vessel(110, 110) })
    .expect(200);
  const large = await feedOn();
  expect(small).toBeDefined();
  expect(large! > small!).toBe(true);
});

test('every crop can be begun, in a mix as cold as a shed and as warm as a heated bench', async () => {
  const { body: crops } = await request(app).get('/api/crops').expect(200);
  const { body: plan } = await request(app).get('/api/plan').expect(200);
  expect(crops.length).toBeGreaterThan(60);
  for (const soilC of [8, 33]) {
    await request(app)
      .put('/api/plan/settings')
      .send({ ...plan.settings, soilC });
    for (const { id, start } of crops as { id: string; start: string }[]) {
      const { status, body } = await plant({ crop: id, start: start === 'stick' ? 'strike' : 'sow' });
      expect([id, status]).toEqual([id, 201]);
      expect([id, (await page(body.id)).allCare[0].on > '2031-02-01']).toEqual([id, true]);
    }
  }
});

test('how long planting out took and what came after it stand with the mixes and the vessels', async () => {
  const [{ body: cells }, { body: blocks }] = [
    await plant({ crop: 'kale', name: 'A', cells: 60, on: '2031-01-05' }),
    await plant({ crop: 'kale', name: 'B', vessel: 'block-50', cells: 40, on: '2031-01-05' }),
  ];
  for (const { id, cells: many } of [cells, blocks])
    await enter(id, { kind: 'up', on: '2031-01-15', count: many }).expect(201);
  await enter(cells.id, { kind: 'out', on: '2031-02-20', count: 50, way: 'planted', minutes: 20 }).expect(
    201,
  );
  await enter(blocks.id, { kind: 'out', on: '2031-02-20', count: 40, way: 'planted', minutes: 8 }).expect(
    201,
  );
  await enter(cells.id, { kind: 'after', on: '2031-03-01', went: 'stalled', text: 'dry wind' }).expect(201);
  await enter(cells.id, { kind: 'after', on: '2031-03-04', went: 'grew on', kg: 12.5 }).expect(201);
  await enter(blocks.id, { kind: 'after', on: '2031-03-04', went: 'stalled', kg: 3 }).expect(201);
  const { body } = await request(app).get('/api/plants/groups?by=vessel&crop=kale');
  const of = (key: string) => body.find((each: { key: string }) => each.key === key);
  expect(of('cell-72')).toMatchObject({
    outMinutesPerHundred: 40,
    after: { of: 1, grewOn: 1, stalled: 0, failed: 0, kg: 12.5 },
  });
  expect(of('block-50')).toMatchObject({
    outMinutesPerHundred: 20,
    after: { of: 1, grewOn: 0, stalled: 1, failed: 0, kg: 3 },
  });
  await enter(blocks.id, { kind: 'after', on: '2031-03-04', went: 'rotted' }).expect(400);
});
