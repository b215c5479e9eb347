import { Ajv2020 } from 'ajv/dist/2020.js';
import Database from 'better-sqlite3';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import Papa from 'papaparse';
import request from 'supertest';
import { csvOf } from '#server/archive/csv';
import { ARCHIVE_LIMITS, type Head, tablesOf } from '#server/archive/form';
import { pack } from '#server/archive/pack';
import { unpack } from '#server/archive/unpack';
import { lookAt } from '#server/backup/checked';
import { type Db } from '#server/database/db';
import { openDatabase } from '#server/database/open';
import { seedDemo } from '#server/demo/seed';
import { jpegOf } from '#testing/jpeg';
import { testApp, TODAY } from '#testing/server';

const AT = '2031-03-04T10:00:00.000Z';
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'welcome-archive-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const path = (): string => join(folder, `${randomUUID()}.sqlite`);

/** Every row of every table, as the database holds it. */
const all = (db: Db): unknown =>
  tablesOf(db).map(({ table }) => [table, db.prepare(`SELECT * FROM "${table}" ORDER BY rowid`).all()]);

/** A nursery with the demo and a picture. */
async function nursery(): Promise<ReturnType<typeof testApp>> {
  const made = testApp();
  seedDemo(made.db, TODAY);
  await request(made.app)
    .post('/api/plants/1/pictures')
    .send({ key: randomUUID(), on: '2031-03-04', jpeg: jpegOf(64, 48) })
    .expect(201);
  return made;
}
const fetched = async (app: ReturnType<typeof testApp>['app'], from: string): Promise<Buffer> => {
  const answer = await request(app).get(from).buffer(true).parse(binary).expect(200);
  return answer.body as Buffer;
};
const binary = (res: unknown, done: (error: Error | null, body: Buffer) => void): void => {
  const parts: Buffer[] = [];
  const stream = res as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};
const bring = (app: ReturnType<typeof testApp>['app'], file: Uint8Array) =>
  request(app).post('/api/backups/files').type('application/octet-stream').send(Buffer.from(file));

