import { type HttpTestingController, type TestRequest } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type PlantEvent } from '#core/plants/planting';
import { MemoryOutbox } from '#testing/memory-outbox';
import { bench } from '#testing/page';
import { Outbox } from './outbox';
import { OUTBOX_STORE } from './outbox-store';
import { PlantRecordService } from './plant-record';

const on = '2031-03-04';
const SEVEN = { id: 7, key: 'c0ffee00-0000-4000-8000-000000000007' };
const count = (alive: number): PlantEvent => ({ kind: 'count', on, alive });
const url = '/api/plants/7/events';
const settle = async (): Promise<void> => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};
let device: MemoryOutbox;
let http: HttpTestingController;
let record: PlantRecordService;
let result: number;

async function openPage(folder = 'a'.repeat(32)): Promise<void> {
  TestBed.resetTestingModule();
  http = bench([PlantRecordService, { provide: OUTBOX_STORE, useValue: device }]);
  record = TestBed.inject(PlantRecordService);
  result = 0;
  record.follow(() => result++);
  http.expectOne('/api/nursery').flush({ id: folder, timeZone: 'UTC', today: on });
  await settle();
}
const sent = (): TestRequest => http.expectOne(url);
const take = async (asked: TestRequest, id: number): Promise<void> => {
  const { event } = asked.request.body as { event: PlantEvent };
  asked.flush({ id, at: `${on}T10:00:00Z`, event }, { status: 201, statusText: 'Created' });
  await settle();
};
/** The server tells where an entry stands that is to be taken back; it has none for null. */
const found = async (key: string, id: number | null): Promise<void> => {
  const asked = http.expectOne(`/api/where/event/${key}`);
  if (id === null) asked.flush({ detail: 'none' }, { status: 404, statusText: 'Not Found' });
  else asked.flush({ id, name: 'count', planting: 7 });
  await settle();
};
const alive = (): unknown[] =>
  record.of(7, []).map((keptEvent) => ('alive' in keptEvent ? keptEvent.alive : keptEvent.kind));

beforeEach(async () => {
  jest.useFakeTimers();
  device = new MemoryOutbox();
  await openPage();
});
afterEach(() => jest.useRealTimers());

test('what is entered stands at once, is kept on the device, and stays while the page fetches it anew', async () => {
  record.enter(SEVEN, count(60));
  await settle();
  expect([alive(), device.items.size, record.own()[0]!.sent]).toEqual([[60], 1, false]);
  await take(sent(), 12);
  expect([alive(), device.items.size, record.own()[0]!.sent, result]).toEqual([[60], 0, true, 1]);
  // Once the page has it, it stands once.
  expect(record.of(7, [{ id: 12, at: '', event: count(60) }])).toHaveLength(1);
});

test('without a network it waits through a reload, and is sent under the same key', async () => {
  record.enter(SEVEN, count(60));
  await settle();
  const first = sent();
  first.error(new ProgressEvent('error'));
  await settle();
  await openPage();
  const again = sent();
  const { key, event } = first.request.body as { key: string; event: PlantEvent };
  expect(again.request.body).toMatchObject({ key, event });
  expect(again.request.headers.get('welcome-about')).toBe(`planting 7 ${SEVEN.key}`);
  await take(again, 12);
  expect(device.items.size).toBe(0);
});

test('what was written for another data folder is not sent to this one', async () => {
  record.enter(SEVEN, count(60));
  await settle();
  sent().error(new ProgressEvent('error'));
  await openPage('b'.repeat(32));
  http.expectNone(url);
  expect([alive(), device.items.size]).toEqual([[], 1]);
});

test('what the server refuses stays with its reason until its person decides', async () => {
  record.enter(SEVEN, count(60));
  await settle();
  sent().flush({ title: 'at most 50' }, { status: 400, statusText: 'Bad Request' });
  await settle();
  expect([alive(), record.refused().length, TestBed.inject(Outbox).undecided().length]).toEqual([[], 1, 1]);
  const { key } = record.refused()[0]!;
  record.again(key);
  await settle();
  await take(sent(), 13);
  expect([alive(), record.refused(), device.items.size]).toEqual([[60], [], 0]);
});

describe('taken back', () => {
  test('before it could be sent: nothing is sent', async () => {
    record.enter(SEVEN, { kind: 'note', on, text: 'first' });
    const key = record.enter(SEVEN, count(60));
    await settle();
    const note = sent();
    record.takeBack(SEVEN, key, on);
    note.error(new ProgressEvent('error'));
    await settle();
    expect(alive()).toEqual(['note']);
  });

  test('on its way: it is taken back as soon as it is there', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    record.takeBack(SEVEN, key, on);
    expect(alive()).toEqual([]);
    await take(sent(), 12);
    await found(key, 12);
    const undo = sent();
    expect(undo.request.body).toMatchObject({ event: { kind: 'undo', of: 12 } });
    await take(undo, 13);
    expect(device.items.size).toBe(0);
  });

  test('once it is there', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    await take(sent(), 12);
    record.takeBack(SEVEN, key, on);
    await settle();
    await found(key, 12);
    expect(sent().request.body).toMatchObject({ event: { kind: 'undo', of: 12 } });
  });

  test('when it was taken and the answer was lost: it waits, is sent once more under its key, and then taken back', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    sent().error(new ProgressEvent('error'));
    await settle();
    record.takeBack(SEVEN, key, on);
    await settle();
    expect([alive(), device.items.size]).toEqual([[], 2]);
    // The page is closed, opened again, and in reach.
    await openPage();
    const again = sent();
    expect(again.request.body).toMatchObject({ key });
    await take(again, 12);
    await found(key, 12);
    const undo = sent();
    expect(undo.request.body).toMatchObject({ event: { kind: 'undo', of: 12 } });
    await take(undo, 13);
    expect(device.items.size).toBe(0);
  });

  test('when the page is closed while it is being sent', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    sent();
    record.takeBack(SEVEN, key, on);
    await settle();
    await openPage();
    await take(sent(), 12);
    await found(key, 12);
    expect(sent().request.body).toMatchObject({ event: { kind: 'undo', of: 12 } });
  });

  test('when another tab has sent it; and what never came about leaves nothing to be taken back', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    sent().error(new ProgressEvent('error'));
    await settle();
    TestBed.inject(Outbox).arrived([key]);
    record.takeBack(SEVEN, key, on);
    await settle();
    await found(key, null);
    http.expectNone(url);
    expect(device.items.size).toBe(0);
  });

  test('when the server would not take it: both are gone', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    const first = sent();
    record.takeBack(SEVEN, key, on);
    first.flush({ detail: 'at most 50' }, { status: 400, statusText: 'Bad Request' });
    await settle();
    expect([record.refused(), device.items.size]).toEqual([[], 0]);
  });

  test('when it was set aside: it is not asked about any more, and what the server may have of it is taken back', async () => {
    const key = record.enter(SEVEN, count(60));
    await settle();
    for (let i = 0; i < 5; i++) {
      sent().flush({ detail: 'broke' }, { status: 500, statusText: 'x' });
      await settle();
      if (i < 4) jest.advanceTimersByTime(60_000);
      await settle();
    }
    expect(TestBed.inject(Outbox).undecided()).toHaveLength(1);
    record.takeBack(SEVEN, key, on);
    await settle();
    expect(TestBed.inject(Outbox).undecided()).toEqual([]);
    await found(key, 12);
    await take(sent(), 13);
    expect(device.items.size).toBe(0);
  });
});
