import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type EntryData } from '#contract/record';
import { MemoryOutbox } from '#testing/memory-outbox';
import { bench, FakeSource } from '#testing/page';
import { Outbox } from './outbox';
import { OUTBOX_STORE, type Waiting } from './outbox-store';
import { BatchRecord, type Entry } from './record';

const tick = (step: string, done = true): EntryData => ({ kind: 'tick', step, load: 0, done });
const entry = (id: number, data: EntryData, key = `k${id}`): Entry => ({
  id,
  batchId: 7,
  key,
  subject: data.kind === 'tick' ? `tick/${data.step}/0` : data.kind,
  data,
  at: '2031-03-04T10:00:00Z',
});

const BATCH = { id: 7, key: '6fa459ea-ee8a-4ca4-894e-db77e160355e' };
const HERE = 'a'.repeat(32);
let device: MemoryOutbox;
let http: HttpTestingController;
let record: BatchRecord;
const stream = (): FakeSource => FakeSource.all.at(-1)!;
const url = '/api/batches/7/entries';
const hear = (e: Entry): void => stream().say('entry', JSON.stringify(e));
const keyIn = (sent: { request: { body: unknown } }): string => (sent.request.body as { key: string }).key;
const done = (step: string): boolean => {
  const data = record.holds().get(`tick/${step}/0`);
  return data?.kind === 'tick' && data.done;
};
/** Lets all that waits for a promise have its turn. */
const settle = async (): Promise<void> => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};

/** A page of the same device, as after a reload: what was in memory is gone. */
async function openPage(folder = HERE): Promise<void> {
  TestBed.resetTestingModule();
  const kept = Object.entries({ ...localStorage }) as [string, string][];
  http = bench([BatchRecord, { provide: OUTBOX_STORE, useValue: device }]);
  for (const [name, value] of kept) localStorage.setItem(name, value);
  record = TestBed.inject(BatchRecord);
  http.expectOne('/api/nursery').flush({ id: folder, timeZone: 'UTC', today: '2031-03-04' });
  record.follow(BATCH);
  await settle();
}

beforeEach(async () => {
  jest.useFakeTimers();
  FakeSource.all = [];
  globalThis.EventSource = FakeSource as unknown as typeof EventSource;
  device = new MemoryOutbox();
  localStorage.clear();
  await openPage();
});
afterEach(() => jest.useRealTimers());

const lost = async (): Promise<void> => {
  http.expectOne(url).error(new ProgressEvent('error'), { status: 0 });
  await settle();
};

test('a tick shows at once, is sent with what was seen, and is there when the server says so', async () => {
  hear(entry(3, tick('damp-down')));
  record.enter(tick('layer'));
  expect([done('damp-down'), done('layer'), record.waiting()]).toEqual([true, true, 1]);
  await settle();
  const sent = http.expectOne(url);
  expect(sent.request.body).toMatchObject({ seen: 3, batchKey: BATCH.key, data: tick('layer') });
  sent.flush(entry(4, tick('layer'), keyIn(sent)));
  await settle();
  expect([record.waiting(), record.entries().length, device.items.size]).toEqual([0, 2, 0]);
});

test('the same entry from the stream and from the answer is one', async () => {
  record.enter(tick('layer'));
  await settle();
  const sent = http.expectOne(url);
  const made = entry(1, tick('layer'), keyIn(sent));
  hear(made);
  sent.flush(made);
  await settle();
  expect([record.entries().length, record.waiting()]).toEqual([1, 0]);
});

test('without a network nothing is lost: it waits on the device, survives a reload, and is sent in order', async () => {
  record.enter(tick('layer'));
  jest.advanceTimersByTime(5);
  record.enter(tick('water'));
  await settle();
  await lost();
  expect(record.waiting()).toBe(2);
  await openPage();
  expect([record.waiting(), done('water')]).toEqual([2, true]);
  const first = http.expectOne(url);
  expect(first.request.body).toMatchObject({ data: tick('layer') });
  first.error(new ProgressEvent('error'), { status: 0 });
  await settle();
  jest.advanceTimersByTime(3100);
  await settle();
  const again = http.expectOne(url);
  expect(keyIn(again)).toBe(keyIn(first));
  again.flush(entry(1, tick('layer'), keyIn(again)));
  await settle();
  expect(http.expectOne(url).request.body).toMatchObject({ data: tick('water') });
});

test('two tabs without a network do not overwrite each other: all five entries are on the device', async () => {
  for (const step of ['a', 'b', 'c']) record.enter(tick(step));
  await settle();
  await lost();
  // The second tab was opened before and knows of none of them; it writes two of its own.
  await openPage();
  await lost();
  for (const step of ['d', 'e']) record.enter(tick(step));
  await settle();
  expect(
    [...device.items.values()].map((value) => (value as unknown as { data: { step: string } }).data.step),
  ).toEqual(['a', 'b', 'c', 'd', 'e']);
});

test('a device with no room says so at once, and still sends', async () => {
  device.full = true;
  const room = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('QuotaExceededError');
  });
  record.enter(tick('layer'));
  room.mockRestore();
  await settle();
  expect(TestBed.inject(Outbox).full()).toBe(true);
  expect([device.items.size, record.waiting()]).toEqual([0, 1]);
  const sent = http.expectOne(url);
  sent.flush(entry(1, tick('layer'), keyIn(sent)));
  await settle();
  expect([TestBed.inject(Outbox).full(), record.waiting()]).toEqual([false, 0]);
});

