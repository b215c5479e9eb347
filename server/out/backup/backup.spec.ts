import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import { execFileSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { fault } from '#words/problem-facts';
import request from 'supertest';
import { OutOfRange } from '#core/units/check';
import { BackupFolder, backupsIn, backupFolder } from '#server/out/backup/backups';
import { lookAt } from '#server/out/backup/checked';
import { kept } from '#server/out/backup/keeping';
import { CANNOT_WRITE, rescueApp } from '#server/routes/rescue';
import { finishRestore, restoreInto } from '#server/out/backup/restore';
import { Folder } from '#server/base/database/folder';
import { openDatabase } from '#server/base/database/open';
import { problemOf } from '#server/base/http/problem';
import { draws, seeded } from '#testing/draws';
import { killFiles } from '#testing/kills-of-files';
import { serve, type Served } from '#testing/serve';
import { testApp } from '#testing/server';

let data: string;
const running: Served[] = [];
beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'welcome-backup-'));
});
afterEach(() => {
  for (const { process } of running.splice(0)) process.kill('SIGKILL');
  rmSync(data, { recursive: true, force: true });
});
const file = (): string => join(data, 'welcome.sqlite');
const start = async (demo = '0'): Promise<Served> => {
  const served = await serve(data, 0, { WELCOME_DEMO: demo, LOG_LEVEL: 'silent' });
  running.push(served);
  return served;
};
const stop = async ({ process }: Served, signal: NodeJS.Signals = 'SIGTERM'): Promise<void> => {
  const gone = new Promise((done) => process.once('exit', done));
  process.kill(signal);
  await gone;
};
const ask = async (
  at: Served,
  path: string,
  method = 'GET',
  body?: object,
): Promise<{ status: number; body: unknown }> => {
  const answer = await fetch(`${at.address}/api${path}`, {
    method,
    ...(method !== 'GET' && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body ?? {}),
    }),
  });
  const text = await answer.text();
  return { status: answer.status, body: text ? (JSON.parse(text) as unknown) : null };
};
interface Told {
  list: { name: string; why: string; counts: Record<string, number> }[];
  now: Record<string, number>;
  secondProblem: string;
}
const result = async (at: Served): Promise<Told> => (await ask(at, '/backups')).body as Told;
const lot = (at: Served, name: string) =>
  ask(at, '/lots', 'POST', { key: crypto.randomUUID(), item: 'loam', name, receivedOn: '2026-01-02' });
const lots = async (at: Served): Promise<string[]> =>
  ((await ask(at, '/lots')).body as { name: string }[]).map(({ name }) => name);

describe('the rule', () => {
  const at = (day: string): Date => new Date(`${day}T06:00:00Z`);

  test('seven days, five weeks, twelve months, by hand', () => {
    const days = Array.from({ length: 400 }, (_, i) => new Date(at('2031-03-04').getTime() - i * 86_400_000));
    const names = kept(days).map((d) => d.toISOString().slice(0, 10));
    expect(names.slice(0, 7)).toEqual([
      '2031-03-04',
      '2031-03-03',
      '2031-03-02',
      '2031-03-01',
      '2031-02-28',
      '2031-02-27',
      '2031-02-26',
    ]);
    // Sundays of the weeks before, and last days of the months.
    expect(names).toEqual(
      expect.arrayContaining(['2031-02-23', '2031-02-16', '2031-02-09', '2031-01-31', '2030-04-30']),
    );
    expect(names).not.toContain('2030-03-31');
  });

  test('the newest is always kept, and no more than the rule says, whenever they were made', () =>
    fc.assert(
      fc.property(
        fc.array(fc.date({ min: at('2028-01-01'), max: at('2032-01-01'), noInvalidDate: true }), {
          minLength: 1,
        }),
        (made) => {
          const keep = kept(made);
          const newest = Math.max(...made.map(Number));
          return (
            keep.length <= 24 &&
            keep.some((d) => d.getTime() === newest) &&
            keep.every((d) => made.includes(d))
          );
        },
      ),
    ));
});

