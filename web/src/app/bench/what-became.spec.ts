import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type BatchResult } from '../data/plants';
import { bench, giveLibrary, page, press, said, show } from '#testing/page';
import { RecipeStore } from './recipe-store';
import { WhatBecame } from './what-became';

let http: HttpTestingController;
beforeEach(() => {
  http = bench();
});

const recipe: Recipe = { ...starterMixes.potting, lime: { amendment: 'lime-dolomitic', ph: 5.6 } };
const result: BatchResult = {
  ...{
    batch: 4,
    name: 'Spring',
    madeOn: '2031-02-01',
    version: 2,
    plantings: 3,
    up: { alive: 446, of: 480 },
  },
  ...{ lost: [{ cause: 'damped off', count: 9 }], read: { ph: 4.6, ec: null } },
  crops: [],
  suspects: [
    { cause: 'sour', weight: 1.5, plantings: 2 },
    { cause: 'cold', weight: 0.5, plantings: 1 },
  ],
};
function shown(results: BatchResult[]) {
  const fixture = show(WhatBecame, { of: 'mix', id: 3, recipe });
  giveLibrary(http);
  http.expectOne('/api/plants/results?of=mix&id=3').flush(results);
  TestBed.tick();
  return fixture;
}

test('in one line what became of each batch; what no mix mends in words; what the mix does not explain', () => {
  const text = said(shown([result]));
  expect(text).toContain('93 % of 480 came up; 9 lost, damped off; too acid in 2 of 3; too cold in 1 of 3');
  expect(text).toContain('version 2');
  expect(text).toMatch(/Spring: pH 5\.\d was expected and 4\.6 was read\. Test its materials/);
  expect(text).toMatch(/Too cold: Nothing in the mix/);
});

test('a change goes on the bench with its reason, and the reason stays with the kept mix alone', () => {
  const fixture = shown([result]);
  const store = TestBed.inject(RecipeStore);
  const taken: { recipe: Recipe; why: string }[] = [];
  fixture.componentInstance.taken.subscribe((each) => taken.push(each));
  expect(said(fixture)).toMatch(/Lime to pH .* against: Too acid ?It would do: pH 5\.\d → \d\.\d/);
  page(fixture).querySelector<HTMLButtonElement>('.changes button')!.click();
  const [change] = taken;
  expect(change!.recipe.lime!.ph).toBeGreaterThan(5.6);
  expect(change!.why).toMatch(/^Lime to pH .* against “Too acid”: Spring, 93\s% of 480 came up/);

  const mix = {
    ...{
      id: 8,
      mixId: 3,
      version: 2,
      name: 'House',
      note: '',
      key: null,
      mixKey: null,
      figures: null,
      why: '',
      createdAt: '',
    },
    recipe,
  };
  store.changeFor(change!.recipe, mix, change!.why);
  expect([store.why(), store.opened()?.name, store.changed()]).toEqual([change!.why, 'House', true]);
  store.patch({ compactionPct: 3 }, 'firm');
  expect(store.why()).toBe(change!.why);
  store.startWith(starterMixes.germination);
  expect(store.why()).toBe('');
  store.undo();
  expect(store.why()).toBe(change!.why);
  store.keptAs({ ...mix, id: 9, version: 3, recipe: change!.recipe, why: change!.why });
  expect(store.why()).toBe('');
});

test('nothing sown of it: nothing is said', () => {
  expect(said(shown([]))).toBe('');
  expect(() => press(shown([]), 'What would you change?')).toThrow();
});
