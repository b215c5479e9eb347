import { randomUUID, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { type RequestListener } from 'node:http';
import { createServer, get } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type PeerCertificate, type TLSSocket } from 'node:tls';
import { type Request } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { type EndpointName, routes } from '#contract/routes';
import { authorityFile, certify, sealed } from '#server/base/security/authority';
import { door } from '#server/out/door/door';
import { Pairing } from '#server/base/security/pairing';
import { Sharing } from '#server/out/door/sharing';
import { DeviceStore } from '#server/kept/devices';
import { addressFor } from '#server/base/http/address-for';
import { restoreInto } from '#server/out/backup/restore';
import { openDatabase } from '#server/base/database/open';
import { jpegOf } from '#testing/jpeg';
import { newBatch, testApp } from '#testing/server';

let data: string;
const opened: Sharing[] = [];
const sharing = (at: string, port: number, listener: RequestListener): Sharing => {
  const each = new Sharing({ data: at, port, now: () => new Date(), machineNow: () => new Date(), listener });
  opened.push(each);
  return each;
};
beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'welcome-door-'));
});
afterEach(async () => {
  for (const each of opened.splice(0)) await each.shut();
  rmSync(data, { recursive: true, force: true });
});

/** A nursery with its door, and a clock that can be moved. */
function nursery() {
  let now = Date.parse('2031-03-04T08:00:00Z');
  const { app, db } = testApp();
  const devices = new DeviceStore(db);
  const pairing = new Pairing(() => new Date(now));
  const open = door({
    ...{ data, now: () => new Date(now), names: () => ['192.0.2.7'] },
    ...{ pairing: () => pairing, devices: () => devices, answers: () => undefined, inside: app },
  });
  return { open, devices, pairing, db, later: (ms: number) => (now += ms) };
}
type Nursery = ReturnType<typeof nursery>;
const code = ({ pairing }: Nursery): string => {
  pairing.make();
  return pairing.waiting!.text;
};
const pair = (it: Nursery, given: string, name = 'Phone') =>
  request(it.open).post('/pair').type('form').send({ code: given, name });
const cookieOf = (res: { headers: Record<string, unknown> }): string =>
  (res.headers['set-cookie'] as string[])[0]!.split(';')[0]!;

