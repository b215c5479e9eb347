import fc from 'fast-check';
import { batchState } from '#core/batch/state';
import { alike, type TubEntry, tubOf, undoOf } from '#core/batch/tub';

const use = (id: number, litres: number, more: object = {}): TubEntry => ({
  ...{ id, kind: 'use' as const, on: '2031-03-05', what: 'Lettuce', count: 72, litres },
  ...more,
});

test('a tub counts down as vessels are filled, and is put right by looking', () => {
  expect(tubOf(63, [])).toMatchObject({ leftL: 63, overL: 0, isFilled: false });
  const look: TubEntry = { id: 3, kind: 'left', on: '2031-03-05', litres: 40 };
  expect(tubOf(63, [use(1, 20), use(2, 0), look, use(4, 4)])).toMatchObject({ leftL: 36, isFilled: true });
  // Told later, of a day before the look: it was gone by then.
  expect(tubOf(63, [use(1, 20), look, use(4, 4, { on: '2031-03-04' })]).leftL).toBe(40);
  expect(tubOf(63, [look, use(4, 4, { reckoned: true })]).leftL).toBe(40);
});

test('what happened is never refused: more filled than it held is told, and a look settles it', () => {
  expect(tubOf(5, [use(1, 9)])).toMatchObject({ leftL: 0, overL: 4 });
  expect(tubOf(5, [use(1, 9), { id: 2, kind: 'left', on: '2031-03-06', litres: 1 }])).toMatchObject({
    ...{ leftL: 1, overL: 0 },
  });
});

test('a filling that looks like another one counts once until somebody says that they are two', () => {
  const both = [use(1, 6), use(2, 6, { planting: 9, like: 1 })];
  expect(tubOf(40, both)).toMatchObject({ leftL: 34, asks: [{ id: 2 }] });
  const said = (same: boolean): TubEntry[] => [...both, { id: 3, kind: 'same', of: 2, same }];
  expect(tubOf(40, said(true))).toMatchObject({ leftL: 34, asks: [] });
  expect(tubOf(40, said(false))).toMatchObject({ leftL: 28, asks: [] });
  // The one that it looks like was a slip: the other stays.
  expect(tubOf(40, [...both, { id: 3, kind: 'undo', of: 1 }])).toMatchObject({ leftL: 34, asks: [] });

  const first = { id: 1, kind: 'use' as const, on: '2031-03-05', what: 'Lettuce', count: 72 };
  const sown = { on: '2031-03-05', count: 72, vessel: 'cell-72', planting: 9 };
  expect(alike(sown, [first])).toBe(1);
  expect(alike({ ...sown, count: 71 }, [first])).toBeNull();
  expect(alike({ ...sown, on: '2031-03-06' }, [first])).toBeNull();
  expect(alike(sown, [{ ...first, vessel: 'pot-9' }])).toBeNull();
  // Two plantings of a day are two; and one filling is one planting.
  expect(alike(sown, [{ ...first, planting: 8 }])).toBeNull();
  expect(alike(sown, [first, { ...first, id: 2, planting: 8, like: 1 }])).toBeNull();
});

test('a taking back is taken back like anything else', () => {
  const undone: TubEntry[] = [use(1, 6), { id: 2, kind: 'undo', of: 1 }];
  expect(tubOf(40, undone)).toMatchObject({ leftL: 40, isFilled: false });
  expect(tubOf(40, [...undone, { id: 3, kind: 'undo', of: 2 }]).leftL).toBe(34);
  const thrice: TubEntry[] = [...undone, { id: 3, kind: 'undo', of: 2 }, { id: 4, kind: 'undo', of: 1 }];
  expect([undoOf(undone, 1), undoOf(thrice.slice(0, 3), 1), undoOf(thrice, 1)]).toEqual([2, null, 4]);
});

/** Slow reference: day by day, over what stands, with a plain list of what was taken back. */
function bySum(made: number, entries: readonly TubEntry[]): number {
  const stands = (id: number): boolean =>
    !entries.some((each) => each.kind === 'undo' && each.of === id && stands(each.id));
  const looks = entries.filter((each) => each.kind === 'left' && stands(each.id));
  const last = looks.reduce<TubEntry | undefined>(
    (a, b) =>
      !a ||
      (b as { on: string }).on > (a as { on: string }).on ||
      (b as { on: string }).on === (a as { on: string }).on
        ? b
        : a,
    undefined,
  ) as Extract<TubEntry, { kind: 'left' }> | undefined;
  const after = entries.filter(
    (each) =>
      each.kind === 'use' &&
      stands(each.id) &&
      (!last || each.on > last.on || (each.on === last.on && each.id > last.id)),
  );
  const used = after.reduce((sum, each) => sum + ((each as { litres?: number }).litres ?? 0), 0);
  return Math.max(0, (last?.litres ?? made) - used);
}

test('over random days what is made, filled, looked at and taken back adds up', () => {
  const kind = fc.record({
    kind: fc.constantFrom('use', 'use', 'left', 'undo'),
    on: fc.integer({ min: 1, max: 9 }).map((n) => `2031-03-0${n}`),
    litres: fc.integer({ min: 0, max: 30 }),
    of: fc.nat(20),
  });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100 }), fc.array(kind, { maxLength: 20 }), (made, given) => {
      const entries = given.map(({ kind: what, on, litres, of }, i): TubEntry => {
        const id = i + 1;
        if (what === 'undo')
          return i === 0 ? use(id, litres, { on }) : { id, kind: 'undo', of: 1 + (of % i) };
        return what === 'left' ? { id, kind: 'left', on, litres } : use(id, litres, { on });
      });
      expect(tubOf(made, entries).leftL).toBeCloseTo(bySum(made, entries), 9);
    }),
    { numRuns: 500 },
  );
});

test('a batch is made when its mixing is done or something was filled; before that it fills no tub', () => {
  const steps = [
    { id: 'layer', times: 2 },
    { id: 'water' },
    { id: 'rest', waitDays: 7 },
    { id: 'fill' },
    { id: 'label' },
    { id: 're-test', waitDays: 7, test: 'ph' as const },
  ];
  const batch = { madeOn: '2031-03-01', steps };
  const state = (
    ticks: readonly string[],
    happened = false,
    ph: 'ok' | 'high' | null = null,
    today = '2031-03-05',
  ) =>
    batchState(
      batch,
      (step, load) => ticks.includes(`${step}/${load}`),
      happened,
      ph && { value: 7.2, verdict: ph },
      today,
    );
  expect(state([])).toEqual({
    ...{ made: false, done: 0, of: 4, restsUntil: '2031-03-08', toTest: true, phTooHigh: null },
  });
  expect(state(['layer/0', 'water/0']).made).toBe(false);
  expect(state(['layer/0', 'layer/1', 'water/0'])).toMatchObject({ made: true, done: 2 });
  expect(state(['fill/0']).made).toBe(true);
  expect(state([], true).made).toBe(true);
  expect(state(['rest/0']).restsUntil).toBeNull();
  expect(state([], false, null, '2031-03-08').restsUntil).toBeNull();
  expect(state([], true, 'ok')).toMatchObject({ toTest: false, phTooHigh: null });
  expect(state([], true, 'high')).toMatchObject({ toTest: false, phTooHigh: 7.2 });
});
