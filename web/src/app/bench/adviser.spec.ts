import { TestBed } from '@angular/core/testing';
import { sketch } from '#core/recipe/sketch';
import { bench, giveLibrary } from '#testing/page';
import { FakeHired } from '#testing/hired';
import { Notices } from '../data/notices';
import { type AdviseApi, type WayTold } from '../workers/advise.protocol';
import { ADVISE_WORKER } from '../workers/tokens';
import { BenchAdviser } from './adviser';
import { RecipeStore } from './recipe-store';

let worker: FakeHired<AdviseApi>;
let store: RecipeStore;
let adviser: BenchAdviser;
beforeEach(() => {
  jest.useFakeTimers();
  worker = new FakeHired<AdviseApi>();
  const http = bench([{ provide: ADVISE_WORKER, useValue: () => worker }]);
  store = TestBed.inject(RecipeStore);
  adviser = TestBed.inject(BenchAdviser);
  giveLibrary(http);
});
afterEach(() => jest.useRealTimers());

const sour = sketch('germination', 'cell-72', { 'peat-fine': 4, 'perlite-coarse': 2 });
const limed = { ...sour, lime: { amendment: 'lime-dolomitic', ph: 5.8 } };
const way: WayTold = {
  ...{ edits: 1, recipe: limed, moves: [{ of: 'ph', from: 3.9, to: 5.8, fits: true }] },
  says: {
    say: 'advise.way',
    with: {
      edits: [{ does: 'lime', what: { id: 'lime-dolomitic', name: 'Dolomitic lime, ground' }, ph: 5.8 }],
      moves: { of: 'ph', from: 3.9, to: 5.8 },
    },
  },
};
const asks = (name: string): number => worker.asked.filter((asked) => asked.name === name).length;
const rest = (): void => {
  jest.advanceTimersByTime(200);
  TestBed.tick();
};

test('findings stand at once; ways come once the hand rests, pairs only where single ones do not do it', async () => {
  store.startWith(sour);
  TestBed.tick();
  jest.advanceTimersByTime(17);
  expect(adviser.verdict()).toBe('stop');
  expect(adviser.findings().findings.map(({ subject }) => subject)).toContain('ph');
  expect([adviser.ways(), asks('advise')]).toEqual([null, 0]);
  rest();
  await worker.last('advise').answer([
    { subject: 'ph', ways: [way], would: null },
    { subject: 'nitrogen', ways: [], would: null },
  ]);
  expect(adviser.ways()!.get('ph')!.ways).toEqual([way]);
  expect(adviser.isWhole()).toBe(false);
  await worker.last('more').answer([{ subject: 'ph', ways: [way], would: null }]);
  expect(adviser.isWhole()).toBe(true);
  await worker.last('mend').answer({ mend: way });
  expect(adviser.mend()).toEqual(way);
  // Of a recipe that was moved on from nothing is offered.
  store.patch({ compactionPct: 5 }, 'firm');
  TestBed.tick();
  expect([adviser.ways(), adviser.mend()]).toEqual([null, null]);
});

test('a press puts the way in place, says what came of it, and is undone with one more', () => {
  store.startWith(sour);
  TestBed.tick();
  adviser.press(way);
  expect(store.recipe()).toEqual(limed);
  expect(TestBed.inject(Notices).current()!.text).toMatch(
    /^Done\. Lime to pH 5\.8 with ground dolomitic lime: pH 3\.9 → 5\.8\./,
  );
  TestBed.inject(Notices).undo();
  expect(store.recipe()).toEqual(sour);
});
