import Database from 'better-sqlite3';
import compression from 'compression';
import express from 'express';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { remembered } from '#server/base/http/remembered';

const file = join(mkdtempSync(join(tmpdir(), 'welcome-remembered-')), 'one.sqlite');
const db = new Database(file);
db.exec('CREATE TABLE rows (text TEXT)');
let day = '2031-03-04';
let reckoned = 0;
const app = express()
  .use(remembered(db, () => day))
  .use(compression())
  .get(['/api/today', '/api/plants', '/api/settings'], (req, res) => {
    reckoned += 1;
    if (req.query['wrong']) res.status(400).json({ wrong: true });
    else res.json({ day, query: req.query, rows: db.prepare('SELECT text FROM rows').pluck().all() });
  });
const ask = (path: string, packing = 'gzip') => request(app).get(path).set('accept-encoding', packing);

/** How often it was reckoned while something was done. */
async function times(act: () => Promise<unknown>): Promise<number> {
  const before = reckoned;
  await act();
  return reckoned - before;
}

test('what nothing has changed since is not reckoned again, and is the same, packed or not', async () => {
  db.prepare('INSERT INTO rows VALUES (?)').run('long '.repeat(1000));
  const first = await ask('/api/today');
  expect(first.headers).toMatchObject({ 'content-encoding': 'gzip', 'cache-control': 'no-store' });
  expect(
    await times(async () => {
      const again = await ask('/api/today');
      expect(again.body).toEqual(first.body);
      expect(again.headers['content-encoding']).toBe('gzip');
      expect(again.headers['content-type']).toBe(first.headers['content-type']);
    }),
  ).toBe(0);
  const plain = await ask('/api/today', 'identity');
  expect(plain.headers['content-encoding']).toBeUndefined();
  expect(plain.body).toEqual(first.body);
});

test('an entry here, one of another connection, and a new day are all seen at once', async () => {
  await ask('/api/plants?finished=no');
  db.prepare('INSERT INTO rows VALUES (?)').run('mine');
  expect((await ask('/api/plants?finished=no')).body.rows).toContain('mine');
  const other = new Database(file);
  other.prepare('INSERT INTO rows VALUES (?)').run('of another');
  other.close();
  expect((await ask('/api/plants?finished=no')).body.rows).toContain('of another');
  day = '2031-03-05';
  expect((await ask('/api/plants?finished=no')).body.day).toBe(day);
});

test('each question has its own answer; refusals and all other pages are reckoned each time', async () => {
  expect((await ask('/api/plants?finished=no')).body.query).toEqual({ finished: 'no' });
  expect((await ask('/api/plants?finished=yes')).body.query).toEqual({ finished: 'yes' });
  for (const path of ['/api/plants?wrong=1', '/api/settings']) {
    await ask(path);
    expect(await times(() => ask(path))).toBe(1);
  }
});

test('what was written while it was reckoned is not taken for known', async () => {
  const late = express()
    .use(remembered(db, () => day))
    .get('/api/today', (_req, res) => {
      const rows = db.prepare('SELECT text FROM rows').pluck().all();
      setTimeout(() => res.json(rows), 30);
    });
  const slow = request(late)
    .get('/api/today')
    .then((answer) => answer.body as string[]);
  await new Promise((resolve) => setTimeout(resolve, 10));
  db.prepare('INSERT INTO rows VALUES (?)').run('in between');
  await slow;
  expect((await request(late).get('/api/today')).body).toContain('in between');
});
