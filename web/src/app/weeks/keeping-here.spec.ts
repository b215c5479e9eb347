import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { usualKeeping } from '#core/weeks/usual-keeping';
import { bench } from '#testing/page';
import { KeepingService } from '../data/keeping';
import { type MixVersion } from '#contract/mixes';
import { RecipeStore } from '../bench/recipe-store';
import { BenchKeeping } from '../bench/bench-keeping';
import { KeepingHere } from './keeping-here';

let http: HttpTestingController;
let here: KeepingHere;
let service: KeepingService;
let openBench: BenchKeeping;
const own = { ...usualKeeping, weeks: 5 };
beforeEach(() => {
  http = bench([KeepingHere]);
  here = TestBed.inject(KeepingHere);
  service = TestBed.inject(KeepingService);
  openBench = TestBed.inject(BenchKeeping);
  http.expectOne('/api/keeping').flush({ usual: usualKeeping, isSet: true, mixes: {} });
});
const planting = (id: number, its: typeof own | null = null, mix: number | null = null): void =>
  here.turnTo({ whose: 'planting', id, mix, own: its });

test('what is tried with one planting is left when another is looked at, and nothing of it is sent', () => {
  planting(3, own);
  here.patch({ tempC: 12 });
  expect([here.is(), here.now().tempC, here.now().weeks]).toEqual(['tried', 12, 5]);
  planting(4);
  expect([here.is(), here.now()]).toEqual(['usual', usualKeeping]);
  expect(http.match(() => true).map(({ request }) => request.url)).not.toContain('/api/plants/3/keeping');
});

test('what is kept for a planting leaves what is tried with the open recipe', () => {
  openBench.try({ tempC: 25 });
  planting(3);
  here.patch({ tempC: 12 });
  here.keepAsOwn();
  const sent = http.expectOne('/api/plants/3/keeping');
  expect(sent.request.body.keeping.tempC).toBe(12);
  sent.flush({ keeping: sent.request.body.keeping });
  expect([here.is(), openBench.now().tempC]).toEqual(['own', 25]);
});

test('what could not be made the usual is still tried, with the recipe as with a planting', () => {
  const refuse = (): void =>
    http.expectOne('/api/keeping').flush({ detail: 'no' }, { status: 400, statusText: 'Bad Request' });
  here.patch({ tempC: 25 });
  here.makeUsual();
  expect([here.is(), service.usual().tempC]).toEqual(['usual', 25]);
  refuse();
  expect([here.is(), here.now().tempC, service.usual().tempC]).toEqual(['tried', 25, usualKeeping.tempC]);
  planting(3);
  here.patch({ tempC: 12 });
  here.makeUsual();
  refuse();
  expect([here.is(), here.now().tempC]).toEqual(['tried', 12]);
});

test('a saved recipe has its own: what is open in it and what stands in it are kept so; refused, it is tried again', () => {
  const store = TestBed.inject(RecipeStore);
  const { recipe } = store;
  store.open({
    id: 9,
    mixId: 7,
    version: 1,
    name: 'House',
    note: '',
    recipe: recipe(),
  } as unknown as MixVersion);
  expect(here.mayOwn()).toBe('recipe');
  here.patch({ tempC: 12 });
  expect(here.is()).toBe('tried');
  here.keepAsOwn();
  const sent = http.expectOne('/api/mixes/7/keeping');
  expect(sent.request.body.keeping.tempC).toBe(12);
  expect([here.is(), openBench.now().tempC]).toEqual(['own', 12]);
  sent.flush({ keeping: sent.request.body.keeping });
  planting(3, null, 7);
  expect([here.is(), here.now().tempC]).toEqual(['by-recipe', 12]);
  planting(4, own, 7);
  expect([here.is(), here.now().weeks]).toEqual(['own', 5]);
  here.turnTo({ whose: 'bench' });
  here.asUsual();
  http.expectOne('/api/mixes/7/keeping').flush({ detail: 'no' }, { status: 400, statusText: 'Bad Request' });
  expect([here.is(), here.now().tempC]).toEqual(['own', 12]);
});