test('made at the start and when asked, whole, with its counts; fetched as one file; a second place gets it too', async () => {
  const served = await start();
  await lot(served, 'Bale one');
  mkdirSync(join(data, 'other disk'));
  expect(
    (await ask(served, '/backups/second-place', 'PUT', { folder: join(data, 'other disk') })).status,
  ).toBe(204);
  expect((await ask(served, '/backups', 'POST')).status).toBe(204);
  const { list, now, secondProblem } = await result(served);
  expect(list.map(({ why }) => why)).toEqual(['asked', 'daily']);
  expect([list[0]!.counts, secondProblem]).toEqual([now, '']);
  expect(now['lots']).toBe(1);
  const place = backupFolder(data);
  expect(lookAt(join(place, list[0]!.name))).toMatchObject({ good: true, counts: now });
  expect(readFileSync(join(data, 'other disk', list[0]!.name))).toEqual(
    readFileSync(join(place, list[0]!.name)),
  );
  const fetched = await fetch(`${served.address}/api/backups/files/${list[0]!.name}`);
  expect(Buffer.from(await fetched.arrayBuffer()).equals(readFileSync(join(place, list[0]!.name)))).toBe(
    true,
  );
  // A path is no name.
  for (const name of ['..%2Fwelcome.sqlite', 'welcome.sqlite', 'nothing'])
    expect((await ask(served, `/backups/files/${name}`)).status).toBe(404);
  for (const folder of [join(file(), 'in a file'), '/proc/nowhere', 'here'])
    expect(await ask(served, '/backups/second-place', 'PUT', { folder })).toMatchObject({
      status: 400,
      body: { issues: [{ path: 'folder', value: folder }] },
    });
  // The disk is not in.
  rmSync(join(data, 'other disk'), { recursive: true });
  await ask(served, '/backups', 'POST');
  expect((await result(served)).secondProblem).not.toBe('');
});

test('put back from the page: the present is kept aside, the folder is another, and goes on at the same address', async () => {
  const served = await start();
  await lot(served, 'Before');
  await ask(served, '/backups', 'POST');
  const { list } = await result(served);
  await lot(served, 'After');
  const was = ((await ask(served, '/nursery')).body as { id: string }).id;
  const answer = await ask(served, '/backups/restore', 'POST', { name: list[0]!.name });
  expect(answer.status).toBe(200);
  expect(await lots(served)).toEqual(['Before']);
  expect(((await ask(served, '/nursery')).body as { id: string }).id).not.toBe(was);
  const { aside } = answer.body as { aside: string };
  expect(lookAt(join(aside, 'welcome.sqlite'))).toMatchObject({ good: true, id: was, counts: { lots: 2 } });
  expect((await lot(served, 'Anew')).status).toBe(201);
  expect((await ask(served, '/backups/restore', 'POST', { name: 'none' })).status).toBe(404);
});

test('from the command line on an empty machine, and nothing is changed by a file that is none', async () => {
  const served = await start();
  await lot(served, 'Bale one');
  await ask(served, '/backups', 'POST');
  const [backup] = backupsIn(backupFolder(data));
  await stop(served);
  const elsewhere = join(data, 'new machine');
  const run = (arg: string): string =>
    execFileSync(process.execPath, ['scripts/restore.mjs', arg], {
      env: { ...process.env, WELCOME_DATA: elsewhere },
      stdio: ['ignore', 'pipe', 'pipe'],
      encoding: 'utf8',
    });
  writeFileSync(join(data, 'letter.txt'), 'Dear grower');
  expect(() => run(join(data, 'letter.txt'))).toThrow(/Nothing was changed: it cannot be read/);
  expect(existsSync(join(elsewhere, 'welcome.sqlite'))).toBe(false);
  expect(run(join(backupFolder(data), backup!.name))).toMatch(/1 lot\.[\s\S]*It is in place/);
  const kept = data;
  data = elsewhere;
  const present = await start();
  expect(await lots(present)).toEqual(['Bale one']);
  // Put back once more: what came since is named before it is out of sight.
  await lot(present, 'Bale two');
  await stop(present);
  expect(run(join(backupFolder(kept), backup!.name))).toMatch(
    /It holds 1 lot\.\s+Not in it, and out of sight afterwards: 1 lot\.\s+It is in place in .* What was there is kept in /,
  );
  expect(await lots(await start())).toEqual(['Bale one']);
}, 60_000);

