/**
 * Makes a data folder by the code as it stands, with all that the demo has and some of everything else, and what it
 * answers: testing/folders/schema-N. Run it before a change of the schema, and commit both files:
 *
 *     node --import tsx scripts/keep-folder.ts
 */
import { mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { DeviceStore } from '#server/kept/devices';
import { openDatabase } from '#server/base/database/open';
import { newestSchema } from '#server/base/database/migrate';
import { seedDemo } from '#server/out/demo/seed';
import { askedOfFolders } from '#testing/folders';
import { jpegOf } from '#testing/jpeg';
import { testApp, TODAY } from '#testing/server';

process.env['TZ'] = 'Australia/Adelaide';
const data = mkdtempSync(join(tmpdir(), 'welcome-folder-'));
const db = openDatabase(data);
const { app } = testApp(db);
seedDemo(db, TODAY);

let keys = 0;
const key = (): string => `00000000-0000-4000-8fff-${String(++keys).padStart(12, '0')}`;
type Sent = Record<string, unknown>;
async function send(method: 'post' | 'put' | 'delete', path: string, body: Sent = {}): Promise<Sent> {
  const asked = request(app);
  const answer = await asked[method](`/api${path}`).send(method === 'delete' ? undefined : body);
  if (answer.status >= 400) throw new Error(`${method} ${path}: ${JSON.stringify(answer.body)}`);
  return answer.body as Sent;
}
const create = (path: string, body: Sent): Promise<Sent> => send('post', path, { key: key(), ...body });

const on = '2031-03-04';
const recipe = {
  stage: 'potting',
  vessel: 'pot-11',
  components: [
    { material: 'bark-pine', parts: 3 },
    { material: 'peat-medium', parts: 2 },
    { material: 'pumice', parts: 1 },
  ],
  lime: { amendment: 'lime-dolomitic', ph: 5.9 },
  amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.4 }],
  compactionPct: 6,
  job: { vessels: 37, sparePct: 5 },
};
const mix = await create('/mixes', { name: 'Ours, “½” & more', recipe, note: '−3 °C stood it' });
await create(`/mixes/${String(mix['mixId'])}/versions`, {
  recipe: { ...recipe, compactionPct: 8 },
  why: 'sank',
});
const batch = await create('/batches', {
  ...{ name: '0042', recipe, mixVersionId: mix['id'], madeOn: on, units: 'us', scoop: 'cup' },
});
const entry = (data: Sent): Promise<Sent> =>
  create(`/batches/${String(batch['id'])}/entries`, { seen: 0, own: [], data });
await entry({ kind: 'note', text: '=SUM(1) is no sum' });
await entry({ kind: 'left', litres: 3.25 });
await entry({ kind: 'correction', steps: ['two cups of peat'] });
await entry({ kind: 'use', what: 'Hedge', count: 12, on, vessel: 'pot-11' });
await entry({ kind: 'test', test: 'ph', values: { ph: 6.1 } });
const planting = await create('/plants', {
  ...{
    start: 'pot',
    crop: 'basil',
    name: '288',
    vessel: 'pot-9',
    cells: 40,
    on: '2031-02-20',
    batch: batch['id'],
  },
});
const at = `/plants/${String(planting['id'])}`;
const happened = (kind: string, more: Sent): Promise<Sent> =>
  create(`${at}/events`, { event: { kind, on: '2031-03-01', ...more } });
await happened('lost', { count: 3, cause: 'snails' });
const slip = await happened('count', { alive: 12 });
await happened('undo', { of: slip['id'] });
await happened('watered', { litres: 2.5, minutes: 20 });
await happened('topped', { litres: 0.5 });
await happened('sprayed', { text: 'soap' });
await happened('size', { mm: 90 });
await happened('did', { cause: 'cold', text: 'moved in' });
await create('/plants', {
  start: 'pot',
  crop: 'basil',
  vessel: 'pot-11',
  cells: 5,
  on,
  from: [{ planting: planting['id'], plants: 5 }],
});
await happened('out', { count: 4, way: 'sold' });
await create(`${at}/pictures`, { on, jpeg: jpegOf(64, 48), text: 'from above' });
const gone = await create('/plants', { ...{ crop: 'kale', start: 'sow', vessel: 'cell-72', cells: 72, on } });
await send('delete', `/plants/${String(gone['id'])}`);
await create('/measures', { name: 'Blue scoop', litres: 1.7, heapedLitres: 2.05 });
await create('/lots', { item: 'pumice', name: '1e5', receivedOn: '2031-01-02', quantity: 40, price: 8 });
await send('put', '/plan/lines/3/tasks', { sowing: 1, task: 'start', on });
await send('put', '/nursery', { timeZone: 'Australia/Adelaide' });
new DeviceStore(db).add('Phone in the tunnel', TODAY);

const answers: Record<string, unknown> = {};
for (const path of askedOfFolders) {
  const answer = await request(app).get(`/api${path}`);
  if (answer.status !== 200) throw new Error(`${path}: ${JSON.stringify(answer.body)}`);
  answers[path] = answer.body;
}
db.exec('VACUUM');
db.pragma('journal_mode = DELETE');
db.close();
const name = `testing/folders/schema-${newestSchema()}`;
renameSync(join(data, 'welcome.sqlite'), `${name}.sqlite`);
writeFileSync(`${name}.json`, `${JSON.stringify(answers, null, 1)}\n`);
rmSync(data, { recursive: true });
console.log(`${name}: ${Object.keys(answers).length} answers`);
