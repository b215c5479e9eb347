import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { testApp } from '#testing/server';

const { app } = testApp();

test.each(['evil.example', 'evil.example:4180', '127.0.0.1.evil.example', '10.0.0.7', ''])(
  'nobody is answered who asks for the host "%s"',
  async (host) => {
    const answer = await request(app).get('/api/mixes').set('host', host);
    expect(answer.status).toBe(421);
  },
);

test.each(['127.0.0.1:4180', 'localhost:9', 'LOCALHOST', '[::1]:4180'])(
  '%s is its own name',
  async (host) => {
    await request(app).get('/api/health').set('host', host).expect(200);
  },
);

test('a page of elsewhere can not write, with or without the words of the browser', async () => {
  const before = (await request(app).get('/api/measures')).body;
  const write = (headers: Record<string, string>) =>
    request(app)
      .post('/api/measures')
      .set({ host: '127.0.0.1:4180', ...headers })
      .send({ key: randomUUID(), name: 'Pail', litres: 5 });
  expect((await write({ origin: 'http://evil.example' })).status).toBe(403);
  expect((await write({ origin: 'null' })).status).toBe(403);
  expect((await write({ origin: 'http://127.0.0.1:9999' })).status).toBe(403);
  expect((await write({ 'sec-fetch-site': 'cross-site' })).status).toBe(403);
  expect((await request(app).get('/api/measures')).body).toEqual(before);
  expect((await write({ origin: 'http://127.0.0.1:4180' })).status).toBe(201);
  expect((await write({})).status).toBe(201);
});

test('a page of elsewhere cannot have work done by reading either; a link to a page is let in', async () => {
  const read = (path: string, headers: Record<string, string>) =>
    request(app)
      .get(path)
      .set({ host: '127.0.0.1:4180', ...headers });
  for (const site of ['cross-site', 'same-site'])
    for (const mode of ['no-cors', 'cors', 'navigate']) {
      const headers = { 'sec-fetch-site': site, 'sec-fetch-mode': mode };
      expect([site, mode, (await read('/api/archive', headers)).status]).toEqual([site, mode, 403]);
      expect((await read('/today', headers)).status).toBe(mode === 'navigate' ? 404 : 403);
    }
  for (const site of ['same-origin', 'none'])
    await read('/api/health', { 'sec-fetch-site': site, 'sec-fetch-mode': 'cors' }).expect(200);
});
