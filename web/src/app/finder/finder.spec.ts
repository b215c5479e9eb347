import { type ShelfService } from '../data/shelf';
import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { conflictOf, formulated, searchAll, fastAndLimits } from '#core/finder/formulate';
import { FakeHired } from '#testing/hired';
import { bench, giveLibrary } from '#testing/page';
import { RecipeStore } from '../bench/recipe-store';
import { FINDER_WORKER } from '../workers/tokens';
import { Refused } from '../workers/calls';
import { type FinderApi } from '../workers/finder.protocol';
import { FinderSearch } from './finder-search';
import { Wishes } from './wishes';

let http: HttpTestingController;
let wishes: Wishes;
let workers: FakeHired<FinderApi>[];
const shelf = ['peat-fine', 'perlite-coarse', 'coir-pith'].map((material, i) => ({
  material,
  here: true,
  costPerL: 0.1 + i / 10,
  useUp: false,
}));

beforeEach(() => {
  workers = [];
  const hire = (): FakeHired<FinderApi> => {
    workers.push(new FakeHired<FinderApi>());
    return workers.at(-1)!;
  };
  Object.defineProperty(navigator, 'hardwareConcurrency', { value: 2, configurable: true });
  http = bench([FinderSearch, { provide: FINDER_WORKER, useValue: hire }]);
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
  const asked = (worker: number, name: keyof FinderApi) => workers[worker]!.last(name);
  const searchOf = (worker: number) => {
    const [job, keep, share, progress] = asked(worker, 'search').given as Parameters<FinderApi['search']>;
    return { job, keep, share, progress };
  };

  test('dealt to all cores, told in full by one, odds dealt out again as each has them', async () => {
    const search = TestBed.inject(FinderSearch);
    const job = { ...wishes.job()!, maxTotal: 5 };
    void search.start(job);
    expect(workers).toHaveLength(2);
    expect(searchOf(1).share).toEqual({ worker: 1, of: 2 });
    searchOf(0).progress(0.5, 40);
    expect(search.state()).toEqual({ state: 'searching', share: 0.25, tried: 40 });

    const made = fastAndLimits(job);
    const result = searchAll(made.fast, made.limits, 10);
    await asked(0, 'search').answer(result);
    expect(search.busy()).toBe(true);
    await asked(1, 'search').answer({ ...result, best: [], perSet: [] });
    const answer = result.best
      .slice(0, 3)
      .map(({ parts }) => ({ parts, found: formulated(job, made.fast, parts) }));
    const conflict = conflictOf(made.fast, result);
    await asked(0, 'tell').answer({ every: answer, perSet: answer.slice(0, 2), conflict });
    expect(search.state()).toMatchObject({ state: 'done', tried: 2 * result.tried });
    expect(search.list()).toHaveLength(2);
    search.everyRecipe.set(true);
    expect(search.list().map((listed) => listed.odds)).toEqual([null, null, null]);

    expect(asked(0, 'odds').given[0]).toHaveLength(2);
    await asked(1, 'odds').answer([0.4]);
    expect(search.list().map((listed) => listed.odds)).toEqual([null, 0.4, null]);
    // How far the search was comes late by another port: it is over.
    searchOf(0).progress(0.9, 90);
    expect(search.state()).toMatchObject({ state: 'done' });
    await asked(0, 'odds').answer([0.7, 0.6]);
    expect(search.list().map((listed) => listed.odds)).toEqual([0.7, 0.4, 0.6]);
  });

  test('a newer search makes the older unheard, whatever it still answers', async () => {
    const search = TestBed.inject(FinderSearch);
    void search.start(wishes.job()!);
    const older = workers.map((_, i) => asked(i, 'search'));
    const late = searchOf(0).progress;
    void search.start(wishes.job()!);
    late(0.7, 70);
    for (const askedFor of older) await askedFor.answer(null);
    expect(search.state()).toEqual({ state: 'searching', share: 0, tried: 0 });
  });

  test('stopped: the workers are told, and what they still say is not heard', async () => {
    const search = TestBed.inject(FinderSearch);
    void search.start(wishes.job()!);
    search.stop();
    expect(workers.map((fakeHired) => fakeHired.asked.at(-1)!.name)).toEqual(['stop', 'stop']);
    searchOf(0).progress(1, 9);
    for (const worker of workers) await worker.last('search').answer(null);
    expect(search.state()).toEqual({ state: 'stopped' });
  });

  test('what cannot be searched says why', async () => {
    const search = TestBed.inject(FinderSearch);
    void search.start(wishes.job()!);
    await asked(1, 'search').refuse(new Refused('limits.minParts must be at most 10 parts in all'));
    expect(search.state()).toMatchObject({ state: 'impossible', why: expect.stringContaining('minParts') });
  });
});
