import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { IndexedStore, type Waiting } from './outbox-store';

const item = (key: string, at: string, step = 'fill'): Waiting => ({
  key,
  folder: 'a'.repeat(32),
  batch: 7,
  batchKey: '',
  seen: 0,
  own: [],
  data: { kind: 'tick', step, load: 0, done: true },
  at,
  state: 'waiting',
});

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never;
});

test('what was put is there for every tab, oldest first, until it is taken out', async () => {
  const [one, two] = [new IndexedStore(), new IndexedStore()];
  await one.put(item('b', '2031-03-04T10:00:02Z'));
  await two.put(item('a', '2031-03-04T10:00:01Z'));
  expect((await one.all()).map((w) => w.key)).toEqual(['a', 'b']);
  await two.remove('b');
  expect((await one.all()).map((w) => w.key)).toEqual(['a']);
  await two.remove('never there');
});

test('the same entry put again is one, as it was put last', async () => {
  const store = new IndexedStore();
  await store.put(item('a', '2031-03-04T10:00:01Z'));
  await store.put({ ...item('a', '2031-03-04T10:00:01Z'), state: 'refused', why: 'no such step' });
  expect(await store.all()).toEqual([
    expect.objectContaining({ key: 'a', state: 'refused', why: 'no such step' }),
  ]);
});

test('a device that keeps nothing says so each time, and may be tried again', async () => {
  const whole = globalThis.indexedDB;
  globalThis.indexedDB = {
    open: () => {
      throw new Error('SecurityError');
    },
  } as unknown as IDBFactory;
  const store = new IndexedStore();
  await expect(store.put(item('a', 'x'))).rejects.toThrow('SecurityError');
  globalThis.indexedDB = whole;
  await store.put(item('a', 'x'));
  expect(await store.all()).toHaveLength(1);
});
