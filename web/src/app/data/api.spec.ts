import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { starterMixes } from '#core/recipe/starter-mixes';
import { bench } from '#testing/page';
import { ApiClient, ApiError } from './api';
import { Units } from './units';

let http: HttpTestingController;
let api: ApiClient;
beforeEach(() => {
  http = bench();
  api = TestBed.inject(ApiClient);
});
const keyOf = (path: string): string => {
  const sent = http.expectOne(path);
  sent.error(new ProgressEvent('x'), { status: 0 });
  return (sent.request.body as { key: string }).key;
};
const quiet = { error: () => undefined };

test('an endpoint is called by its name: method, path, query and body follow', () => {
  api.call('lotTrace', { params: { id: 4 } }).subscribe(quiet);
  expect(http.expectOne('/api/lots/4/trace').request.method).toBe('GET');
  api.call('batches', { query: { away: 'yes' } }).subscribe(quiet);
  expect(http.expectOne('/api/batches?away=yes').request.method).toBe('GET');
  api
    .call('putShelfLine', { params: { material: 'a/b' }, body: { here: true, costPerL: 1, useUp: false } })
    .subscribe(quiet);
  const put = http.expectOne('/api/shelf/a%2Fb').request;
  expect([put.method, put.body]).toEqual(['PUT', { here: true, costPerL: 1, useUp: false }]);
  // Every body is JSON, also of what has nothing to say.
  api.call('restoreMix', { params: { id: 1 } }).subscribe(quiet);
  expect(http.expectOne('/api/mixes/1/restore').request.body).toEqual({});
});

test('what is written says in which units its answer is to be said; what is fetched ahead goes as it was fetched', () => {
  TestBed.inject(Units).use('us');
  api.call('restoreMix', { params: { id: 1 } }).subscribe(quiet);
  const { headers } = http.expectOne('/api/mixes/1/restore').request;
  expect([headers.get('welcome-units'), headers.get('accept-language')]).toEqual(['us', 'en']);
  api.call('batches').subscribe(quiet);
  expect(http.expectOne('/api/batches').request.headers.keys()).toEqual([]);
});

test('the same thing made again after a lost answer goes under the same key; another thing does not', () => {
  const mix = { name: 'House', recipe: starterMixes.potting };
  const keep = (body: typeof mix): string => {
    api.create('keepMix', { body }).subscribe(quiet);
    return keyOf('/api/mixes');
  };
  const first = keep(mix);
  expect(first).toMatch(/^[0-9a-f-]{36}$/);
  expect(keep(mix)).toBe(first);
  expect(keep({ ...mix, name: 'Other' })).not.toBe(first);
});

test('once it is answered, the same thing again is another one', () => {
  const body = { name: 'Pail', litres: 5, heapedLitres: null };
  api.create('keepMeasure', { body }).subscribe();
  const sent = http.expectOne('/api/measures');
  sent.flush({ id: 1, ...body });
  api.create('keepMeasure', { body }).subscribe(quiet);
  expect(keyOf('/api/measures')).not.toBe((sent.request.body as { key: string }).key);
});

test.each([
  [0, null, 'Welcome’s server does not answer. Is it still running?'],
  [200, 'not json', 'The answer cannot be read.'],
  [500, null, 'Broken'],
  [
    400,
    { detail: 'parts must be a number', issues: [{ path: 'parts', value: -1, allowed: '0 to 9' }] },
    'parts must be a number',
  ],
])('status %i with %j is said in words', (status, body, words) => {
  let result: unknown;
  api.call('today').subscribe({ error: (error: unknown) => (result = error) });
  const sent = http.expectOne('/api/today');
  if (status === 0) sent.error(new ProgressEvent('x'), { status: 0 });
  else if (status === 200) sent.error(new ProgressEvent('parse'), { status: 200, statusText: 'OK' });
  else sent.flush(body, { status, statusText: 'Broken' });
  expect(result).toBeInstanceOf(ApiError);
  expect((result as ApiError).message).toBe(words);
  expect((result as ApiError).issues).toHaveLength(status === 400 ? 1 : 0);
});
