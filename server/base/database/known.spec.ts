import Database from 'better-sqlite3';
import { Known } from '#server/base/database/known';

test('it is made once, and anew where something that it stands on is another', () => {
  const existing = new Known<number, object | undefined>();
  const [a, b] = [{}, {}];
  let made = 0;
  const make = (): object => ({ made: ++made });
  const first = existing.of(1, [a, 'monday'], make);
  expect(existing.of(1, [a, 'monday'], make)).toBe(first);
  expect(existing.get(1, [a, 'monday'])).toBe(first);
  expect(existing.get(1, [b, 'monday'])).toBeUndefined();
  expect(existing.of(1, [b, 'monday'], make)).not.toBe(first);
  existing.forget(1);
  existing.of(1, [b, 'monday'], make);
  expect(made).toBe(3);
  // Nothing is an answer too.
  existing.of(2, [], () => undefined);
  existing.of(2, [], make);
  expect(made).toBe(3);
});

test('too much of it, and all is forgotten; what is not yet sure to stay is not remembered', () => {
  const db = new Database(':memory:');
  const existing = new Known<string, number>({ db, most: 2 });
  db.transaction(() => existing.of('a', [], () => 1))();
  expect(existing.get('a')).toBeUndefined();
  for (const key of ['a', 'b', 'b', 'c']) existing.of(key, [], () => 1);
  expect(['a', 'b', 'c'].map((key) => existing.get(key))).toEqual([undefined, undefined, 1]);
});
