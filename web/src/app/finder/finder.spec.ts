import { type ShelfService } from '../data/shelf';
import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { conflictOf, formulated, searchAll, fastAndLimits } from '#core/finder/formulate';
import { bench, FakeSource, giveLibrary } from '#testing/page';
import { RecipeStore } from '../bench/recipe-store';
import { FINDER_WORKER } from '../workers/tokens';
import { type FinderAnswer, type FinderRequest } from '../workers/finder.protocol';
import { FinderSearch } from './finder-search';
import { Wishes } from './wishes';

let http: HttpTestingController;
let wishes: Wishes;
const shelf = ['peat-fine', 'perlite-coarse', 'coir-pith'].map((material, i) => ({
  material,
  here: true,
  costPerL: 0.1 + i / 10,
  useUp: false,
}));

beforeEach(() => {
  FakeSource.all = [];
  Object.defineProperty(navigator, 'hardwareConcurrency', { value: 2, configurable: true });
  http = bench([FinderSearch, { provide: FINDER_WORKER, useValue: () => new FakeSource() }]);
  wishes = TestBed.inject(Wishes);
  http.expectOne('/api/shelf').flush(shelf);
  giveLibrary(http);
});

describe('what is asked', () => {
  test('the job on the bench, the shelf with its prices, the usual starter', () => {
    const job = wishes.job()!;
    expect(job.shelved.map((s) => [s.material.id, s.costPerL])).toEqual([
      ['peat-fine', 0.1],
      ['coir-pith', expect.closeTo(0.3, 9)],
      ['perlite-coarse', 0.2],
    ]);
    expect([job.stage, job.lime?.id, job.starter[0]?.amendment.id]).toEqual([
      'germination',
      'lime-dolomitic',
      'calcium-nitrate',
    ]);
  });

  test('a wish that nothing can tell apart is none: a price is unknown, nothing use up soon', () => {
    expect(wishes.job()!.preferences.useUp).toBe(0);
    TestBed.inject(Wishes);
    const service = wishes as unknown as { shelf: ShelfService };
    service.shelf.change(shelf[0]!.material, { costPerL: null, useUp: true }, () => undefined);
    const { preferences } = wishes.job()!;
    expect(preferences.price).toBe(0);
    expect(preferences.useUp).toBeGreaterThan(0);
  });

  test('bounds, peat, parts; traces stay, salts are solved again', () => {
    wishes.bound('peat-fine', { min: 2, max: 3 });
    wishes.withoutPeat(true);
    wishes.setTotal(12.4);
    wishes.setMaterialsMax(2);
    TestBed.inject(RecipeStore).patch(
      {
        amendments: [
          { amendment: 'trace-elements', gPerL: 0.1 },
          { amendment: 'potassium-nitrate', gPerL: 0.3 },
        ],
      },
      'doses',
    );
    const job = wishes.job()!;
    expect(job).toMatchObject({ maxTotal: 12, materialsMax: 2, peatMax: 0 });
    expect([job.minParts['peat-fine'], job.maxParts['peat-fine']]).toEqual([2, 3]);
    expect(job.fixedDoses.map((d) => d.amendment.id)).toEqual(['trace-elements']);
  });
});

describe('the search in workers', () => {
  const answer = (worker: number, message: FinderAnswer): void =>
    FakeSource.all[worker]!.say('message', message);
  const lastOf = (worker: number): FinderRequest => FakeSource.all[worker]!.sent.at(-1) as FinderRequest;

  test('dealt to all cores, told in full by one, odds dealt out again, older answers dropped', () => {
    const search = TestBed.inject(FinderSearch);
    const job = { ...wishes.job()!, maxTotal: 5 };
    search.start(job);
    expect(FakeSource.all).toHaveLength(2);
    expect(lastOf(1)).toMatchObject({ kind: 'search', worker: 1, of: 2, id: 1 });
    answer(0, { kind: 'progress', id: 1, worker: 0, share: 0.5, tried: 40 });
    expect(search.state()).toEqual({ state: 'searching', share: 0.25, tried: 40 });

    const made = fastAndLimits(job);
    const result = searchAll(made.fast, made.limits, 10);
    answer(0, { kind: 'found', id: 1, worker: 0, result });
    expect(search.busy()).toBe(true);
    answer(1, { kind: 'found', id: 1, worker: 1, result: { ...result, best: [], perSet: [] } });
    expect(lastOf(0)).toMatchObject({ kind: 'tell', id: 1 });
    const told = result.best
      .slice(0, 3)
      .map(({ parts }) => ({ parts, found: formulated(job, made.fast, parts) }));
    answer(0, {
      kind: 'told',
      id: 1,
      every: told,
      perSet: told.slice(0, 2),
      conflict: conflictOf(made.fast, result),
    });
    expect(search.state()).toMatchObject({ state: 'done', tried: 2 * result.tried });
    expect(search.list()).toHaveLength(2);
    search.everyRecipe.set(true);
    expect(search.list().map((one) => one.odds)).toEqual([null, null, null]);

    expect(lastOf(0)).toMatchObject({ kind: 'odds', inputs: { length: 2 } });
    answer(1, { kind: 'odds', id: 1, odds: [0.4] });
    answer(0, { kind: 'odds', id: 0, odds: [0.9, 0.9] });
    expect(search.list().map((one) => one.odds)).toEqual([null, 0.4, null]);
    answer(0, { kind: 'odds', id: 1, odds: [0.7, 0.6] });
    expect(search.list().map((one) => one.odds)).toEqual([0.7, 0.4, 0.6]);
  });

  test('stopped: the workers are told, and what they still say is not heard', () => {
    const search = TestBed.inject(FinderSearch);
    search.start(wishes.job()!);
    search.stop();
    expect(lastOf(0)).toEqual({ kind: 'stop' });
    answer(0, { kind: 'progress', id: 1, worker: 0, share: 1, tried: 9 });
    expect(search.state()).toEqual({ state: 'stopped' });
  });

  test('what cannot be searched says why', () => {
    const search = TestBed.inject(FinderSearch);
    search.start(wishes.job()!);
    answer(1, { kind: 'impossible', id: 1, why: 'limits.minParts must be at most 10 parts in all' });
    expect(search.state()).toMatchObject({ state: 'impossible', why: expect.stringContaining('minParts') });
  });
});
