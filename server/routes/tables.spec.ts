import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import request from 'supertest';
import { z } from 'zod';
import { camel, readCsv, snake, writeCsv } from '#contract/csv';
import { materialFields, productFields } from '#server/out/tables/rows';
import { type Taken } from '#contract/tables';
import { type LibraryAnswer } from '#contract/library';
import { materialToRow } from '#core/material/material';
import { amendment, material } from '#testing/library';
import { testApp } from '#testing/server';

const { app } = testApp();
const out = async (table: string): Promise<string> =>
  (await request(app).get(`/api/tables/${table}`).expect(200)).body.csv as string;
const take = (table: string, csv: string, dry = false) =>
  request(app).post(`/api/tables/${table}`).send({ csv, dry });
const library = async () => (await request(app).get('/api/library')).body as LibraryAnswer;

test('columns are named with their units, there and back', () => {
  for (const field of [...materialFields, ...productFields]) expect(camel(snake(field))).toBe(field);
  expect(snake('dryBulkDensityGPerL')).toBe('dry_bulk_density_g_per_l');
});

test.each(['materials', 'products', 'vessels', 'lots'])(
  '%s go out, and in again as what they are',
  async (table) => {
    await request(app)
      .post('/api/lots')
      .send({ key: randomUUID(), item: 'loam', name: `For ${table}`, receivedOn: '2031-03-01', quantity: 3 });
    const csv = await out(table);
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
    expect(data.length).toBeGreaterThan(0);
    const taken = (await take(table, csv).expect(200)).body as Taken;
    expect(taken).toEqual({ rows: data.length, added: [], changed: [], same: data.length });
    expect(await out(table)).toBe(csv);
  },
);

test('a row of their own is added, then changed, then the same', async () => {
  const { data, meta } = Papa.parse<Record<string, string>>(await out('materials'), { header: true });
  const mine = { ...data.find((row) => row['id'] === 'compost')!, id: '', name: 'Gate heap', ph: '6.9' };
  const csv = (row: object): string => Papa.unparse({ fields: meta.fields!, data: [row] });
  expect((await take('materials', csv(mine), true)).body).toMatchObject({ added: ['Gate heap'] });
  expect((await library()).materials.some((m) => m.name === 'Gate heap')).toBe(false);
  expect((await take('materials', csv(mine))).body).toMatchObject({ added: ['Gate heap'] });
  expect((await take('materials', csv({ ...mine, ph: '6.7' }))).body).toMatchObject({
    changed: ['Gate heap'],
  });
  expect((await take('materials', csv({ ...mine, ph: '6.7' }))).body).toMatchObject({ same: 1 });
  expect((await library()).materials.find((m) => m.name === 'Gate heap')).toMatchObject({
    ph: 6.7,
    own: true,
  });
});

test('a bad row is named by line, column and range, and nothing of the file is taken', async () => {
  const before = await out('vessels');
  const head = 'name,noun,shape,top_mm,depth_mm,per_tray';
  const refused = async (csv: string): Promise<string> => {
    const { status, body } = await take('vessels', csv);
    expect(status).toBe(400);
    return body.detail as string;
  };
  expect(await refused(`${head}\nGood,pot,round,90,80,1\nBad,pot,round,9000,80,1\n`)).toContain(
    'line 3, top_mm: must be a number from 5 to 2000, was 9000',
  );
  expect(await refused(`${head}\nGood,pot,round,90,80,1\nBad,pot,round,90,80\n`)).toContain(
    'line 3, per_tray',
  );
  expect(await refused(`${head},colour\nBad,pot,round,90,80,1,red\n`)).toContain(
    'line 1, colour: must be a column of this table',
  );
  expect(
    await refused('id,name,noun,shape,top_mm,depth_mm,per_tray\ncell-72,Mine,pot,round,90,80,1\n'),
  ).toContain('cell-72 is of the starter library');
  expect(await out('vessels')).toBe(before);
  expect(
    (await take('lots', 'kind,item,name,received_on\nmaterial,moon,Bag,2031-03-01\n')).body.detail,
  ).toContain('line 2, item: must be the id of a material, was "moon"');
  expect((await take('spoons', 'a\n1')).body.issues[0].path).toBe('table');
});

test('what a spreadsheet would run is written behind a quote', () => {
  expect(writeCsv(['name', 'priceN'], [{ name: '=1+1', priceN: -3 }])).toBe('name,price_n\n"\'=1+1",-3');
});

