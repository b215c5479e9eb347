import { TestBed } from '@angular/core/testing';
import { approaches } from '#core/recipe/approaches';
import { starterMixes } from '#core/recipe/starter-mixes';
import { bench, giveLibrary } from '#testing/page';
import { Notices } from '../data/notices';
import { ApproachChoice } from '../data/approach-choice';
import { RecipeStore } from './recipe-store';

let store: RecipeStore;
beforeEach(() => {
  const http = bench();
  store = TestBed.inject(RecipeStore);
  giveLibrary(http);
});
afterEach(() => jest.useRealTimers());

const house = {
  id: 4,
  mixId: 2,
  version: 1,
  name: 'House',
  note: '',
  key: null,
  mixKey: null,
  figures: null,
  why: '',
  createdAt: '2031-03-04T09:30:00.000Z',
  recipe: starterMixes.seedling,
};

const computed = () => {
  const outcome = store.outcome();
  if (outcome.state !== 'computed') throw new Error(outcome.state);
  return outcome;
};

test('a working recipe stands there as soon as the library does', () => {
  expect(computed().judgement.readings.every((r) => r.verdict === 'ok')).toBe(true);
  expect(computed().sheet.litres).toBeCloseTo(store.litres(), 9);
  expect(store.canUndo()).toBe(false);
});

test('undo and redo walk back and forth; a new change ends the way forward', () => {
  store.patch({ compactionPct: 5 }, 'firm');
  store.patch({ job: { litres: 10 } }, 'job');
  store.undo();
  expect([store.recipe().compactionPct, 'trays' in store.recipe().job]).toEqual([5, true]);
  store.undo();
  expect(store.recipe()).toEqual(starterMixes.germination);
  store.undo();
  expect(store.canUndo()).toBe(false);
  store.redo();
  expect(store.recipe().compactionPct).toBe(5);
  store.patch({ compactionPct: 10 }, 'firm');
  expect(store.canRedo()).toBe(false);
});

test('a slider that is dragged is one step back; two sliders are two', () => {
  jest.useFakeTimers({ now: 0 });
  for (let pct = 1; pct <= 20; pct++) {
    jest.setSystemTime(pct * 30);
    store.patch({ compactionPct: pct }, 'firm');
  }
  store.patch({ job: { litres: 4 } }, 'litres');
  store.undo();
  expect(store.recipe().compactionPct).toBe(20);
  store.undo();
  expect(store.recipe().compactionPct).toBe(0);
  // The same slider after a pause is another step.
  store.patch({ compactionPct: 3 }, 'firm');
  jest.setSystemTime(10_000);
  store.patch({ compactionPct: 4 }, 'firm');
  store.undo();
  expect(store.recipe().compactionPct).toBe(3);
});

test('another stage brings its starting mix while nothing is changed, and only the stage once something is', () => {
  store.toStage('potting');
  expect(store.recipe()).toEqual(starterMixes.potting);
  store.patch({ compactionPct: 5 }, 'firm');
  store.toStage('rooting');
  expect(store.recipe()).toEqual({ ...starterMixes.potting, compactionPct: 5, stage: 'rooting' });
});

test('the approach decides what a stage starts from', () => {
  TestBed.inject(ApproachChoice).follow('coir');
  store.toStage('potting');
  expect(store.recipe()).toEqual(approaches.find((s) => s.id === 'coir')!.mixes.potting);
  // A stage that it has no mix for starts from the usual one.
  TestBed.inject(ApproachChoice).follow('acid-peat');
  store.toStage('rooting');
  expect(store.recipe()).toEqual(starterMixes.rooting);
});

test('from trays to pots the plants stay as many, and back; blocks are pressed', () => {
  const { job } = store.recipe();
  const cells = 'trays' in job ? job.trays * 72 : 0;
  const before = store.litres();
  store.toVessel('pot-9');
  expect(store.recipe().job).toMatchObject({ trays: cells });
  store.toVessel('cell-72');
  expect(store.recipe().job).toMatchObject({ vessels: cells });
  expect(store.litres()).toBeCloseTo(before, 6);
  store.toVessel('block-50');
  expect(store.recipe().compactionPct).toBe(25);
  store.toVessel('pot-15');
  expect([store.recipe().vessel, store.recipe().compactionPct]).toEqual(['pot-15', 0]);
});

