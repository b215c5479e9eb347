import { inflateSync } from 'node:zlib';
import { create, type Font } from 'fontkit';
import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import request from 'supertest';
import { scoops } from '#core/batch/scoops';
import { labelSizes } from '#core/batch/label-sizes';
import { type Batch } from '#contract/batches';
import { benchCard } from '#server/out/print/card';
import { newBatch, testApp } from '#testing/server';

const { app } = testApp();
let id: number;
beforeAll(async () => {
  id = (
    await request(app)
      .post('/api/batches')
      .send(newBatch({ name: 'First tomatoes' }))
  ).body.id;
});

async function fetchPdf(path: string): Promise<Buffer> {
  const answer = await request(app)
    .get(`/api/batches/${id}/${path}`)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    });
  expect(answer.headers['content-type']).toContain('application/pdf');
  const body = answer.body as Buffer;
  expect(body.subarray(0, 5).toString()).toBe('%PDF-');
  expect(body.subarray(-8).toString()).toContain('%%EOF');
  return body;
}

const pages = (file: Buffer): number => file.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;

/** The first picture of a file, as grey or colour samples, undone from PNG's line filters where it has them. */
function picture(file: Buffer): { width: number; height: number; rgba: Uint8ClampedArray } {
  const text = file.toString('latin1');
  for (const match of text.matchAll(/<<([^<>]*\/Subtype \/Image(?:[^<>]|<<[^<>]*>>)*)>>\s*stream\r?\n/g)) {
    const dictionary = match[1]!;
    if (/\/ColorSpace \/DeviceGray/.test(dictionary)) continue;
    const at = match.index + match[0].length;
    const number = (name: string): number => Number(new RegExp(`/${name} (\\d+)`).exec(dictionary)![1]);
    const [width, height] = [number('Width'), number('Height')];
    const raw = inflateSync(file.subarray(at, at + number('Length')));
    const channels = Math.round(raw.length / width / height);
    const filtered = raw.length === height * (width * channels + 1);
    const stride = width * channels + (filtered ? 1 : 0);
    if (filtered) for (let y = 0; y < height; y++) expect(raw[y * stride]).toBe(0);
    const rgba = new Uint8ClampedArray(width * height * 4).fill(255);
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x++) {
        for (let c = 0; c < 3; c++)
          rgba[(y * width + x) * 4 + c] =
            raw[y * stride + (filtered ? 1 : 0) + x * channels + Math.min(c, channels - 1)]!;
      }
    }
    return { width, height, rgba };
  }
  throw new Error('no picture in the file');
}

test('labels parse, have their pages, and their code leads back to the batch', async () => {
  const file = await fetchPdf('labels.pdf?size=a4-24&count=30&sown=2031-03-05');
  expect(pages(file)).toBe(2);
  const { width, height, rgba } = picture(file);
  const code = jsQR(rgba, width, height);
  expect(code?.data).toMatch(new RegExp(`^http://127\\.0\\.0\\.1(:\\d+)?/batches/${id}$`));
});

test.each(labelSizes.map((s) => [s.id, s]))('the labels of %s fit their page', async (size, s) => {
  expect(s.margin[0] + s.columns * s.label[0] + (s.columns - 1) * s.gap[0]).toBeLessThanOrEqual(
    s.page[0] + 0.01,
  );
  expect(s.margin[1] + s.rows * s.label[1] + (s.rows - 1) * s.gap[1]).toBeLessThanOrEqual(s.page[1] + 0.01);
  const file = await fetchPdf(`labels.pdf?size=${size}&count=${s.columns * s.rows}`);
  expect(pages(file)).toBe(1);
});

test.each(['metric', 'us'])('the card in %s is one page with a code', async (units) => {
  const file = await fetchPdf(`card.pdf?units=${units}`);
  expect(pages(file)).toBe(1);
  const { width, height, rgba } = picture(file);
  expect(jsQR(rgba, width, height)?.data).toContain(`/batches/${id}`);
});

test('the card uses only signs that the print font has', async () => {
  const font = create(readFileSync('node_modules/pdfmake/build/fonts/Roboto/Roboto-Regular.ttf')) as Font;
  const batch = (await request(app).get(`/api/batches/${id}`)).body as Batch;
  for (const units of ['metric', 'us'] as const) {
    for (const scoop of scoops) {
      const text = JSON.stringify(await benchCard(batch, { language: 'en', units }, scoop, 'http://x/1'));
      const missing = [...text].filter((c) => c > '~' && !font.hasGlyphForCodePoint(c.codePointAt(0)!));
      expect(new Set(missing)).toEqual(new Set());
    }
  }
});

test.each([
  ['labels.pdf?size=a9', 400],
  ['labels.pdf?count=0', 400],
  ['labels.pdf?count=many', 400],
  ['labels.pdf?sown=yesterday', 400],
  ['card.pdf?units=stones', 400],
])('%s is refused', async (path, status) => {
  expect((await request(app).get(`/api/batches/${id}/${path}`)).status).toBe(status);
});