describe('nobody comes in without a token', () => {
  test('every endpoint answers 401, pages lead to pairing, and nothing is told', async () => {
    const it = nursery();
    for (const name of Object.keys(routes) as EndpointName[]) {
      const [method, path] = routes[name];
      const to = `/api${path.replace(/:\w+/g, '1')}`;
      for (const cookie of ['', 'welcome-device=x', `welcome-device=${'A'.repeat(43)}`]) {
        const asked = request(it.open)[method.toLowerCase() as 'get'](to).set('cookie', cookie);
        const answer = await asked;
        expect([name, answer.status]).toEqual([name, 401]);
      }
    }
    for (const page of ['/', '/mix', '/batches/1/run', '/main.js'])
      expect((await request(it.open).get(page).set('accept', 'text/html')).headers['location']).toBe('/pair');
    const shown = (await request(it.open).get('/pair').expect(200)).text;
    expect(shown).toContain('not known here yet');
    // Names of machines and devices, keys and codes stay inside.
    expect(shown).not.toMatch(/welcome\.sqlite|192\.0/);
  }, 30_000);

  test('paired it is in; its name can be changed; taken away it is out at once', async () => {
    const it = nursery();
    const done = await pair(it, code(it).toLowerCase()).expect(303);
    expect((done.headers['set-cookie'] as unknown as string[])[0]).toMatch(/HttpOnly; SameSite=Lax/);
    const cookie = cookieOf(done);
    await request(it.open).get('/api/nursery').set('cookie', cookie).expect(200);
    expect((await request(it.open).get('/pair').set('cookie', cookie)).headers['location']).toBe('/');
    const { id } = it.devices.all()[0]!;
    expect(it.devices.rename(id, 'Bench phone')).toBe(true);
    // The token itself is nowhere in the file.
    const token = cookie.split('=')[1]!;
    expect(JSON.stringify(it.db.prepare('SELECT * FROM devices').all())).not.toContain(token);
    it.devices.takeAway(id);
    await request(it.open).get('/api/nursery').set('cookie', cookie).expect(401);
  });

  test('a code is for one device and ten minutes; wrong tries of a stranger do not void it', async () => {
    const it = nursery();
    const first = code(it);
    await pair(it, first).expect(303);
    expect((await pair(it, first).expect(403)).text).toContain('not the one, or its time is over');
    const second = code(it);
    it.later(10 * 60_000);
    await pair(it, second).expect(403);
    const third = code(it);
    for (let i = 0; i < 9; i++) expect(it.pairing.take('AAAAAAAAAA')).toBe(false);
    expect([third.length, it.pairing.take(third), it.pairing.take(third)]).toEqual([10, true, false]);
  });

  test('guessing is bounded: ten tries in ten minutes from one address, whatever the code', async () => {
    const it = nursery();
    const tried: number[] = [];
    for (let i = 0; i < 14; i++) {
      it.pairing.make();
      tried.push((await pair(it, `WRONG${i}`)).status);
    }
    expect(tried).toEqual([...Array<number>(10).fill(403), ...Array<number>(4).fill(429)]);
    // 30⁸ codes, ten tries in ten minutes: all of them take more than a million years.
    expect((30 ** 8 / 10) * 10).toBeGreaterThan(1e6 * 365 * 24 * 60);
  });

  test('without a name nothing is used up, and what was typed stays', async () => {
    const it = nursery();
    const given = code(it);
    const asked = await pair(it, given, ' ').expect(400);
    expect(asked.text).toContain(`value="${given}"`);
    await pair(it, given, 'Phone').expect(303);
  });

  test('a name cannot carry anything into the page', async () => {
    const it = nursery();
    const { text } = await pair(it, '"><script>x</script>', '"><img src=x>');
    expect(text).not.toMatch(/<script>x|<img/);
  });
});

describe('pages of elsewhere', () => {
  test('neither by a name of theirs nor by a form can they read or write', async () => {
    const it = nursery();
    const cookie = cookieOf(await pair(it, code(it)));
    const inside = (host: string) => request(it.open).get('/api/nursery').set({ host, cookie });
    await inside('evil.example').expect(421);
    await inside('192.0.2.7:4181').expect(200);
    const write = (origin: string) =>
      request(it.open)
        .post('/api/measures')
        .set({ host: '192.0.2.7', cookie, origin })
        .send({ key: randomUUID(), name: 'Pail', litres: 5 });
    await write('https://evil.example').expect(403);
    await request(it.open)
      .post('/pair')
      .set({ host: '192.0.2.7', origin: 'https://evil.example' })
      .expect(403);
    await write('http://192.0.2.7').expect(201);
  });
});

test('what touches the machine itself is done there, not by a device', async () => {
  const it = nursery();
  const cookie = cookieOf(await pair(it, code(it)));
  const asked: [EndpointName, string][] = [
    ...([
      ['sharing', '/sharing'],
      ['setSharing', '/sharing'],
      ['pairDevice', '/sharing/code'],
    ] as const),
    ...([
      ['renameDevice', '/devices/1'],
      ['takeAwayDevice', '/devices/1'],
    ] as const),
    ...([
      ['restoreBackup', '/backups/restore'],
      ['setSecondPlace', '/backups/second-place'],
    ] as const),
  ].map(([name, path]) => [name, path]);
  for (const [name, path] of asked) {
    const method = routes[name][0].toLowerCase() as 'get' | 'put' | 'post' | 'delete';
    const sent = request(it.open)[method](`/api${path}`).set('cookie', cookie);
    const answer = await (method === 'get' ? sent : sent.send({}));
    expect([name, answer.status]).toEqual([name, 403]);
  }
});

