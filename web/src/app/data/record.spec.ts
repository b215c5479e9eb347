import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type EntryData } from '#contract/record';
import { bench, FakeSource } from '#testing/page';
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

let http: HttpTestingController;
let record: BatchRecord;
const stream = (): FakeSource => FakeSource.all.at(-1)!;
const url = '/api/batches/7/entries';
const hear = (e: Entry): void => stream().say('entry', JSON.stringify(e));
const done = (step: string): boolean => {
  const data = record.holds().get(`tick/${step}/0`);
  return data?.kind === 'tick' && data.done;
};

beforeEach(() => {
  FakeSource.all = [];
  globalThis.EventSource = FakeSource as unknown as typeof EventSource;
  http = bench([BatchRecord]);
  record = TestBed.inject(BatchRecord);
  record.follow(7);
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

test('a tick shows at once, is sent with what was seen, and is there when the server says so', () => {
  hear(entry(3, tick('damp-down')));
  record.enter(tick('layer'));
  expect([done('damp-down'), done('layer'), record.waiting()]).toEqual([true, true, 1]);
  const sent = http.expectOne(url);
  expect(sent.request.body).toMatchObject({ seen: 3, data: tick('layer') });
  sent.flush(entry(4, tick('layer'), (sent.request.body as { key: string }).key));
  expect([record.waiting(), record.entries().length]).toEqual([0, 2]);
});

test('the same entry from the stream and from the answer is one', () => {
  record.enter(tick('layer'));
  const sent = http.expectOne(url);
  const made = entry(1, tick('layer'), (sent.request.body as { key: string }).key);
  hear(made);
  sent.flush(made);
  expect([record.entries().length, record.waiting()]).toEqual([1, 0]);
});

test('without a network nothing is lost: it waits on the device, survives a reload, and is sent in order', () => {
  record.enter(tick('layer'));
  record.enter(tick('water'));
  http.expectOne(url).error(new ProgressEvent('error'), { status: 0 });
  expect(record.waiting()).toBe(2);
  // A reload: another page, the same device.
  record.follow(7);
  expect(record.waiting()).toBe(2);
  expect(done('water')).toBe(true);
  const first = http.expectOne(url);
  expect(first.request.body).toMatchObject({ data: tick('layer') });
  first.error(new ProgressEvent('error'), { status: 0 });
  jest.advanceTimersByTime(3100);
  const again = http.expectOne(url);
  expect((again.request.body as { key: string }).key).toBe((first.request.body as { key: string }).key);
  again.flush(entry(1, tick('layer'), (again.request.body as { key: string }).key));
  expect(http.expectOne(url).request.body).toMatchObject({ data: tick('water') });
});

test('another device wrote something else: shown, and only entered again when somebody says so', () => {
  const mine: EntryData = { kind: 'test', test: 'ph', values: { ph: 6.4 } };
  const theirs: EntryData = { kind: 'test', test: 'ph', values: { ph: 5.9 } };
  record.enter(mine);
  http
    .expectOne(url)
    .flush(
      { detail: 'x', issues: [{ path: 'test/ph', value: theirs, allowed: '' }] },
      { status: 409, statusText: 'Conflict' },
    );
  expect(record.conflict()).toEqual({ mine, theirs });
  expect(record.waiting()).toBe(0);
  hear(entry(9, theirs));
  record.keepMine();
  expect(http.expectOne(url).request.body).toMatchObject({ seen: 9, data: mine });
  expect(record.conflict()).toBeNull();
});

test('what the server refuses is told and does not hold up what comes after', () => {
  record.enter({ kind: 'test', test: 'ph', values: { ph: 19 } });
  record.enter(tick('layer'));
  http
    .expectOne(url)
    .flush({ detail: 'ph must be a number from 2.5 to 11, was 19' }, { status: 400, statusText: 'Bad' });
  expect(record.problem()).toContain('ph must be a number');
  expect(http.expectOne(url).request.body).toMatchObject({ data: tick('layer') });
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
