import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import express from 'express';
import request from 'supertest';
import { webRoutes } from '#server/base/http/pages';

const folder = mkdtempSync(join(tmpdir(), 'welcome-pages-'));
const script = 'export const answer = 42;';
writeFileSync(join(folder, 'index.html'), '<head></head><p nonce="NONCE">');
writeFileSync(join(folder, 'first-asked.json'), '{"/mix":["library"]}');
writeFileSync(join(folder, 'main.js'), script);
writeFileSync(join(folder, 'main.js.br'), brotliCompressSync(script));
const app = express().use(webRoutes(folder));

test('what was packed at the build goes out packed, to those who take it', async () => {
  const packed = await request(app).get('/main.js').set('accept-encoding', 'br').buffer(false);
  expect(packed.headers).toMatchObject({ 'content-encoding': 'br', vary: 'accept-encoding' });
  expect(packed.headers['content-type']).toContain('text/javascript');
  const plain = await request(app).get('/main.js').set('accept-encoding', 'identity');
  expect([plain.headers['content-encoding'], plain.text]).toEqual([undefined, script]);
});

test('every route of the page gets the page, files that are not there get nothing', async () => {
  expect((await request(app).get('/batches/3/run')).text).not.toContain('NONCE');
  expect((await request(app).get('/gone.js')).status).toBe(404);
});

test('what a page asks for first is fetched beside its program', async () => {
  expect((await request(app).get('/mix')).text).toContain(
    '<link rel="preload" as="fetch" crossorigin href="/api/library" /></head>',
  );
  expect((await request(app).get('/batches')).text).not.toContain('preload');
});