test('a page that closes before its database has the entry loses nothing', async () => {
  const put = jest.spyOn(device, 'put').mockReturnValue(new Promise(() => undefined));
  record.enter(tick('layer'));
  await settle();
  expect(device.items.size).toBe(0);
  put.mockRestore();
  await openPage();
  expect(done('layer')).toBe(true);
  expect([...device.items.values()]).toEqual([expect.objectContaining({ data: tick('layer') })]);
  expect(Object.keys(localStorage).filter((name) => name.includes('outbox-now'))).toEqual([]);
  expect(http.match(url).at(-1)!.request.body).toMatchObject({ data: tick('layer') });
});

test('three clashes stay, a reload later too, and each is decided on by itself', async () => {
  const tests = [6.1, 6.4, 6.7].map((ph): EntryData => ({ kind: 'test', test: 'ph', values: { ph } }));
  const theirs: EntryData = { kind: 'test', test: 'ph', values: { ph: 5.9 } };
  for (const data of tests) {
    jest.advanceTimersByTime(5);
    record.enter(data);
  }
  await settle();
  for (let i = 0; i < 3; i++) {
    http
      .expectOne(url)
      .flush(
        { detail: 'x', issues: [{ path: 'test/ph', value: theirs, allowed: '' }] },
        { status: 409, statusText: 'Conflict' },
      );
    await settle();
  }
  await openPage();
  expect(record.conflicts().map((conflict) => conflict.data)).toEqual(tests);
  expect(record.conflicts()[0]!.theirs).toEqual(theirs);
  hear(entry(9, theirs));
  record.leaveIt(record.conflicts()[0]!.key);
  record.keepMine(record.conflicts()[0]!.key);
  await settle();
  expect(http.expectOne(url).request.body).toMatchObject({ seen: 9, data: tests[1] });
  expect(record.conflicts().map((conflict) => conflict.data)).toEqual([tests[2]]);
});

test('what the server refuses stays with its reason, and does not hold up what comes after', async () => {
  record.enter({ kind: 'test', test: 'ph', values: { ph: 19 } });
  jest.advanceTimersByTime(5);
  record.enter(tick('layer'));
  await settle();
  http
    .expectOne(url)
    .flush({ detail: 'ph must be a number from 2.5 to 11, was 19' }, { status: 400, statusText: 'Bad' });
  await settle();
  expect(record.refused()[0]!.why).toContain('ph must be a number');
  expect(device.items.size).toBe(2);
  expect(http.expectOne(url).request.body).toMatchObject({ data: tick('layer') });
});

test('tick and untick before the first is acknowledged: the second says that the first is its own', async () => {
  record.enter(tick('layer'));
  await settle();
  const first = http.expectOne(url);
  record.enter(tick('layer', false));
  await settle();
  first.flush(entry(1, tick('layer'), keyIn(first)));
  await settle();
  const second = http.expectOne(url);
  expect(second.request.body).toMatchObject({ seen: 0, own: [keyIn(first)], data: tick('layer', false) });
});

test('what was written for one data folder is not sent to another', async () => {
  record.enter(tick('layer'));
  await settle();
  await lost();
  await openPage('b'.repeat(32));
  http.expectNone(url);
  expect(record.waiting()).toBe(1);
  await openPage(HERE);
  http.expectOne(url);
});

test('what an earlier version kept by batch number is taken over once', async () => {
  const old = [{ key: 'e6a1c7de-0000-4000-8000-000000000001', seen: 2, data: tick('water') }];
  TestBed.resetTestingModule();
  http = bench([BatchRecord, { provide: OUTBOX_STORE, useValue: device }]);
  localStorage.setItem('welcome.outbox.7', JSON.stringify(old));
  record = TestBed.inject(BatchRecord);
  record.follow(BATCH);
  await settle();
  expect([...device.items.values()][0]).toMatchObject({
    batch: 7,
    seen: 2,
    data: tick('water'),
  } satisfies Partial<Waiting>);
  expect(localStorage.getItem('welcome.outbox.7')).toBeNull();
  expect(http.expectOne(url).request.body).toMatchObject({ key: old[0]!.key });
});

test('the last word holds; the stream is let go of with the page', () => {
  hear(entry(1, tick('layer')));
  hear(entry(2, tick('layer', false)));
  expect(done('layer')).toBe(false);
  stream().say('error');
  expect(record.connected()).toBe(false);
  stream().say('open');
  expect(record.connected()).toBe(true);
  TestBed.resetTestingModule();
  expect(stream().closed).toBe(true);
});

test('what is let go while the device reads what it has kept does not come back', async () => {
  record.enter(tick('layer'));
  await settle();
  http.expectOne(url).flush({ detail: 'no such step' }, { status: 400, statusText: 'x' });
  await settle();
  const outbox = TestBed.inject(Outbox);
  const [{ key }] = outbox.undecided() as [Waiting];
  let tell: (kept: Waiting[]) => void = () => undefined;
  const before = [...device.items.values()];
  jest.spyOn(device, 'all').mockReturnValueOnce(new Promise((done) => (tell = done)));
  // Another tab has changed something.
  const reading = (outbox as unknown as { load: () => Promise<void> }).load();
  outbox.drop(key);
  await settle();
  tell(before);
  await reading;
  expect([outbox.items(), device.items.size]).toEqual([[], 0]);
});

test('an entry for another batch is not shown on the one that has its number now', async () => {
  record.enter(tick('layer'));
  await settle();
  await lost();
  record.follow({ id: BATCH.id, key: '0b1e55ed-0000-4000-8000-000000000001' });
  expect([done('layer'), record.waiting()]).toEqual([false, 0]);
  record.follow(BATCH);
  expect([done('layer'), record.waiting()]).toEqual([true, 1]);
});
