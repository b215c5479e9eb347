import { keptReadingIds, readingsOf } from '#core/judge/readings';
import { evaluateMix } from '#core/mix/evaluate';
import { materials } from '#testing/library';
import { recipe } from '#testing/recipe';
import { metric } from '#testing/readers';
import { entryText } from './entry-text';
import { inReadersUnits, materialSays, oddsWords, readingWords, shortName } from './words';

test('odds in plain words', () => {
  expect([0, 0.001, 0.03, 0.05, 0.44, 0.96, 0.98, 0.99].map(oddsWords)).toEqual([
    'almost never',
    'almost never',
    'hardly ever',
    '1 in 10',
    '4 in 10',
    '9 in 10',
    '9 in 10',
    'nearly always',
  ]);
});

test('perlite and vermiculite are told apart where they are chosen', () => {
  const says = (id: string): string => materialSays(id, materials.find((m) => m.id === id)!.role);
  expect(says('perlite-fine')).toContain('drains');
  expect(says('vermiculite-fine')).toContain('holds water');
  expect(new Set(materials.map((m) => shortName(m.name))).size).toBe(materials.length);
});

test('every reading has plain words, the term beside them, and reads in inches where it is a length', () => {
  for (const id of keptReadingIds) {
    const { name, term } = readingWords(id, 'cell');
    expect([name.length > 1, term.length > 3]).toEqual([true, true]);
  }
  const input = recipe({ 'peat-fine': 1 });
  const [any] = readingsOf(input, evaluateMix(input));
  // As batches of before keep it.
  const piece = { ...any!, value: 5, unit: 'mm' as const };
  expect(inReadersUnits(piece, 'us').value).toBeCloseTo(5 / 25.4, 9);
  expect(inReadersUnits(piece, 'metric').value).toBe(5);
});

test('the record reads as sentences', () => {
  const text = (data: Parameters<typeof entryText>[0]): string =>
    entryText(
      data,
      metric,
      (id) => `<${id}>`,
      (lot) => `lot ${lot}`,
    );
  expect(text({ kind: 'tick', step: 'pre-blend', load: 0, done: true })).toBe('Done: pre blend');
  expect(text({ kind: 'tick', step: 'layer', load: 2, done: false })).toBe(
    'Not done after all: layer, load 3',
  );
  expect(text({ kind: 'lot', item: 'peat-fine', lot: 4 })).toBe('<peat-fine> from lot 4');
  expect(text({ kind: 'use', what: 'Leeks', count: 40, on: '2031-03-04' })).toBe(
    'Used for Leeks, 40 on 2031-03-04',
  );
  expect(text({ kind: 'test', test: 'ph', values: { ph: 6 } })).toBe('pH: ph 6');
  expect(text({ kind: 'left', litres: 12 })).toBe('12.0\u00a0L left in the tub');
  expect(text({ kind: 'lot', item: 'peat-fine', lot: 4, amount: 3, rest: 5 })).toBe(
    '<peat-fine> from lot 4, the rest from lot 5',
  );
});
