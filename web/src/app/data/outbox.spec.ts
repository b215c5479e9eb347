import { type HttpTestingController, type TestRequest } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Subject, throwError } from 'rxjs';
import { MemoryOutbox } from '#testing/memory-outbox';
import { bench } from '#testing/page';
import { ApiClient } from './api';
import { FolderHere } from './folder-here';
import { Notices } from './notices';
import { Outbox } from './outbox';
import { OUTBOX_STORE } from './outbox-store';

const [HERE, OTHER] = ['a'.repeat(32), 'b'.repeat(32)];
const BASIL = { id: 29, key: 'c0ffee00-0000-4000-8000-000000000029', name: 'Basil' };
const on = '2031-03-04';
const url = '/api/plants/29/events';
let device: MemoryOutbox;
let http: HttpTestingController;
let outbox: Outbox;
const settle = async (): Promise<void> => {
  for (let i = 0; i < 40; i++) await Promise.resolve();
};
async function openPage(folder = HERE): Promise<void> {
  TestBed.resetTestingModule();
  const kept = Object.entries({ ...sessionStorage }) as [string, string][];
  http = bench([{ provide: OUTBOX_STORE, useValue: device }]);
  for (const [name, value] of kept) sessionStorage.setItem(name, value);
  outbox = TestBed.inject(Outbox);
  http.expectOne('/api/nursery').flush({ id: folder, timeZone: 'UTC', today: on });
  await settle();
}
const lose = (count: number): string => outbox.enterEvent(BASIL, { kind: 'lost', on, count, cause: 'cold' });
const refuse = async (
  sent: TestRequest,
  status: number,
  headers: Record<string, string> = {},
): Promise<void> => {
  sent.flush({ detail: `status ${status}` }, { status, statusText: 'x', headers });
  await settle();
};
const take = async (sent: TestRequest, id: number): Promise<void> => {
  const { event } = sent.request.body as { event: object };
  sent.flush({ id, at: `${on}T10:00:00Z`, event }, { status: 201, statusText: 'Created' });
  await settle();
};
const later = async (ms: number): Promise<void> => {
  jest.advanceTimersByTime(ms);
  await settle();
};

beforeEach(async () => {
  jest.useFakeTimers();
  sessionStorage.clear();
  localStorage.clear();
  device = new MemoryOutbox();
  await openPage();
});
afterEach(() => jest.useRealTimers());

describe('after a restore', () => {
  test('what was written before waits for its person, is seen, and is entered here under the number that it has here', async () => {
    lose(25);
    await settle();
    const first = http.expectOne(url);
    expect(first.request.headers.get('welcome-folder')).toBe(HERE);
    first.error(new ProgressEvent('error'));
    await settle();
    // The page is closed and opened again; meanwhile a backup was put back.
    await openPage(OTHER);
    http.expectNone(url);
    expect([outbox.waiting(), outbox.undecided().length]).toEqual([0, 1]);
    const { key } = outbox.undecided()[0]!;
    const entering = outbox.enterHere(key);
    http.expectOne(`/api/where/planting/${BASIL.key}`).flush({ id: 31, name: 'basil' });
    await settle();
    expect(await entering).toBe(true);
    await settle();
    const sent = http.expectOne('/api/plants/31/events');
    expect(sent.request.body).toMatchObject({ key, event: { kind: 'lost', count: 25 } });
    expect([sent.request.headers.get('welcome-folder'), sent.request.headers.get('welcome-about')]).toEqual([
      OTHER,
      `planting 31 ${BASIL.key}`,
    ]);
    await take(sent, 7);
    expect(device.items.size).toBe(0);
  });

  test('what it is about is not there: it stays, and can be discarded', async () => {
    lose(25);
    await settle();
    http.expectOne(url).error(new ProgressEvent('error'));
    await openPage(OTHER);
    const { key } = outbox.undecided()[0]!;
    const entering = outbox.enterHere(key);
    await refuse(http.expectOne(`/api/where/planting/${BASIL.key}`), 404);
    expect(await entering).toBe(false);
    expect(outbox.undecided()).toHaveLength(1);
    outbox.drop(key);
    await settle();
    expect(device.items.size).toBe(0);
  });

  test('a page that was open all along is refused by the server, keeps the entry, and says that it shows what was before', async () => {
    lose(25);
    await settle();
    const issues = [{ path: 'welcome-folder', value: HERE, allowed: OTHER }];
    http.expectOne(url).flush({ detail: 'another', issues }, { status: 412, statusText: 'x' });
    await settle();
    expect([outbox.waiting(), outbox.undecided()[0]!.state]).toEqual([0, 'elsewhere']);
    expect(TestBed.inject(FolderHere).changed()).toBe(false);
    // Whatever else it sends bears the folder that it shows.
    TestBed.inject(ApiClient)
      .call('putAwayPlanting', { params: { id: 29 } })
      .subscribe({ error: () => undefined });
    const away = http.expectOne('/api/plants/29');
    expect(away.request.headers.get('welcome-folder')).toBe(HERE);
    away.flush({ detail: 'another', issues }, { status: 412, statusText: 'x' });
    expect(TestBed.inject(FolderHere).changed()).toBe(true);
  });
});