test('thirty of one vessel are thirty of another, and that is said', () => {
  const said: string[] = [];
  TestBed.inject(Notices).say = (text) => void said.push(text);
  store.patch({ vessel: 'block-50', job: { vessels: 30, sparePct: 0 } }, 'job');
  const litres = store.litres();
  store.toVessel('pot-9');
  expect(store.recipe().job).toEqual({ vessels: 30, sparePct: 0 });
  expect(store.litres() / litres).toBeGreaterThan(2);
  expect(said).toEqual([expect.stringMatching(/^Still 30 of them: now 10\.\d\sL of mix\.$/)]);
  store.toVessel('block-20');
  store.toVessel('block-50');
  expect(store.litres()).toBeCloseTo(litres, 9);
});

test('what cannot be made says why and stays on the bench', () => {
  store.patch({ components: [{ material: 'sand-fine', parts: 1 }], compactionPct: 45 }, 'all');
  expect(store.outcome()).toMatchObject({
    state: 'impossible',
    why: expect.stringContaining('leaves no pores'),
  });
  expect(store.recipe().compactionPct).toBe(45);
  store.patch({ components: [{ material: 'gone', parts: 1 }], compactionPct: 0 }, 'gone');
  expect(store.outcome()).toMatchObject({
    state: 'impossible',
    why: 'Material: nothing here is called “gone”',
  });
});

test('a test of the mix as it was is laid aside when the mix changes, told, and undone', () => {
  store.patch({ measured: { ph: 5.9, airPct: 7 } }, 'test');
  store.patch({ job: { litres: 3 } }, 'job');
  expect(store.recipe().measured).toEqual({ ph: 5.9, airPct: 7 });
  store.patch({ lime: null }, 'lime');
  expect(store.recipe().measured).toEqual({ airPct: 7 });
  const notices = TestBed.inject(Notices);
  expect(notices.current()?.text).toContain('set aside');
  notices.undo();
  expect(store.recipe().measured).toEqual({ ph: 5.9, airPct: 7 });
});

test('a reload finds the recipe and its name again, on whatever page; nonsense is not found', () => {
  store.open(house);
  store.patch({ compactionPct: 5 }, 'firm');
  TestBed.tick();
  const again = (): RecipeStore => {
    const kept = localStorage.getItem('welcome.bench');
    TestBed.resetTestingModule();
    const http = bench();
    if (kept) localStorage.setItem('welcome.bench', kept);
    const other = TestBed.inject(RecipeStore);
    giveLibrary(http);
    return other;
  };
  localStorage.setItem('welcome.bench', JSON.stringify({ recipe: store.recipe(), opened: store.opened() }));
  const back = again();
  expect([back.recipe().compactionPct, back.opened()?.name, back.changed()]).toEqual([5, 'House', true]);
  for (const bad of [
    '{"recipe":{"components":[{"material":"gone","parts":1}],"job":{}}}',
    '[]',
    'x',
    'null',
  ]) {
    localStorage.setItem('welcome.bench', bad);
    expect(again().recipe()).toEqual(starterMixes.germination);
  }
});

test('a name goes with its mix: changed it stays, with nothing left of it or for another stage it goes', () => {
  store.open(house);
  const [first, ...others] = store.recipe().components;
  store.patch({ components: [...others, { material: 'coir-pith', parts: 2 }] }, 'a');
  expect([first!.material, store.opened()?.name]).toEqual(['peat-medium', 'House']);
  store.patch({ components: [{ material: 'coir-pith', parts: 2 }] }, 'b');
  expect(store.opened()).toBeNull();
  store.undo();
  expect(store.opened()?.name).toBe('House');
  store.patch({ stage: 'potting' }, 'c');
  expect(store.opened()).toBeNull();
});

test('opened, changed, kept', () => {
  expect(store.changed()).toBe(true);
  store.open(house);
  expect([store.changed(), store.opened()?.name]).toEqual([false, 'House']);
  store.patch({ compactionPct: 5 }, 'firm');
  expect(store.changed()).toBe(true);
  store.keptAs({ ...house, id: 5, version: 2, recipe: store.recipe() });
  expect([store.changed(), store.opened()?.version]).toEqual([false, 2]);
});