describe('damage is noticed, and nothing is filled in', () => {
  const damaged: [string, () => void, RegExp][] = [
    ['an empty file', () => truncateSync(file(), 0), /It is empty/],
    ['a truncated file', () => truncateSync(file(), 8192), /damaged|malformed/],
    [
      'a zeroed page',
      () => {
        const handle = openSync(file(), 'r+');
        for (let page = 1; page < 12; page++) writeSync(handle, Buffer.alloc(4096), 0, 4096, 4096 * page);
      },
      /damaged|malformed/,
    ],
    ['a letter in its place', () => writeFileSync(file(), 'Dear grower, '.repeat(900)), /not a database/],
  ];
  test.each(damaged)(
    '%s: a plain page offers the newest whole backup',
    async (_, harm, words) => {
      const first = await start();
      await lot(first, 'Bale one');
      await ask(first, '/backups', 'POST');
      await stop(first);
      harm();
      const before = readFileSync(file());
      const served = await start('1');
      expect((await ask(served, '/lots')).status).toBe(503);
      const page = await fetch(`${served.address}/today`);
      const html = await page.text();
      expect([page.status, html]).toEqual([503, expect.stringMatching(words)]);
      expect(html).toContain('1 lot');
      // Nothing was written over it.
      expect(readFileSync(file()).equals(before)).toBe(true);
      const { name } = backupsIn(backupFolder(data))[0]!;
      const post = (origin: string): Promise<Response> =>
        fetch(`${served.address}/rescue`, {
          method: 'POST',
          headers: { origin, 'content-type': 'application/x-www-form-urlencoded' },
          body: new URLSearchParams({ name }),
          redirect: 'manual',
        });
      expect((await post('http://elsewhere.example')).status).toBe(403);
      expect((await post(served.address)).status).toBe(303);
      expect(await lots(served)).toEqual(['Bale one']);
      const aside = readdirSync(data).find((each) => each.startsWith('aside-'))!;
      expect(readFileSync(join(data, aside, 'welcome.sqlite')).equals(before)).toBe(true);
    },
    30_000,
  );

  test('a stale journal of another file is not mixed in', () => {
    const [here, there] = [join(data, 'here'), join(data, 'there')];
    const db = openDatabase(here);
    db.prepare(`INSERT INTO folder VALUES ('note', 'from the journal')`).run();
    // As after a crash: the journal lies there, not yet in the file.
    const stale = readFileSync(join(here, 'welcome.sqlite-wal'));
    openDatabase(there).close();
    db.close();
    writeFileSync(join(here, 'welcome.sqlite-wal'), stale);
    const aside = restoreInto(here, join(there, 'welcome.sqlite'), new Date('2031-03-04'))!;
    expect(readdirSync(aside).sort()).toEqual(
      expect.arrayContaining(['welcome.sqlite', 'welcome.sqlite-wal']),
    );
    const now = openDatabase(here);
    expect(now.prepare(`SELECT value FROM folder WHERE key = 'note'`).get()).toBeUndefined();
    now.close();
  });

  test('what is put aside keeps its name, also where the folder is named from here', () => {
    openDatabase(join(data, 'other')).close();
    const here = `./${relative(process.cwd(), join(data, 'named'))}`;
    openDatabase(here).close();
    const aside = restoreInto(here, join(data, 'other', 'welcome.sqlite'), new Date('2031-03-04'))!;
    expect(readdirSync(aside)).toEqual(['welcome.sqlite']);
  });

  test('a restore cut short between its two steps is finished at the next start', () => {
    openDatabase(data).close();
    copyFileSync(file(), `${file()}.coming`);
    // The data file is there: it did not come about, and nothing of it stays.
    writeFileSync(`${file()}.coming-journal`, 'of a killed one');
    expect(finishRestore(data, new Date())).toBe(false);
    expect(readdirSync(data).filter((name) => name.includes('coming'))).toEqual([]);
    copyFileSync(file(), `${file()}.coming`);
    rmSync(file());
    expect(finishRestore(data, new Date())).toBe(true);
    expect(lookAt(file()).good).toBe(true);
  });

  test('a start that finds the folder taking nothing says that, and not that the file is broken', async () => {
    const said = async (cannotWrite: boolean): Promise<string> =>
      (
        await request(rescueApp(data, fault('fault.empty', none), () => Promise.resolve(null), cannotWrite))
          .get('/')
          .expect(503)
      ).text;
    expect(await said(true)).toMatch(/data folder takes nothing.*Make room on the disk/s);
    expect(await said(false)).toMatch(/data file cannot be read/);
    expect(await said(false)).not.toContain('Make room');
    for (const code of ['SQLITE_READONLY', 'SQLITE_FULL', 'SQLITE_CANTOPEN', 'EROFS', 'ENOSPC'])
      expect([code, CANNOT_WRITE.test(code)]).toEqual([code, true]);
    for (const code of ['SQLITE_CORRUPT', 'SQLITE_NOTADB', ''])
      expect([code, CANNOT_WRITE.test(code)]).toEqual([code, false]);
  });

  test('a full disk and a read-only folder say so, with what still works', async () => {
    const { app, db } = testApp();
    const put = () =>
      request(app)
        .post('/api/lots')
        .send({ key: crypto.randomUUID(), item: 'loam', name: 'x'.repeat(60), receivedOn: '2031-03-01' });
    db.pragma('query_only = ON');
    const read = await put();
    expect([read.status, read.body.detail]).toEqual([
      503,
      expect.stringMatching(/cannot be written.*nothing was saved.*look things up/),
    ]);
    db.pragma('query_only = OFF');
    db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true }) as number}`);
    let full = await put();
    for (let i = 0; i < 300 && full.status === 201; i++) full = await put();
    expect([full.status, full.body.detail]).toEqual([
      507,
      expect.stringMatching(/disk is full: nothing was saved/),
    ]);
    await request(app).get('/api/lots').expect(200);
  });
});

/** Of backups, restores and upgrades as many each. */
const KILLS = draws(18, 6);
test(`killed in the middle of backups, restores and upgrades, ${KILLS} times: each is whole, or did not come about`, async () => {
  const old = ['schema-1', 'schema-5', 'schema-16'].map((name) => `testing/folders/${name}.sqlite`);
  const tally = await killFiles(data, KILLS, old, seeded(20_310_304));
  expect(tally.wrong).toEqual([]);
  expect(tally).toMatchObject({
    backups: KILLS / 3,
    restores: expect.any(Number),
    upgrades: KILLS / 3,
  });
  expect(tally.looked).toBeGreaterThan(0);
}, 180_000);

describe('kept by their own rules', () => {
  /** Backups of a nursery whose clock can be set. */
  const backups = (): { it: BackupFolder; at: (moment: string) => void; names: () => string[] } => {
    const db = openDatabase(data);
    let now = '2031-03-04T06:00:00Z';
    const it = new BackupFolder(db, data, new Folder(db), () => new Date(now));
    const names = (): string[] => it.list().map(({ at, why }) => `${at.slice(0, 16)} ${why}`);
    return { it, at: (moment) => (now = moment), names };
  };

  test('those asked for stand beside the daily ones, the newest ten; nothing younger than a day goes', async () => {
    const { it, at, names } = backups();
    await it.daily();
    at('2031-03-04T07:00:00Z');
    await it.make('asked');
    expect(names()).toEqual(['2031-03-04T07:00 asked', '2031-03-04T06:00 daily']);
    expect(await it.daily()).toBeNull();
    for (let i = 10; i < 24; i++) {
      at(`2031-03-04T${i}:00:00Z`);
      await it.make('asked');
    }
    // Fifteen of today: all stay, since none is a day old.
    expect(names().filter((name) => name.endsWith('asked'))).toHaveLength(15);
    at('2031-03-06T07:00:00Z');
    await it.daily();
    expect(names().filter((name) => name.endsWith('asked'))).toHaveLength(10);
    expect(names().filter((name) => name.endsWith('daily'))).toHaveLength(2);
  });

  test('with the clock set back no new backup is the one that goes', async () => {
    const { it, at, names } = backups();
    for (let day = 1; day < 28; day++) {
      at(`2031-03-${String(day).padStart(2, '0')}T06:00:00Z`);
      await it.daily();
    }
    at('2019-01-01T06:00:00Z');
    const made = await it.make('daily');
    expect(names()).toContain('2019-01-01T06:00 daily');
    expect(lookAt(join(backupFolder(data), made.name))).toMatchObject({ good: true });
    expect(await it.daily()).toBeNull();
  });

  test('who asks while one is under way gets one that holds what was entered by then', async () => {
    const { it } = backups();
    const first = it.make('daily');
    const second = await it.make('asked');
    expect([(await first).why, second.why]).toEqual(['daily', 'asked']);
  });
});

test('a backup that was changed by hand, whole as it is, is refused with what it is and should be', async () => {
  const served = await start();
  await lot(served, 'Bale one');
  await ask(served, '/backups', 'POST');
  const { name } = (await result(served)).list[0]!;
  const path = join(backupFolder(data), name);
  const db = new Database(path);
  db.exec(`UPDATE lots SET name = 'Bale two'`);
  db.close();
  const answer = await ask(served, '/backups/restore', 'POST', { name });
  expect(answer).toMatchObject({
    status: 409,
    body: { detail: expect.stringMatching(/SHA-256 is [0-9a-f]{64}, and should be [0-9a-f]{64}/) },
  });
  expect(await lots(served)).toEqual(['Bale one']);
  await stop(served);
  truncateSync(file(), 0);
  const page = await (await fetch(`${(await start()).address}/today`)).text();
  expect(page).not.toContain(name);
}, 60_000);

test('a data file that is missing while backups of it are there is a lost one: nothing is filled in', async () => {
  const first = await start('1');
  await lot(first, 'Bale one');
  await ask(first, '/backups', 'POST');
  await stop(first);
  for (const end of ['', '-wal', '-shm']) rmSync(`${file()}${end}`, { force: true });
  const served = await start('1');
  const page = await fetch(`${served.address}/today`);
  expect([page.status, await page.text()]).toEqual([
    503,
    expect.stringContaining('It is missing, and there are backups of it'),
  ]);
  expect(existsSync(file())).toBe(false);
  const { name } = backupsIn(backupFolder(data))[0]!;
  await fetch(`${served.address}/rescue`, {
    method: 'POST',
    headers: { origin: served.address, 'content-type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams({ name }),
    redirect: 'manual',
  });
  expect(await lots(served)).toContain('Bale one');
}, 60_000);

test('what is kept is read and written by this user alone', async () => {
  const served = await start();
  await ask(served, '/backups', 'POST');
  const modes = (path: string): number => statSync(path).mode & 0o777;
  expect([modes(data), modes(backupFolder(data))]).toEqual([0o700, 0o700]);
  const files = [file(), ...readdirSync(backupFolder(data)).map((name) => join(backupFolder(data), name))];
  for (const path of files) expect([path, modes(path)]).toEqual([path, 0o600]);
});

test('what the system says of a disk becomes words, from a thread beside the server too', () => {
  for (const [code, status] of [
    ['ENOSPC', 507],
    ['EDQUOT', 507],
    ['SQLITE_FULL', 507],
    ['EROFS', 503],
    ['EACCES', 503],
  ] as const)
    expect([code, problemOf(Object.assign(new Error(code), { code })).status]).toEqual([code, status]);
  // A slip in the code is no fault of who asked.
  expect(problemOf(new RangeError('Invalid time value')).status).toBe(500);
  expect(problemOf(new RangeError('Maximum call stack size exceeded')).status).toBe(500);
  expect(problemOf(new OutOfRange('depthMm', 7, allow('allowed.number', { low: 10, high: 20 }))).status).toBe(
    400,
  );
});

test('two who put a backup back at the same moment do not get in each other’s way', async () => {
  const served = await start();
  await lot(served, 'Bale one');
  await ask(served, '/backups', 'POST');
  const { name } = (await result(served)).list[0]!;
  const restore = (): Promise<number> =>
    ask(served, '/backups/restore', 'POST', { name }).then(
      ({ status }) => status,
      // Cut off with all that hung on the old folder.
      () => 0,
    );
  const answers = await Promise.all([restore(), restore()]);
  expect(answers).toContain(200);
  for (const status of answers) expect([0, 200, 409]).toContain(status);
  expect(await lots(served)).toEqual(['Bale one']);
}, 60_000);