test('a mix that is changed by a table keeps what no cell can hold', async () => {
  const { id: _, ...row } = materialToRow(material('mix-reused'));
  const beside = {
    madeOf: { peat: 0.6, coir: 0, earthy: 0.2 },
    carries: [{ amendment: amendment('coated-14-14-14'), gPerL: 1.5 }],
  };
  const body = { key: randomUUID(), says: 'ours', row: { ...row, ...beside, name: 'Last year' } };
  await request(app).post('/api/materials').send(body).expect(201);
  const { data, meta } = Papa.parse<Record<string, string>>(await out('materials'), { header: true });
  const mine = data.find((each) => each['name'] === 'Last year')!;
  const csv = Papa.unparse({ fields: meta.fields!, data: [{ ...mine, ph: '6.1' }] });
  expect((await take('materials', csv)).body).toMatchObject({ changed: ['Last year'] });
  expect((await library()).materials.find((m) => m.name === 'Last year')).toMatchObject({
    ...beside,
    ph: 6.1,
  });
});

test('a vessel goes out with all that it says of itself, and a lot that stands twice in a file is one', async () => {
  const csv =
    'name,noun,shape,top_mm,depth_mm,per_tray,holes,own_mix,footprint_m2,price,uses\nDisc,disc,round,40,10,50,1,1,0.12,6,1\n';
  expect((await take('vessels', csv)).body).toMatchObject({ added: ['Disc'] });
  expect((await library()).vessels.find((v) => v.name === 'Disc')).toMatchObject({
    ...{ ownMix: true, footprintM2: 0.12, price: 6, uses: 1, perTray: 50 },
  });
  expect((await take('vessels', csv)).body).toMatchObject({ same: 1 });
  const line = 'material,loam,Twice,2031-03-01,40';
  expect((await take('lots', `kind,item,name,received_on,quantity\n${line}\n${line}\n`)).body).toMatchObject({
    ...{ added: ['Twice'], same: 1 },
  });
});

test('a sign before a digit is disarmed too, unless the cell is a number; and comes back as it went', () => {
  const schema = z.strictObject({ name: z.string(), plants: z.number() });
  const rows = [
    { name: '-2+3+cmd|x', plants: -4.5 },
    { name: '+1 early', plants: 1e-7 },
    { name: '-5', plants: 5 },
    { name: '=1+1', plants: 0 },
  ];
  const csv = writeCsv(['name', 'plants'], rows);
  expect(csv.split('\n').slice(1)).toEqual([`"'-2+3+cmd|x",-4.5`, `"'+1 early",1e-7`, '-5,5', `"'=1+1",0`]);
  expect(readCsv(csv, schema).map(({ row }) => row)).toEqual(rows);
});

test.each(['288', '00123', '1e5', '0.10', '0x10', '-5', 'Infinity', ' 7 '])(
  'a sort called %j comes back as it went',
  async (name) => {
    const { app } = testApp();
    const plantings = { key: randomUUID(), start: 'sow', crop: 'basil', vessel: 'cell-72', cells: 72 };
    await request(app)
      .post('/api/plants')
      .send({ ...plantings, name, seed: name, on: '2031-03-01' })
      .expect(201);
    await request(app)
      .post('/api/lots')
      .send({ key: randomUUID(), item: 'loam', name, receivedOn: '2031-03-01' })
      .expect(201);
    await request(app)
      .post('/api/plan/lines')
      .send({ key: randomUUID(), crop: 'tomato', plants: 10, name })
      .expect(201);
    for (const [table, list] of [
      ['plantings', '/api/plants'],
      ['lots', '/api/lots'],
      ['season', '/api/plan'],
    ] as const) {
      const { csv } = (await request(app).get(`/api/tables/${table}`).expect(200)).body as { csv: string };
      // As new rows, without their numbers.
      const [head, row] = csv.split('\n');
      const fresh = `${head}\n${row!.replace(/^\d+/, '')}`;
      const { body: taken } = await request(app).post(`/api/tables/${table}`).send({ csv: fresh });
      expect([table, taken.rows]).toEqual([table, 1]);
      const { body } = await request(app).get(list);
      const names = (table === 'season' ? body.lines : body).map((each: { name: string }) => each.name);
      expect([table, [...new Set(names)]]).toEqual([table, [name.trim()]]);
    }
  },
);

test('more rows than others can wait for are refused before any is looked at', async () => {
  const { app } = testApp();
  const rows = Array.from({ length: 701 }, (_, i) => `P${i},pot,round,90,80,1`);
  const csv = ['name,noun,shape,top_mm,depth_mm,per_tray', ...rows].join('\n');
  const { status, body } = await request(app).post('/api/tables/vessels').send({ csv, dry: true });
  expect([status, body.detail]).toEqual([400, expect.stringContaining('line 702: must be at most row 700')]);
});