test('codes of papers lead to where a phone finds them while the door is open, else to where they were asked for', () => {
  const asked = (reach?: string): string =>
    addressFor(
      {
        app: { locals: { reach: () => reach } },
        protocol: 'http',
        get: () => '127.0.0.1:4180',
      } as unknown as Request,
      '/batches/3',
    );
  expect(asked('https://192.0.2.7:4181')).toBe('https://192.0.2.7:4181/batches/3');
  expect(asked()).toBe('http://127.0.0.1:4180/batches/3');
});

test('what is logged of a request that broke holds neither the token of a device nor what it sent', async () => {
  const lines: string[] = [];
  const log = pino({ level: 'warn' }, { write: (line: string) => void lines.push(line) });
  const { app, db } = testApp(undefined, undefined, true, log);
  db.exec('DROP TABLE measures');
  await request(app)
    .post('/api/measures')
    .set('cookie', 'welcome-device=secret-token')
    .send({ key: randomUUID(), name: 'Secret pail', litres: 5 })
    .expect(500);
  expect(lines.join('')).toContain('/api/measures');
  expect(lines.join('')).not.toMatch(/secret-token|Secret pail/);
});

test('a restore lets nobody in who was taken away since: devices are paired anew', () => {
  const db = openDatabase(data);
  new DeviceStore(db).add('Lost phone', new Date());
  db.close();
  const to = join(data, 'other');
  restoreInto(to, join(data, 'welcome.sqlite'), new Date());
  const restored = openDatabase(to);
  expect(new DeviceStore(restored).all()).toEqual([]);
  restored.close();
});

