import Database from 'better-sqlite3';
import { Known } from '#server/base/database/known';

test('it is made once, and anew where something that it stands on is another', () => {
  const known = new Known<number, object | undefined>();
  const [a, b] = [{}, {}];
  let made = 0;
  const make = (): object => ({ made: ++made });
  const first = known.of(1, [a, 'monday'], make);
  expect(known.of(1, [a, 'monday'], make)).toBe(first);
  expect(known.get(1, [a, 'monday'])).toBe(first);
  expect(known.get(1, [b, 'monday'])).toBeUndefined();
  expect(known.of(1, [b, 'monday'], make)).not.toBe(first);
  known.forget(1);
  known.of(1, [b, 'monday'], make);
  expect(made).toBe(3);
  // Nothing is an answer too.
  known.of(2, [], () => undefined);
  known.of(2, [], make);
  expect(made).toBe(3);
});

test('too much of it, and all is forgotten; what is not yet sure to stay is not remembered', () => {
  const db = new Database(':memory:');
  const known = new Known<string, number>({ db, most: 2 });
  db.transaction(() => known.of('a', [], () => 1))();
  expect(known.get('a')).toBeUndefined();
  for (const key of ['a', 'b', 'b', 'c']) known.of(key, [], () => 1);
  expect(['a', 'b', 'c'].map((key) => known.get(key))).toEqual([undefined, undefined, 1]);
});