describe('what the server says', () => {
  test('too often: all wait as long as it asks, then go on', async () => {
    lose(1);
    lose(2);
    await settle();
    await refuse(http.expectOne(url), 429, { 'retry-after': '40' });
    await later(39_000);
    http.expectNone(url);
    await later(1500);
    await take(http.expectOne(url), 1);
    await take(http.expectOne(url), 2);
    expect([device.items.size, outbox.undecided()]).toEqual([0, []]);
  });

  test('not now: it is asked ever later, a minute at most, and nobody is asked to decide', async () => {
    lose(1);
    await settle();
    const waits: number[] = [];
    for (let i = 0; i < 7; i++) {
      await refuse(http.expectOne(url), 503);
      let waited = 0;
      while (http.match(() => false).length === 0 && waited < 70_000) {
        await later(500);
        waited += 500;
        const [sent] = http.match(url);
        if (!sent) continue;
        waits.push(waited);
        await refuse(sent, 503);
        break;
      }
      await later(60_000);
    }
    expect(waits[0]).toBeLessThanOrEqual(3500);
    expect(Math.max(...waits)).toBeLessThanOrEqual(60_500);
    expect([outbox.undecided(), device.items.size]).toEqual([[], 1]);
  });

  test('it broke on one: after five times that one is set aside and shown, and the others go on', async () => {
    lose(1);
    lose(2);
    await settle();
    for (let i = 0; i < 5; i++) {
      await refuse(http.expectOne(url), 500);
      if (i < 4) await later(60_000);
    }
    expect(outbox.undecided().map(({ state, why }) => [state, why])).toEqual([['stuck', 'status 500']]);
    await take(http.expectOne(url), 2);
    expect([outbox.waiting(), device.items.size]).toEqual([0, 1]);
    outbox.again(outbox.undecided()[0]!.key);
    await settle();
    await take(http.expectOne(url), 3);
    expect(device.items.size).toBe(0);
  });

  test('this device is not known: it is to be paired, and everything stays until it is', async () => {
    lose(1);
    await settle();
    await refuse(http.expectOne(url), 401);
    expect([outbox.unpaired(), outbox.waiting(), outbox.undecided()]).toEqual([true, 1, []]);
    await later(61_000);
    await take(http.expectOne(url), 1);
    expect([outbox.unpaired(), device.items.size]).toEqual([false, 0]);
  });

  test('a clock that was ahead: the entry is put under today', async () => {
    const key = outbox.enterEvent(BASIL, { kind: 'lost', on: '2031-03-05', count: 1, cause: 'cold' });
    await settle();
    await refuse(http.expectOne(url), 400);
    expect(outbox.undecided()[0]!.state).toBe('refused');
    outbox.onDay(key, on);
    await settle();
    const sent = http.expectOne(url);
    expect(sent.request.body).toMatchObject({ key, event: { on } });
    await take(sent, 1);
  });
});

test('a thousand entries of one device arrive, through answers of too often', async () => {
  for (let i = 0; i < 1000; i++) lose(1);
  await settle();
  const keys = new Set<string>();
  for (let i = 0; i < 3000 && device.items.size > 0; i++) {
    const [sent] = http.match(url);
    if (!sent) await later(3000);
    else if (i % 97 === 0) await refuse(sent, 429, { 'retry-after': '2' });
    else {
      keys.add((sent.request.body as { key: string }).key);
      await take(sent, i + 1);
    }
  }
  expect([keys.size, device.items.size, outbox.undecided()]).toEqual([1000, 0, []]);
}, 60_000);

test('a reload while something is being made: the same form sent again makes it once', async () => {
  const body = { name: 'Pail', litres: 5 };
  const key = (): string => (http.expectOne('/api/measures').request.body as { key: string }).key;
  TestBed.inject(ApiClient).create('keepMeasure', { body }).subscribe();
  const first = key();
  await openPage();
  TestBed.inject(ApiClient).create('keepMeasure', { body }).subscribe();
  expect(key()).toBe(first);
  TestBed.inject(ApiClient)
    .create('keepMeasure', { body: { ...body, litres: 6 } })
    .subscribe();
  expect(key()).not.toBe(first);
});

test('an undo always has an answer, and can be tried again where it failed', () => {
  const notices = TestBed.inject(Notices);
  const worked = new Subject<void>();
  let tries = 0;
  notices.undoable('It is archived.', () => {
    tries++;
    return tries === 1 ? throwError(() => new Error('nobody answers')) : worked;
  });
  notices.undo();
  expect(notices.current()!.text).toBe('Not undone: nobody answers');
  notices.undo();
  worked.complete();
  expect([tries, notices.current()!.text, notices.current()!.undo]).toEqual([2, 'Undone.', undefined]);
});