describe('the certificate', () => {
  const now = new Date();

  test('the nursery’s own authority vouches for every name of the machine, and its keys are this user’s alone', () => {
    const made = sealed(data, ['10.0.2.7', 'shed.local'], now);
    const [authority, server] = [
      new X509Certificate(readFileSync(authorityFile(data))),
      new X509Certificate(made.cert),
    ];
    expect([authority.ca, server.ca]).toEqual([true, false]);
    expect([server.verify(authority.publicKey), server.checkIssued(authority)]).toEqual([true, true]);
    expect([server.checkIP('10.0.2.7'), server.checkHost('shed.local')]).toEqual(['10.0.2.7', 'shed.local']);
    expect(server.checkHost('evil.example')).toBeUndefined();
    // Phones take none that lives longer than 398 days (CA/Browser Forum, Baseline Requirements 6.3.2).
    expect((Date.parse(server.validTo) - Date.parse(server.validFrom)) / 86_400_000).toBeLessThanOrEqual(398);
    for (const name of ['authority.key', 'server.key'])
      expect(statSync(join(data, 'network', name)).mode & 0o777).toBe(0o600);
  });

  test('it is made anew for new names and when its time runs out, under the same authority', () => {
    const first = sealed(data, ['10.0.2.7'], now);
    expect(sealed(data, ['10.0.2.7'], now)).toEqual(first);
    const moved = sealed(data, ['10.0.2.8'], now);
    expect(moved.cert).not.toBe(first.cert);
    const later = sealed(data, ['10.0.2.8'], new Date(now.getTime() + 370 * 86_400_000));
    expect(later.cert).not.toBe(moved.cert);
    const authority = new X509Certificate(readFileSync(authorityFile(data)));
    expect(new X509Certificate(later.cert).verify(authority.publicKey)).toBe(true);
  });

  test('who trusts the authority is served; another authority is not believed', async () => {
    const share = sharing(data, 0, (_req, res) => res.end('in'));
    await share.set('sealed');
    expect([share.isOpen, share.problem]).toEqual([true, '']);
    const { port } = share['server']!.address() as { port: number };
    const ca = readFileSync(authorityFile(data), 'utf8');
    const ask = (trusted: string): Promise<PeerCertificate> =>
      new Promise((done, failed) => {
        get({ host: '127.0.0.1', port, ca: trusted, agent: false }, (res) => {
          done((res.socket as TLSSocket).getPeerCertificate());
          res.resume();
        }).on('error', failed);
      });
    expect((await ask(ca)).subject.CN).toBe('Welcome');
    const other = mkdtempSync(join(tmpdir(), 'welcome-other-'));
    sealed(other, ['127.0.0.1'], now);
    await expect(ask(readFileSync(authorityFile(other), 'utf8'))).rejects.toThrow(
      /unable to verify|signature|issuer|self-signed/i,
    );
    rmSync(other, { recursive: true });
  });

  test('its key is believed for private addresses and names of the local network alone, by Node’s own TLS', async () => {
    sealed(data, ['127.0.0.1', 'localhost'], now);
    const [key, cert] = ['authority.key', 'authority.crt'].map((name) =>
      readFileSync(join(data, 'network', name), 'utf8'),
    );
    const authority = { key: key!, cert: cert! };
    const asked = (names: string[], servername: string, host = '127.0.0.1'): Promise<string> =>
      new Promise((done) => {
        const server = createServer(certify(authority, names, now), (_req, res) => res.end('in'));
        server.listen(0, '127.0.0.1', () => {
          const { port } = server.address() as { port: number };
          const options = { host, port, ca: authority.cert, agent: false, servername };
          const finish = (said: string): void => void server.close(() => done(said));
          get({ ...options, headers: { connection: 'close' } }, (res) => {
            res.resume();
            res.on('end', () => finish('in'));
          }).on('error', (error) => finish(error.message));
        });
      });
    expect(await asked(['127.0.0.1', 'localhost'], '')).toBe('in');
    expect(await asked(['shed.local', 'localhost'], 'shed.local')).toBe('in');
    // Whoever had the key could sign for a bank: nobody would believe it.
    for (const names of [
      ['bank.example', 'localhost'],
      ['93.184.216.34', 'localhost', '127.0.0.1'],
    ])
      expect(await asked(names, names[0] === 'bank.example' ? 'bank.example' : '')).toMatch(
        /permitted subtree violation/,
      );
  });

  test('addresses that come up while the door is open are covered, under the same authority', async () => {
    let names = ['127.0.0.1', 'localhost'];
    const share = new Sharing({
      ...{ data, port: 0, now: () => now, machineNow: () => now, sealEveryMs: 20, names: () => names },
      listener: (_req, res) => res.end('in'),
    });
    opened.push(share);
    await share.set('sealed');
    const { port } = share['server']!.address() as { port: number };
    const { fingerprint } = await share.answer(new DeviceStore(openDatabase(':memory:')));
    expect(fingerprint).toBe(new X509Certificate(readFileSync(authorityFile(data))).fingerprint256);
    const shown = (): Promise<string> =>
      new Promise((done, failed) => {
        get(
          { host: '127.0.0.1', port, ca: readFileSync(authorityFile(data), 'utf8'), agent: false },
          (res) => {
            done((res.socket as TLSSocket).getPeerCertificate().subjectaltname ?? '');
            res.resume();
          },
        ).on('error', failed);
      });
    expect(await shown()).not.toContain('10.9.8.7');
    names = [...names, '10.9.8.7', '93.184.216.34'];
    let said = '';
    for (let i = 0; i < 100 && !said.includes('10.9.8.7'); i++) {
      await new Promise((done) => setTimeout(done, 50));
      said = await shown();
    }
    expect(said).toContain('10.9.8.7');
    // One in the open is not its business.
    expect(said).not.toContain('93.184');
  });

  test('a port that is taken is said in words', async () => {
    const each = sharing(data, 0, () => undefined);
    await each.set('plain');
    const { port } = each['server']!.address() as { port: number };
    const two = sharing(data, port, () => undefined);
    await two.set('plain');
    expect([two.isOpen, two.problem]).toEqual([false, expect.stringContaining('WELCOME_SHARE_PORT')]);
  });

  test('names that are addresses and names that are words stand as what they are', () => {
    sealed(data, ['10.0.2.7'], now);
    const authority = {
      key: readFileSync(join(data, 'network', 'authority.key'), 'utf8'),
      cert: readFileSync(authorityFile(data), 'utf8'),
    };
    expect(new X509Certificate(certify(authority, ['10.0.0.1', 'shed'], now).cert).subjectAltName).toBe(
      'IP Address:10.0.0.1, DNS:shed',
    );
  });
});

