import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { defaultSpreads } from '#core/spread/spreads';
import { bench, FakeSource } from '#testing/page';
import { InstrumentsService } from './instruments';
import { MixesService } from './mixes';
import { LibraryService } from './library';
import { Notices } from './notices';
import { ShelfService } from './shelf';
import { ApproachChoice, USUAL_APPROACH } from './approach-choice';
import { SpreadChoice } from './spread-choice';
import { Units } from './units';

let http: HttpTestingController;
beforeEach(() => {
  FakeSource.all = [];
  globalThis.EventSource = FakeSource as unknown as typeof EventSource;
  http = bench();
});
afterEach(() => jest.useRealTimers());

describe('the shelf', () => {
  const line = { material: 'loam', here: true, costPerL: 0.1, useUp: false };

  test('a change shows at once and is taken back when it could not be kept', () => {
    const shelf = TestBed.inject(ShelfService);
    http.expectOne('/api/shelf').flush([line]);
    let why = '';
    shelf.change('loam', { costPerL: 9 }, (reason) => (why = reason));
    expect(shelf.line('loam').costPerL).toBe(9);
    const sent = http.expectOne('/api/shelf/loam');
    expect([sent.request.method, sent.request.body]).toEqual(['PATCH', { costPerL: 9 }]);
    sent.flush({ detail: 'the disk is full' }, { status: 500, statusText: 'x' });
    expect([shelf.line('loam').costPerL, why]).toEqual([0.1, 'the disk is full']);
  });

  test('what is not told of stands elsewhere; an unread shelf says so', () => {
    const shelf = TestBed.inject(ShelfService);
    expect(shelf.line('pumice')).toEqual({ material: 'pumice', here: false, costPerL: null, useUp: false });
    http.expectOne('/api/shelf').error(new ProgressEvent('x'), { status: 0 });
    expect(shelf.lines.state()).toMatchObject({
      state: 'failed',
      why: expect.stringContaining('does not answer'),
    });
  });
});

test('kept recipes are read to the last page', () => {
  const { all } = TestBed.inject(MixesService);
  const rows = (n: number) => Array.from({ length: n }, (_, id) => ({ id }));
  http.expectOne('/api/mixes?away=no&from=0').flush(rows(100));
  expect(all.value()).toBeUndefined();
  http.expectOne('/api/mixes?away=no&from=100').flush(rows(3));
  expect(all.value()).toHaveLength(103);
});

describe('the library', () => {
  test('asked again three times before it is called failed', () => {
    jest.useFakeTimers();
    const { state } = TestBed.inject(LibraryService).fetched;
    for (let i = 0; i < 4; i++) {
      expect(state().state).toBe('loading');
      http.expectOne('/api/library').error(new ProgressEvent('x'), { status: 0 });
      jest.advanceTimersByTime(1100);
    }
    expect(state()).toMatchObject({ state: 'failed' });
  });
});

describe('choices of the device', () => {
  const again = <T>(what: new () => T): T => {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({});
    return TestBed.inject(what);
  };

  test('an approach is remembered; one that is none is not', () => {
    expect(again(ApproachChoice).approach().id).toBe(USUAL_APPROACH);
    again(ApproachChoice).follow('coir');
    expect(again(ApproachChoice).approach().id).toBe('coir');
    localStorage.setItem('welcome.school', 'of fish');
    expect(again(ApproachChoice).approach().id).toBe(USUAL_APPROACH);
    // As an earlier version kept it.
    localStorage.setItem('welcome.school', 'acid-peat');
    expect(again(ApproachChoice).approach().id).toBe('acid-peat');
  });

  test('spreads are remembered as far as they make sense, and forgotten', () => {
    expect(again(SpreadChoice).spreads()).toEqual(defaultSpreads);
    again(SpreadChoice).set('scoop', 0.2);
    expect(again(SpreadChoice).spreads().scoop).toBe(0.2);
    localStorage.setItem('welcome.spreads', '{"scoop": "much", "dose": 7, "buffer": 0.3}');
    expect(again(SpreadChoice).spreads()).toEqual({ ...defaultSpreads, buffer: 0.3 });
    localStorage.setItem('welcome.spreads', 'not json');
    expect(again(SpreadChoice).spreads()).toEqual(defaultSpreads);
    again(SpreadChoice).usual();
    expect(localStorage.getItem('welcome.spreads')).toBeNull();
  });

  test('units are remembered', () => {
    again(Units).use('us');
    expect(again(Units).system()).toBe('us');
    // As an earlier version kept it.
    localStorage.setItem('welcome.units', 'us');
    expect(again(Units).system()).toBe('us');
  });
});

test('a notice goes by itself, later where there is a way back, and its undo runs once', () => {
  jest.useFakeTimers();
  const notices = TestBed.inject(Notices);
  let undone = 0;
  notices.say('kept');
  jest.advanceTimersByTime(6100);
  expect(notices.current()).toBeNull();
  notices.say('put away', () => undone++);
  jest.advanceTimersByTime(6100);
  expect(notices.current()?.text).toBe('put away');
  notices.undo();
  notices.undo();
  expect([undone, notices.current()]).toEqual([1, null]);
});

describe('instruments', () => {
  const pen = {
    id: 'pen-ph',
    kind: 'pen-ph',
    name: 'pH pen',
    unit: 'pH',
    references: [7],
    calibrated: null,
    simulated: true,
  };

  test('one stream for all who look; it closes with the last', () => {
    const service = TestBed.inject(InstrumentsService);
    const [one, two] = [service.watch(), service.watch()];
    http.expectOne('/api/instruments').flush([pen]);
    expect(FakeSource.all).toHaveLength(1);
    one();
    expect(FakeSource.all[0]!.closed).toBe(false);
    two();
    expect(FakeSource.all[0]!.closed).toBe(true);
  });

  test('a lost stream takes its values away: an old one must not look like a live one', () => {
    const service = TestBed.inject(InstrumentsService);
    service.watch();
    http.expectOne('/api/instruments').flush([pen]);
    const stream = FakeSource.all[0]!;
    stream.say('open');
    stream.say('readings', JSON.stringify([{ instrument: 'pen-ph', at: '', value: 5.8, fault: null }]));
    expect(service.byKind().get('pen-ph')?.reading?.value).toBe(5.8);
    stream.say('error');
    expect([service.connected(), service.byKind().get('pen-ph')?.reading]).toEqual([false, null]);
  });
});
