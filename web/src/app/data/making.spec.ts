import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { starterMixes } from '#core/recipe/starter-mixes';
import { MemoryOutbox } from '#testing/memory-outbox';
import { bench } from '#testing/page';
import { Making } from './making';
import { Outbox } from './outbox';
import { OUTBOX_STORE } from './outbox-store';

const HERE = 'b'.repeat(32);
const given = { body: { name: 'Tunnel mix', recipe: starterMixes.germination } };
const keyIn = (sent: { request: { body: unknown } }): string => (sent.request.body as { key: string }).key;
const settle = async (): Promise<void> => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};
let device: MemoryOutbox;
let http: HttpTestingController;
/** What each press was answered with. */
let answered: unknown[];
const press = (): void =>
  void TestBed.inject(Making)
    .make('keepMix', given, 'the recipe Tunnel mix')
    .subscribe({
      next: (made) => answered.push(made),
      error: (error: Error) => answered.push(error.message),
    });

async function openPage(): Promise<void> {
  TestBed.resetTestingModule();
  http = bench([{ provide: OUTBOX_STORE, useValue: device }]);
  answered = [];
  TestBed.inject(Outbox);
  for (const asked of http.match('/api/nursery'))
    asked.flush({ id: HERE, timeZone: 'UTC', today: '2031-03-04' });
  await settle();
}
beforeEach(async () => {
  jest.useFakeTimers();
  device = new MemoryOutbox();
  await openPage();
});
afterEach(() => jest.useRealTimers());

test('what nobody answers is kept here, survives a reload, is made once under its first key, and said to who waits', async () => {
  press();
  const first = http.expectOne('/api/mixes');
  first.error(new ProgressEvent('error'), { status: 0 });
  await settle();
  expect(answered).toEqual([null]);
  // Pressed again meanwhile: it waits already.
  press();
  expect(answered).toEqual([null, null]);
  expect([...device.items.values()]).toEqual([
    expect.objectContaining({ make: 'keepMix', called: 'the recipe Tunnel mix', key: keyIn(first) }),
  ]);
  await openPage();
  const later: string[] = [];
  TestBed.inject(Making)
    .madeLater('keepMix')
    .subscribe(({ made }) => later.push(made.name));
  const again = http.expectOne('/api/mixes');
  expect([keyIn(again), again.request.body]).toEqual([keyIn(first), { key: keyIn(first), ...given.body }]);
  again.flush({ id: 1, mixId: 1, name: 'Tunnel mix' });
  await settle();
  expect([later, device.items.size]).toEqual([['Tunnel mix'], 0]);
});

test('a network that hangs is not waited for longer than eight seconds', async () => {
  press();
  const hangs = http.expectOne('/api/mixes');
  jest.advanceTimersByTime(7900);
  expect(answered).toEqual([]);
  jest.advanceTimersByTime(200);
  await settle();
  expect([answered, hangs.cancelled, device.items.size]).toEqual([[null], true, 1]);
});

test('what the server refuses stays with the form; refused later, its person decides', async () => {
  press();
  http.expectOne('/api/mixes').flush({ detail: 'not like this' }, { status: 400, statusText: 'x' });
  expect([answered, device.items.size]).toEqual([['not like this'], 0]);
  press();
  http.expectOne('/api/mixes').error(new ProgressEvent('error'), { status: 0 });
  await settle();
  http.match('/api/mixes').forEach((sent) => sent.error(new ProgressEvent('error'), { status: 0 }));
  await settle();
  jest.advanceTimersByTime(3100);
  await settle();
  http.expectOne('/api/mixes').flush({ detail: 'not like this' }, { status: 400, statusText: 'x' });
  await settle();
  expect(TestBed.inject(Outbox).undecided()).toEqual([
    expect.objectContaining({ state: 'refused', why: 'not like this', called: 'the recipe Tunnel mix' }),
  ]);
});