test('leave taken away ends the open streams of that device at once, and no other’s', async () => {
  const { app, db } = testApp();
  const devices = new DeviceStore(db);
  const share: Sharing = new Sharing({
    ...{ data, port: 0, now: () => new Date(), machineNow: () => new Date() },
    listener: door({
      ...{ data, now: () => new Date(), names: () => ['127.0.0.1'], pairing: () => share.pairing },
      ...{ devices: () => devices, answers: (id, res) => share.answers(id, res), inside: app },
    }),
  });
  opened.push(share);
  await share.set('plain');
  const { port } = share['server']!.address() as { port: number };
  const { body } = await request(app).post('/api/batches').send(newBatch()).expect(201);
  const listen = async (name: string): Promise<Promise<string>[]> => {
    const cookie = `welcome-device=${devices.add(name, new Date())}`;
    const res = await fetch(`http://127.0.0.1:${port}/api/batches/${body.id}/stream`, {
      headers: { cookie },
    });
    const reader = res.body!.getReader();
    await reader.read();
    const end = async (): Promise<string> => {
      try {
        while (!(await reader.read()).done);
        return 'ended';
      } catch {
        return 'ended';
      }
    };
    return [end()];
  };
  const [lost, kept] = [await listen('Lost phone'), await listen('Bench phone')];
  const [first] = devices.all();
  devices.takeAway(first!.id);
  share.end(first!.id);
  const later = new Promise<string>((done) => setTimeout(() => done('still open'), 500));
  expect(await Promise.race([lost[0]!, later])).toBe('ended');
  expect(await Promise.race([kept[0]!, later])).toBe('still open');
}, 20_000);

test('so many connections from one address and no more; one that says nothing is shut out', async () => {
  const share = sharing(data, 0, (_req, res) => res.end('in'));
  await share.set('plain');
  const { port } = share['server']!.address() as { port: number };
  const sockets = Array.from({ length: 80 }, () => connect(port, '127.0.0.1').on('error', () => undefined));
  const closed = (): number => sockets.filter((socket) => socket.destroyed || socket.closed).length;
  for (const socket of sockets) socket.resume();
  for (let i = 0; i < 100 && closed() < 16; i++) await new Promise((done) => setTimeout(done, 30));
  expect(closed()).toBe(16);
  // Those that stay silent go after fifteen seconds: whoever comes then is let in.
  for (let i = 0; i < 240 && closed() < 80; i++) await new Promise((done) => setTimeout(done, 100));
  expect(closed()).toBe(80);
  expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toBe('in');
}, 40_000);

test('a picture that went through the door stays nowhere: after leave was taken away it is asked for again, and refused', async () => {
  const it = nursery();
  const planting = { key: randomUUID(), start: 'pot', crop: 'basil', vessel: 'pot-9', cells: 4 };
  const inside = request(it.open);
  const cookie = cookieOf(await pair(it, code(it)));
  const send = (path: string, body: object) => inside.post(path).set('cookie', cookie).send(body).expect(201);
  await send('/api/plants', { ...planting, on: '2031-03-01' });
  const { body } = await send('/api/plants/1/pictures', {
    ...{ key: randomUUID(), on: '2031-03-01', jpeg: jpegOf(64, 48) },
  });
  const picture = `/api/pictures/${body.event.picture}`;
  const shown = await inside.get(picture).set('cookie', cookie).expect(200);
  expect(shown.headers['cache-control']).toBe('no-store');
  it.devices.takeAway(it.devices.all()[0]!.id);
  await inside.get(picture).set('cookie', cookie).expect(401);
});
