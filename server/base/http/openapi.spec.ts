import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { starterMixes } from '#core/recipe/starter-mixes';
import { jpegOf } from '#testing/jpeg';
import { DeviceStore } from '#server/kept/devices';
import { newBatch, testApp, TODAY } from '#testing/server';

const { app, db } = testApp();
interface Operation {
  summary: string;
  requestBody?: { content: { 'application/json': { schema: { type?: string; properties?: object } } } };
  responses: Record<string, object>;
}
interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle?: { stack?: Layer[] };
}
let backup = '';
let lotKey = '';
let paths: Record<string, Record<string, Operation>>;
beforeAll(async () => {
  await request(app).post('/api/batches').send(newBatch()).expect(201);
  await request(app)
    .post('/api/lots')
    .send({ key: randomUUID(), item: 'loam', name: 'Heap', receivedOn: '2031-03-01' })
    .expect(201);
  await request(app)
    .post('/api/mixes')
    .send({ key: randomUUID(), name: 'Mix', recipe: starterMixes.germination })
    .expect(201);
  await request(app).post('/api/measures').send({ key: randomUUID(), name: 'Pail', litres: 5 }).expect(201);
  const well = { name: 'Well', kind: 'well', alkalinityMgPerL: 250, ecMSPerCm: 0.6 };
  await request(app)
    .post('/api/waters')
    .send({ key: randomUUID(), ...well })
    .expect(201);
  await request(app)
    .post('/api/plan/lines')
    .send({ key: randomUUID(), crop: 'tomato', plants: 10 })
    .expect(201);
  const tray = { crop: 'tomato', vessel: 'cell-72', cells: 72, on: '2026-01-02' };
  await request(app)
    .post('/api/plants')
    .send({ key: randomUUID(), start: 'sow', ...tray })
    .expect(201);
  await request(app)
    .post('/api/plants/1/pictures')
    .send({ key: randomUUID(), on: '2026-01-03', jpeg: jpegOf(64, 48) })
    .expect(201);
  await request(app)
    .post('/api/orders')
    .send({ key: randomUUID(), kind: 'material', item: 'loam', amount: 300, on: '2031-03-01' })
    .expect(201);
  const arms = [{ name: 'A' }, { name: 'B' }];
  await request(app)
    .post('/api/trials')
    .send({ key: randomUUID(), name: 'Trial', seed: 1, arms, blocks: 2, ...tray })
    .expect(201);
  new DeviceStore(db).add('Phone', TODAY);
  await request(app).post('/api/backups').send({}).expect(204);
  backup = (await request(app).get('/api/backups')).body.list[0].name;
  lotKey = (await request(app).get('/api/lots')).body[0].key;
  const { body } = await request(app).get('/api/openapi.json');
  expect(body.openapi).toBe('3.1.0');
  paths = body.paths;
});

/** A real address for a path of the document. */
const real = (path: string): string =>
  path
    .replace('{instrument}', 'scale')
    .replace('{id}', '1')
    .replace('{material}', 'loam')
    .replace('{week}', '2031-W10')
    .replace('{crop}', 'tomato')
    .replace('{table}', 'lots')
    .replace('{kind}', 'lot')
    .replace('{key}', lotKey)
    .replace('{name}', backup);

test('everything that it tells of is there', async () => {
  const result: string[] = [];
  for (const [path, operations] of Object.entries(paths)) {
    for (const [method, operation] of Object.entries(operations)) {
      result.push(`${method} ${path}`);
      if (path.endsWith('/stream')) continue;
      const takes = 'requestBody' in operation;
      const ask = request(app)[method as 'get' | 'post' | 'put' | 'delete'](real(path));
      const file = 'application/octet-stream' in (operation.requestBody?.content ?? {});
      const answer = await (method === 'get'
        ? ask
        : file
          ? ask.type('application/octet-stream').send(Buffer.from('nonsense'))
          : ask.send({ nonsense: true }));
      // A known address answers; with nonsense it says what it wants instead.
      expect([path, method, answer.status]).toEqual([
        path,
        method,
        method === 'get' ? 200 : takes ? 400 : path === '/api/sharing/code' ? 409 : 204,
      ]);
      if (takes) expect(answer.headers['content-type']).toContain('problem+json');
    }
  }
  expect(result.length).toBeGreaterThan(28);
  // Two of them print.
}, 120_000);

test('nothing is served that it does not tell of', () => {
  const served: string[] = [];
  const walk = (layers: Layer[], under: string): void => {
    for (const { route, handle } of layers) {
      if (route)
        for (const method of Object.keys(route.methods)) served.push(`${method} ${under}${route.path}`);
      if (handle?.stack) walk(handle.stack, under);
    }
  };
  // The router of the API is the one that serves its health.
  const api = (app.router as unknown as { stack: Layer[] }).stack
    .flatMap((layer) => (layer.handle?.stack ? [layer.handle.stack] : []))
    .filter((stack) => stack.some(({ route }) => route?.path === '/health'));
  expect(api).toHaveLength(1);
  walk(api[0]!, '/api');
  const result = Object.entries(paths).flatMap(([path, operations]) =>
    Object.keys(operations).map((method) => `${method} ${path.replace(/\{(\w+)\}/g, ':$1')}`),
  );
  expect(served.sort()).toEqual(result.sort());
});

/** What the door answers, and the gate: on every operation. */
const DOOR = ['401', '403', '412', '421'];

test('the computing endpoints of the contract are there, with the schemas that check them', () => {
  for (const path of ['evaluate', 'formulate', 'batch-sheet', 'hot-water', 'sowing']) {
    const { post } = paths[`/api/${path}`]!;
    expect(
      Object.keys(post!.requestBody!.content['application/json'].schema.properties ?? {}).length,
    ).toBeGreaterThan(2);
    expect(Object.keys(post!.responses).sort()).toEqual(
      ['200', '400', ...DOOR, '413', '415', '429', '500'].sort(),
    );
  }
});

test.each(['evaluate', 'formulate', 'batch-sheet', 'hot-water', 'sowing'])(
  '%s: malformed, wrong type, too large and strange bodies are refused by kind',
  async (path) => {
    const post = (type: string, body: string) =>
      request(app).post(`/api/${path}`).set('content-type', type).send(body);
    expect((await post('application/json', '{')).status).toBe(400);
    expect((await post('text/plain', 'hello')).status).toBe(415);
    expect((await post('application/json', JSON.stringify({ a: 'x'.repeat(300_000) }))).status).toBe(413);
    for (const body of ['[]', 'null', '42', '{}', '{"stage":{"toString":1}}']) {
      const answer = await post('application/json', body);
      expect([body, answer.status]).toEqual([body, 400]);
      expect(answer.body).toMatchObject({
        status: 400,
        title: expect.any(String),
        detail: expect.any(String),
      });
    }
  },
);

test('every operation names the answers of the door, as problem JSON', () => {
  for (const [path, operations] of Object.entries(paths))
    for (const [method, { responses }] of Object.entries(operations)) {
      const named = ['401', '403', '421', '429', '500', ...(method === 'get' ? [] : ['412'])];
      const missing = named.filter(
        (status) => !JSON.stringify(responses[status] ?? '').includes('application/problem+json'),
      );
      expect([path, method, missing]).toEqual([path, method, []]);
    }
});