describe('everything out and in', () => {
  let made: Awaited<ReturnType<typeof nursery>>;
  let archive: Buffer;
  beforeAll(async () => {
    made = await nursery();
    archive = await fetched(made.app, '/api/archive');
  });

  test('an archive made a data file again holds every row of every table, word for word, and the pictures', () => {
    const to = path();
    unpack({ archive, to });
    expect(lookAt(to)).toMatchObject({ good: true });
    const again = new Database(to, { readonly: true });
    expect(all(again)).toEqual(all(made.db));
    again.close();
  });

  test('brought back it lies beside the backups, checked; what is none is said, and leaves nothing', async () => {
    const { body } = await bring(made.app, archive).expect(201);
    expect(body).toMatchObject({ why: 'brought', counts: { plant_pictures: 1 } });
    const data = await fetched(made.app, `/api/backups/files/${body.name as string}`);
    expect((await bring(made.app, data).expect(201)).body.counts).toEqual(body.counts);
    const before = (await request(made.app).get('/api/backups')).body.list.length;
    for (const wrong of [strToU8('no such thing'), data.subarray(0, 9000), archive.subarray(0, 4000)])
      expect((await bring(made.app, wrong).expect(400)).body.detail).toMatch(/whole|zip/);
    expect((await bring(made.app, new Uint8Array()).expect(400)).body.detail).toContain('a file');
    expect((await request(made.app).post('/api/backups/files').send({}).expect(415)).body.detail).toContain(
      'application/octet-stream',
    );
    expect((await request(made.app).get('/api/backups')).body.list).toHaveLength(before);
  });

  test('a backup, an archive and a file that is brought at the same moment do not sweep each other away', async () => {
    const [backup, again, brought] = await Promise.all([
      request(made.app).post('/api/backups').send({}),
      request(made.app).get('/api/archive'),
      bring(made.app, archive),
    ]);
    expect([backup.status, again.status, brought.status]).toEqual([204, 200, 201]);
  });

  test('each line is as the published schema says (checked by ajv, a validator of JSON Schema)', async () => {
    const { body: schema } = await request(made.app).get('/api/schema.json').expect(200);
    const files = unzipSync(archive);
    expect(JSON.parse(strFromU8(files['schema.json']!))).toEqual(schema);
    const ajv = new Ajv2020({ strict: false, validateFormats: false });
    ajv.addSchema(schema, 'archive');
    let lines = 0;
    for (const table of Object.keys(schema.$defs as object)) {
      const check = ajv.getSchema(`archive#/$defs/${table}`)!;
      for (const line of strFromU8(files[`tables/${table}.jsonl`]!).split('\n').filter(Boolean)) {
        lines++;
        void check(JSON.parse(line));
        expect([table, check.errors ?? []]).toEqual([table, []]);
      }
      expect([table, check({ nonsense: 1 })]).toEqual([table, false]);
    }
    expect(lines).toBeGreaterThan(300);
  });

  test('a table for a spreadsheet beside each: a row to a row, units in the head, nothing that it would run', () => {
    const files = unzipSync(archive);
    const { tables } = JSON.parse(strFromU8(files['welcome.json']!)) as Head;
    for (const [table, count] of Object.entries(tables)) {
      const { data } = Papa.parse<string[]>(strFromU8(files[`csv/${table}.csv`]!).trimEnd());
      expect([table, data.length - 1]).toEqual([table, count]);
      expect([table, data.filter((row) => row.length !== data[0]!.length)]).toEqual([table, []]);
    }
    const head = (table: string): string => strFromU8(files[`csv/${table}.csv`]!).split('\n')[0]!;
    expect(head('measures')).toContain('litres (L)');
    expect(head('stock_moves')).toContain('kg of a product');
    expect(head('plantings')).toMatch(/row\.cells.*begun_on|begun_on \(YYYY-MM-DD\).*row\.cells/);
    const evil = {
      table: 't',
      columns: [{ column: 'name', name: 'name', kind: 'text', nullable: false }],
    } as const;
    expect(csvOf(evil as never, [{ name: '=1+1' }, { name: '@x' }])).toBe(`name\n"'=1+1"\n"'@x"\n`);
  });

  test('the ten lines of docs/read-archive.mjs read it', () => {
    const file = join(folder, 'welcome.zip');
    writeFileSync(file, archive);
    const told = execFileSync(process.execPath, ['docs/read-archive.mjs', file, 'plantings'], {
      encoding: 'utf8',
    });
    const { count } = made.db.prepare('SELECT COUNT(*) AS count FROM plantings').get() as { count: number };
    expect(told).toContain(`${count} rows of plantings`);
  });
});

test.each(['schema-1', 'schema-5', 'schema-16'])(
  'an archive of a folder of %s opens and means the same',
  (name) => {
    const file = path();
    copyFileSync(`testing/folders/${name}.sqlite`, file);
    const to = mkdtempSync(join(folder, 'old-'));
    unpack({ archive: pack({ file, at: AT }), to: join(to, 'welcome.sqlite') });
    const there = mkdtempSync(join(folder, 'as-it-was-'));
    copyFileSync(file, join(there, 'welcome.sqlite'));
    const [one, other] = [openDatabase(to), openDatabase(there)];
    // A folder that had no identity gets one of its own in each.
    const known = (db: Db): unknown =>
      JSON.parse(JSON.stringify(all(db), (_, it: unknown) => (/^[0-9a-f]{32}$/.test(String(it)) ? '' : it)));
    expect(known(one)).toEqual(known(other));
    one.close();
    other.close();
  },
);

