import { Ajv2020 } from 'ajv/dist/2020.js';
import Database from 'better-sqlite3';
import { execFileSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import Papa from 'papaparse';
import request from 'supertest';
import fc from 'fast-check';
import { OutOfRange } from '#core/units/check';
import { csvOf } from '#server/out/archive/csv';
import { ARCHIVE_LIMITS, type Head, tablesOf } from '#server/out/archive/form';
import { pack } from '#server/out/archive/pack';
import { draws } from '#testing/draws';
import { unpack } from '#server/out/archive/unpack';
import { lookAt } from '#server/out/backup/checked';
import { problemSaid } from '#words/problem-said';
import { problemOf } from '#server/base/http/problem';
import { type Db } from '#server/base/database/db';
import { openDatabase } from '#server/base/database/open';
import { seedDemo } from '#server/out/demo/seed';
import { jpegOf } from '#testing/jpeg';
import { metric } from '#testing/readers';
import { testApp, TODAY } from '#testing/server';

const AT = '2031-03-04T10:00:00.000Z';
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'welcome-archive-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const path = (): string => join(folder, `${randomUUID()}.sqlite`);
const onDisk = (archive: Uint8Array): string => {
  const file = join(folder, `${randomUUID()}.zip`);
  writeFileSync(file, archive);
  return file;
};

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
/** Why an archive is not taken, as a person reads it. */
const whyNot = (asked: Parameters<typeof unpack>[0]): Promise<string> =>
  unpack(asked).then(
    () => 'taken',
    (error: unknown) => problemSaid(problemOf(error).says, metric).detail.replaceAll(/[\u00a0\u202f]/g, ' '),
  );
const bring = (app: ReturnType<typeof testApp>['app'], file: Uint8Array) =>
  request(app).post('/api/backups/files').type('application/octet-stream').send(Buffer.from(file));

describe('everything out and in', () => {
  let made: Awaited<ReturnType<typeof nursery>>;
  let archive: Buffer;
  beforeAll(async () => {
    made = await nursery();
    archive = await fetched(made.app, '/api/archive');
  });

  test('an archive made a data file again holds every row of every table, word for word, and the pictures', async () => {
    const to = path();
    await unpack({ archive: onDisk(archive), to });
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
      expect((await bring(made.app, wrong).expect(400)).body.detail).toMatch(/of Welcome|zip/);
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
    const result = execFileSync(process.execPath, ['docs/read-archive.mjs', file, 'plantings'], {
      encoding: 'utf8',
    });
    const { count } = made.db.prepare('SELECT COUNT(*) AS count FROM plantings').get() as { count: number };
    expect(result).toContain(`${count} rows of plantings`);
  });
});

test.each(['schema-1', 'schema-5', 'schema-16'])(
  'an archive of a folder of %s opens and means the same',
  async (name) => {
    const file = path();
    copyFileSync(`testing/folders/${name}.sqlite`, file);
    const to = mkdtempSync(join(folder, 'old-'));
    const packed = join(to, 'packed.zip');
    await pack({ file, at: AT, to: packed });
    await unpack({ archive: packed, to: join(to, 'welcome.sqlite') });
    const present = mkdtempSync(join(folder, 'as-it-was-'));
    copyFileSync(file, join(present, 'welcome.sqlite'));
    const [one, other] = [openDatabase(to), openDatabase(present)];
    // A folder that had no identity gets one of its own in each.
    const existing = (db: Db): unknown =>
      JSON.parse(JSON.stringify(all(db), (_, it: unknown) => (/^[0-9a-f]{32}$/.test(String(it)) ? '' : it)));
    expect(existing(one)).toEqual(existing(other));
    one.close();
    other.close();
  },
);

describe('what somebody else might have packed', () => {
  let whole: Record<string, Uint8Array>;
  beforeAll(async () => {
    const data = mkdtempSync(join(folder, 'small-'));
    openDatabase(data).close();
    await pack({ file: join(data, 'welcome.sqlite'), at: AT, to: join(data, 'packed.zip') });
    whole = unzipSync(readFileSync(join(data, 'packed.zip')));
  });
  /** With the sums of what is in it: whoever packs it can reckon them. */
  const summed = (files: Zippable): Zippable => {
    const rest = Object.entries(files).filter(([name]) => name !== 'welcome.json') as [string, Uint8Array][];
    const sums = Object.fromEntries(
      rest.map(([name, bytes]) => [name, createHash('sha256').update(bytes).digest('hex')]),
    );
    const result = strFromU8(files['welcome.json'] as Uint8Array);
    try {
      const head = { ...(JSON.parse(result) as object), sums };
      return { ...files, 'welcome.json': strToU8(JSON.stringify(head)) };
    } catch {
      return files;
    }
  };
  const refused = async (change: Zippable, says: RegExp): Promise<void> => {
    const to = path();
    expect(await whyNot({ archive: onDisk(zipSync(summed({ ...whole, ...change }))), to })).toMatch(says);
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
    refused({ [name]: strToU8('x') }, /file in it must be/),
  );

  test('two files of one name', async () => {
    const two = zipSync({ ...whole, 'tables/mixez.jsonl': strToU8('') });
    // The same length, in the list and before the file.
    const text = Buffer.from(two).toString('latin1').replaceAll('mixez.jsonl', 'mixes.jsonl');
    expect(await whyNot({ archive: onDisk(Buffer.from(text, 'latin1')), to: path() })).toMatch(
      /a name that is there once/,
    );
  });

  test('a small file that would unpack to more than there is room for', async () => {
    const result = zipSync({ 'tables/mixes.jsonl': new Uint8Array(5_000_000) });
    // As if it were of 3.9 GB: the size stands in the list at the end of the file.
    const list = Buffer.from(result);
    const at = list.lastIndexOf('PK\u0001\u0002', undefined, 'latin1');
    list.writeUInt32LE(3_900_000_000, at + 24);
    expect(list.length).toBeLessThan(10_000);
    expect(await whyNot({ archive: onDisk(list), to: path(), room: 3e9 })).toMatch(
      /must be at most .* bytes when unpacked/,
    );
    list.writeUInt32LE(10, at + 24);
    // Told too small it is cut, and what is left is no line.
    expect(await whyNot({ archive: onDisk(list), to: path() })).toMatch(/archive/);
  });

  test('lines that are nested without end, strange columns, words for numbers, rows that point nowhere', async () => {
    const row = { id: 1, name: 'Mix', note: '', created_at: AT, deleted_at: null, key: null };
    const lines = (it: unknown): Zippable => ({
      'tables/mixes.jsonl': strToU8(`${typeof it === 'string' ? it : JSON.stringify(it)}\n`),
    });
    await refused(
      lines(`{"id":${'['.repeat(100_000)}`),
      new RegExp(`nested at most ${ARCHIVE_LIMITS.depth} deep`),
    );
    await refused(lines('[]'), /line 1 must be an object/);
    await refused(lines({ ...row, evil: 1 }), /evil must be one of/);
    await refused(lines({ ...row, id: 'x' }), /id must be a whole number/);
    await refused(lines({ ...row, id: 1.5 }), /id must be/);
    await refused(lines({ ...row, name: null }), /name must be given/);
    await refused(lines(row), /mixes.jsonl must be 0 lines, as its head has it/);
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
    await refused(
      {
        'tables/mix_versions.jsonl': strToU8(`${JSON.stringify(version)}\n`),
        'welcome.json': head({ tables: { ...tables, mix_versions: 1 } }),
      },
      /point to what is there/,
    );
  });

  test('heads of nothing, of another form, of a newer Welcome', async () => {
    await refused({ 'welcome.json': strToU8('{') }, /welcome.json must be an object/);
    await refused({ 'welcome.json': head({ format: 3 }) }, /format must be 1 or 2/);
    await refused({ 'welcome.json': head({ schema: 9999 }) }, /newer Welcome/);
    await refused({ 'tables/sqlite_master.jsonl': strToU8('') }, /a table of Welcome/);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});

describe('altered, swapped and strange', () => {
  let archive: Buffer;
  let db: Db;
  beforeAll(async () => {
    const made = await nursery();
    db = made.db;
    archive = await fetched(made.app, '/api/archive');
  });
  const rows = (file: string): string => {
    const it = new Database(file, { readonly: true });
    const result = JSON.stringify(all(it));
    it.close();
    return result;
  };
  /** What comes of an archive: its rows, or why it is refused. */
  const outcome = async (bytes: Uint8Array): Promise<string> => {
    const [to, from] = [path(), onDisk(bytes)];
    try {
      await unpack({ archive: from, to });
      return rows(to);
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
      expect(existsSync(to)).toBe(false);
      return 'refused';
    } finally {
      rmSync(to, { force: true });
      rmSync(from, { force: true });
    }
  };

  const FLIPS = draws(500);
  test(`${FLIPS} random flips, cuts, and swapped members and rows: all are refused, or hold the very same data`, async () => {
    const same = JSON.stringify(all(db));
    const files = unzipSync(archive);
    const named = Object.keys(files).filter((name) => /^(tables|pictures)\//.test(name));
    let refusals = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          { weight: 6, arbitrary: fc.record({ flip: fc.nat(8 * archive.length - 1) }) },
          {
            weight: 2,
            arbitrary: fc.record({ cut: fc.nat(archive.length - 1), of: fc.integer({ min: 1, max: 400 }) }),
          },
          {
            weight: 1,
            arbitrary: fc.record({ one: fc.nat(named.length - 1), other: fc.nat(named.length - 1) }),
          },
          {
            weight: 1,
            arbitrary: fc.record({ table: fc.nat(named.length - 1), a: fc.nat(400), b: fc.nat(400) }),
          },
        ),
        async (change) => {
          let bytes: Uint8Array;
          if ('flip' in change) {
            bytes = Buffer.from(archive);
            bytes[change.flip >> 3]! ^= 1 << (change.flip & 7);
          } else if ('cut' in change)
            bytes = Buffer.concat([
              archive.subarray(0, change.cut),
              archive.subarray(change.cut + change.of),
            ]);
          else if ('one' in change) {
            const [one, other] = [named[change.one]!, named[change.other]!];
            bytes = zipSync({ ...files, [one]: files[other]!, [other]: files[one]! }, { level: 0 });
          } else {
            const name = named[change.table]!;
            const lines = strFromU8(files[name]!, true).split('\n');
            const [a, b] = [change.a % lines.length, change.b % lines.length];
            [lines[a], lines[b]] = [lines[b]!, lines[a]!];
            bytes = zipSync({ ...files, [name]: strToU8(lines.join('\n'), true) }, { level: 0 });
          }
          const result = await outcome(bytes);
          if (result === 'refused') refusals++;
          expect(result === 'refused' || result === same).toBe(true);
        },
      ),
      { numRuns: FLIPS },
    );
    expect(refusals).toBeGreaterThan(0.6 * FLIPS);
    // Each makes a data file: half a minute where the disk is quick.
  }, 600_000);

  test('rows of right types that say nothing right are refused by row and field, and nothing is left', async () => {
    const files = unzipSync(archive);
    const head = JSON.parse(strFromU8(files['welcome.json']!)) as Head;
    const changed = async (
      table: string,
      change: (row: Record<string, unknown>) => object,
    ): Promise<string> => {
      const name = `tables/${table}.jsonl`;
      const [first, ...rest] = strFromU8(files[name]!).split('\n');
      const line = JSON.stringify({ ...JSON.parse(first!), ...change(JSON.parse(first!)) });
      const bytes = strToU8([line, ...rest].join('\n'));
      const sums = { ...head.sums, [name]: createHash('sha256').update(bytes).digest('hex') };
      const packed = { ...files, [name]: bytes, 'welcome.json': strToU8(JSON.stringify({ ...head, sums })) };
      const to = path();
      const said = await whyNot({ archive: onDisk(zipSync(packed)), to });
      expect([said, existsSync(to)]).toEqual([said, false]);
      return said;
    };
    expect(await changed('plantings', () => ({ row: {} }))).toMatch(/plantings, row 1, row\.start must be /);
    expect(await changed('mix_versions', () => ({ recipe: 5 }))).toMatch(/mix_versions, row 1, recipe/);
    expect(await changed('plant_events', () => ({ kind: 'eaten' }))).toMatch(
      /plant_events, row 1, kind must be/,
    );
    expect(
      await changed('plant_events', ({ data }) => ({ data: { ...(data as object), kind: 'eaten' } })),
    ).toMatch(/plant_events, row 1, data\.kind must be/);
    expect(await changed('batches', () => ({ snapshot: {} }))).toMatch(/batches, row 1/);
    expect(await changed('batches', () => ({ made_on: 'yesterday' }))).toMatch(
      /batches, row 1, made_on must be/,
    );
    expect(await changed('lots', () => ({ seed: { year: 'old' } }))).toMatch(/lots, row 1, seed/);
    expect(await changed('folder', () => ({ key: 'season', value: '{}' }))).toMatch(
      /folder, row season|UNIQUE/,
    );
    expect(await changed('season_lines', () => ({ row: [] }))).toMatch(/season_lines, row 1/);
  });

  test('how a foreign machine is open, and where its second copies go, does not come along', async () => {
    db.prepare(
      `INSERT OR REPLACE INTO folder VALUES ('sharing', 'plain'), ('second-place', '/elsewhere')`,
    ).run();
    const made = testApp(db);
    const away = await fetched(made.app, '/api/archive');
    const to = path();
    await unpack({ archive: onDisk(away), to });
    const other = new Database(to, { readonly: true });
    expect(other.prepare(`SELECT key FROM folder WHERE key IN ('sharing', 'second-place')`).all()).toEqual(
      [],
    );
    other.close();
    expect(
      Number(
        (await request(made.app).get('/api/archive').buffer(true).parse(binary)).headers['content-length'],
      ),
    ).toBeGreaterThan(1000);
  });

  test('an archive of before there were sums is taken', async () => {
    const files = unzipSync(archive);
    const { sums: _, ...head } = JSON.parse(strFromU8(files['welcome.json']!)) as Head;
    const old = { ...files, 'welcome.json': strToU8(JSON.stringify({ ...head, format: 1 })) };
    const to = path();
    await unpack({ archive: onDisk(zipSync(old)), to });
    expect(lookAt(to)).toMatchObject({ good: true });
  });

  // All of it is over 256 MB, more than one piece of memory of a buffer of before.
  const pictures = draws(15);
  test(`an archive of ${18 * pictures} MB of pictures goes out and comes back, a picture at a time`, async () => {
    const data = mkdtempSync(join(folder, 'large-'));
    const large = openDatabase(data);
    const first = testApp(large);
    seedDemo(large, TODAY);
    void first;
    const put = large.prepare(
      'INSERT INTO plant_pictures (key, planting_id, jpeg, width, height, at) VALUES (?, 1, ?, 9, 9, ?)',
    );
    for (let i = 0; i < pictures; i++) put.run(randomUUID(), Buffer.alloc(18e6, i + 1), AT);
    large.close();
    const [packed, to] = [join(data, 'packed.zip'), join(data, 'back.sqlite')];
    await pack({ file: join(data, 'welcome.sqlite'), at: AT, to: packed });
    expect(statSync(packed).size).toBeGreaterThan(17e6 * pictures);
    await unpack({ archive: packed, to });
    const back = new Database(to, { readonly: true });
    expect(back.prepare('SELECT COUNT(*), SUM(length(jpeg)) FROM plant_pictures').raw().get()).toEqual([
      pictures,
      pictures * 18e6,
    ]);
    back.close();
    rmSync(data, { recursive: true });
  }, 300_000);
});