describe('what somebody else might have packed', () => {
  let whole: Record<string, Uint8Array>;
  beforeAll(() => {
    const data = mkdtempSync(join(folder, 'small-'));
    openDatabase(data).close();
    whole = unzipSync(pack({ file: join(data, 'welcome.sqlite'), at: AT }));
  });
  const refused = (change: Zippable, says: RegExp): void => {
    const to = path();
    expect(() => unpack({ archive: zipSync({ ...whole, ...change }), to })).toThrow(says);
    expect(existsSync(to) && lookAt(to).good && 'a file that counts as one').toBeFalsy();
  };
  const head = (change: Partial<Head>): Uint8Array =>
    strToU8(JSON.stringify({ ...JSON.parse(strFromU8(whole['welcome.json']!)), ...change }));

  test.each([
    '../welcome.sqlite',
    '/etc/passwd',
    'tables/../../x.jsonl',
    'pictures/1.jpg/../../x',
    'C:\\x',
    'a\0b',
  ])('a file called %j is not looked at: it is refused', (name) =>
    refused({ [name]: strToU8('x') }, /a file in it must be/),
  );

  test('two files of one name', () => {
    const two = zipSync({ ...whole, 'tables/mixez.jsonl': strToU8('') });
    // The same length, in the list and before the file.
    const text = Buffer.from(two).toString('latin1').replaceAll('mixez.jsonl', 'mixes.jsonl');
    expect(() => unpack({ archive: Buffer.from(text, 'latin1'), to: path() })).toThrow(
      /a name that is there once/,
    );
  });

  test('a small file that would unpack to more than there is room for', () => {
    const told = zipSync({ 'tables/mixes.jsonl': new Uint8Array(5_000_000) });
    // As if it were of 3.9 GB: the size stands in the list at the end of the file.
    const list = Buffer.from(told);
    const at = list.lastIndexOf('PK\u0001\u0002', undefined, 'latin1');
    list.writeUInt32LE(3_900_000_000, at + 24);
    expect(list.length).toBeLessThan(10_000);
    expect(() => unpack({ archive: list, to: path() })).toThrow(/bytes when unpacked must be at most/);
    list.writeUInt32LE(10, at + 24);
    // Told too small it is cut, and what is left is no line.
    expect(() => unpack({ archive: list, to: path() })).toThrow(/archive/);
  });

  test('lines that are nested without end, strange columns, words for numbers, rows that point nowhere', () => {
    const row = { id: 1, name: 'Mix', note: '', created_at: AT, deleted_at: null, key: null };
    const lines = (it: unknown): Zippable => ({
      'tables/mixes.jsonl': strToU8(`${typeof it === 'string' ? it : JSON.stringify(it)}\n`),
    });
    refused(lines(`{"id":${'['.repeat(100_000)}`), new RegExp(`nested at most ${ARCHIVE_LIMITS.depth} deep`));
    refused(lines('[]'), /line 1 must be an object/);
    refused(lines({ ...row, evil: 1 }), /evil must be of/);
    refused(lines({ ...row, id: 'x' }), /id must be a whole number/);
    refused(lines({ ...row, id: 1.5 }), /id must be/);
    refused(lines({ ...row, name: null }), /name must be something/);
    refused(lines(row), /mixes.jsonl must be 0 lines, as its head tells/);
    const version = {
      id: 1,
      mix_id: 9,
      version: 1,
      recipe: {},
      created_at: AT,
      key: null,
      why: '',
      figures: 1,
    };
    const { tables } = JSON.parse(strFromU8(whole['welcome.json']!)) as Head;
    refused(
      {
        'tables/mix_versions.jsonl': strToU8(`${JSON.stringify(version)}\n`),
        'welcome.json': head({ tables: { ...tables, mix_versions: 1 } }),
      },
      /point to what is there/,
    );
  });

  test('heads of nothing, of another form, of a newer Welcome', () => {
    refused({ 'welcome.json': strToU8('{') }, /welcome.json must be an object/);
    refused({ 'welcome.json': head({ format: 2 }) }, /format must be 1/);
    refused({ 'welcome.json': head({ schema: 9999 }) }, /newer Welcome/);
    refused({ 'tables/sqlite_master.jsonl': strToU8('') }, /a table of Welcome/);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});
