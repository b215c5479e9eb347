import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { type Plan } from '#contract/plan';
import { seasonOf } from '#core/season/season';
import { library } from '#testing/library';
import { bench, giveLibrary, labelled, page, press, said, show, type } from '#testing/page';
import { FakeHired } from '#testing/hired';
import { aLine, crops, someSettings } from '#testing/season';
import { RecipeStore } from '../bench/recipe-store';
import { MadeForChoice } from '../data/made-for';
import { Units } from '../data/units';
import { SEASON_WORKER } from '../workers/tokens';
import { type SeasonApi } from '../workers/season.protocol';
import { BuyPage } from './buy-page';
import { LinePage } from './line-page';
import { PlanPage } from './plan-page';
import { RoomPage } from './room-page';
import { type BarMoved, SeasonRow, type StripRow } from './season-row';
import { SeasonStrip } from './season-strip';
import { SeasonView } from './season-view';

// Charts wait until they are looked at; here nobody looks.
globalThis.IntersectionObserver = class {
  observe = () => undefined;
  unobserve = () => undefined;
  disconnect = () => undefined;
} as unknown as typeof IntersectionObserver;

let http: HttpTestingController;
let worker: FakeHired<SeasonApi>;
beforeEach(() => {
  worker = new FakeHired<SeasonApi>();
  http = bench([{ provide: SEASON_WORKER, useValue: () => worker }]);
  jest.useFakeTimers({ now: new Date('2027-02-01T10:00:00Z'), doNotFake: ['queueMicrotask', 'nextTick'] });
});
afterEach(() => jest.useRealTimers());

const lines = [
  aLine({ id: 1, crop: 'tomato', name: 'Long Red', plants: 100 }),
  aLine({ id: 2, crop: 'lettuce', plants: 150, count: 3, everyDays: 10 }),
];

/** All that the pages of the season ask the server for. */
function give(plan: Partial<Plan> = {}, stock: object[] = [], library = true): void {
  if (library) giveLibrary(http);
  const answers: Record<string, unknown> = {
    '/api/crops': [...crops.values()].map((crop) => ({ ...crop, source: 'x', own: false })),
    '/api/plan': { settings: someSettings, lines, done: [], made: [], ...plan },
    '/api/stock': stock,
    '/api/lots': [],
    '/api/mixes?away=no&from=0': [],
    '/api/nursery': { id: '0'.repeat(32), timeZone: 'UTC', today: '2027-02-01' },
    '/api/instruments/weather': [],
  };
  for (const [address, body] of Object.entries(answers))
    for (const asked of http.match((httpRequest) => httpRequest.urlWithParams === address))
      asked.flush(body as object);
  TestBed.tick();
  jest.advanceTimersByTime(500);
  TestBed.tick();
}

test('at a glance: what comes next, the next mixing day, the fullest week, and what speaks up', () => {
  const fixture = show(PlanPage);
  give({ settings: { ...someSettings, benches: [{ name: 'Small', m2: 0.5, heated: true, lights: false }] } });
  const words = said(fixture);
  expect(words).toMatch(/Next, \w+ \d+ \w+\s*Sow Lettuce, sowing 1 of 3/);
  expect(words).toMatch(/Mix next, .* L of Seed mix/);
  expect(words).toMatch(/Fullest, week \d+ of 2027 [\d.]+ m² of 0.5 m²/);
  expect(words).toMatch(/the bench is too small in \d+ weeks/);
  expect(words).toContain('1 to a cell leaves 15 % empty');
  TestBed.inject(Units).use('us');
  TestBed.tick();
  expect(said(fixture)).toMatch(/of 5.4 ft²/);
  expect(said(fixture)).not.toMatch(/\d\s?(m²|cm|mm|L)\b/);
});

test('a bar moved by a key goes to the server with its sowing alone moved, and back with Undo', () => {
  const fixture = show(PlanPage);
  give();
  const bar = page(fixture).querySelectorAll<HTMLButtonElement>('.bar')[2]!;
  expect(bar.getAttribute('aria-label')).toMatch(/^Lettuce, sowing \d of 3: 128-cell tray/);
  bar.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
  TestBed.tick();
  const sent = http.expectOne('/api/plan/lines/2');
  const shifts = (sent.request.body as { shifts: number[] }).shifts;
  expect([...shifts].sort()).toEqual([0, 0, 7]);
  sent.flush({ ...lines[1], shifts });
  TestBed.tick();
  expect(said(fixture)).toContain('Lettuce');
});

test('two presses in a row: what the first one answers late does not undo the second', () => {
  const fixture = show(PlanPage);
  give();
  const bar = page(fixture).querySelector<HTMLButtonElement>('.bar')!;
  const key = (): void => {
    bar.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
    TestBed.tick();
  };
  key();
  key();
  const sent = http.match('/api/plan/lines/1');
  expect(sent.map((testRequest) => (testRequest.request.body as { shifts: number[] }).shifts)).toEqual([
    [7],
    [14],
  ]);
  for (const testRequest of sent) {
    testRequest.flush({ ...lines[0], ...(testRequest.request.body as object) });
    TestBed.tick();
    expect(TestBed.inject(SeasonView).season()!.sowings[0]!.line.shifts).toEqual([14]);
  }
});

test('a row draws a bar for every sowing; a drag tells days while it goes and once it rests, a press opens', () => {
  const row: StripRow = {
    ...{ line: 7, name: 'Leek', sort: '' },
    lanes: [
      {
        bars: [
          {
            ...{ sowing: 1, begun: true, left: 10, width: 20, says: 'Leek' },
            steps: [{ left: 0, width: 100, high: 9, first: true, long: false }],
          },
        ],
      },
    ],
  };
  const fixture = show(SeasonRow, { row, days: 100 });
  const result: (BarMoved | number | boolean)[] = [];
  fixture.componentInstance.moved.subscribe((barMoved) => result.push(barMoved));
  fixture.componentInstance.opened.subscribe((each) => result.push(each));
  const bar = page(fixture).querySelector<HTMLElement>('.bar')!;
  bar.setPointerCapture = () => undefined;
  bar.parentElement!.getBoundingClientRect = () => ({ width: 500 }) as DOMRect;
  const hand = (kind: string, clientX: number): void => {
    bar.dispatchEvent(Object.assign(new Event(kind), { clientX, button: 0, pointerId: 1 }));
  };
  hand('pointerdown', 0);
  hand('pointermove', 2);
  hand('pointerup', 2);
  expect(result).toEqual([7]);
  hand('pointerdown', 0);
  hand('pointermove', 50);
  hand('pointerup', 50);
  // 500 px are 100 days.
  expect(result.slice(1)).toEqual([
    { line: 7, sowing: 1, days: 10, rests: false },
    { line: 7, sowing: 1, days: 10, rests: true },
  ]);
});

test('only the row that changed is drawn anew', () => {
  const of = (all: typeof lines) => seasonOf(someSettings, all, crops, library.vessels).sowings;
  const begun = () => false;
  const inputs = { mixing: [], frost: someSettings.frost, today: '2027-02-01', begun };
  const fixture = show(SeasonStrip, { ...inputs, sowings: of(lines) });
  const rows = () => (fixture.componentInstance as unknown as { rows: () => StripRow[] }).rows();
  const [tomato, lettuce] = rows();
  fixture.componentRef.setInput('sowings', of([{ ...lines[0]!, name: 'Plum' }, lines[1]!]));
  TestBed.tick();
  expect(rows()[1]).toBe(lettuce);
  expect(rows()[0]).not.toBe(tomato);
  expect(rows()[0]!.sort).toBe('Plum');
});

test('the fit is looked for in the worker, said with its moves, and taken in one press', async () => {
  const fixture = show(PlanPage);
  give({ settings: { ...someSettings, benches: [{ name: 'Small', m2: 0.5, heated: true, lights: false }] } });
  press(fixture, 'Fit the bench');
  const request = worker.last('fit');
  const [items, benchM2] = request.given as Parameters<SeasonApi['fit']>;
  expect([items.length, benchM2]).toEqual([4, 0.5]);
  const option = { move: { days: 14 }, plantDays: 1400, loads: new Map<number, number>() };
  await request.answer({
    ...{ outcome: 'fits', exact: true, plantDays: 1400, over: [{ week: 2985, m2: 0.2 }] },
    moves: [{ line: 1, sowing: 1, option }],
  });
  expect(said(fixture)).toMatch(/It fits with 1400 plant-days moved:\s*Tomato “Long Red” 2\sweeks later/);
  press(fixture, 'Move them');
  expect((http.expectOne('/api/plan/lines/1').request.body as { shifts: number[] }).shifts).toEqual([14]);
});

test('a mixing day puts its recipe on the bench, in its litres, for its steps', () => {
  const fixture = show(PlanPage);
  give();
  const go = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  const day = TestBed.inject(SeasonView).needs()!.days[0]!;
  page(fixture).querySelector<HTMLButtonElement>('.mixing button')!.click();
  expect(go).toHaveBeenCalledWith(['/batches', 'new']);
  const { recipe } = TestBed.inject(RecipeStore);
  expect(recipe().job).toEqual({ litres: Math.round(100 * day.litres) / 100 });
  const sent = TestBed.inject(MadeForChoice).of(recipe())!;
  expect(sent.steps).toEqual(day.needs.map(({ line, sowing, step }) => ({ line, sowing, step })));
  // A little more of it is still for them; a mix for another vessel is not.
  const choice = TestBed.inject(MadeForChoice);
  expect(choice.of({ ...recipe(), job: { litres: 1 } })).toEqual(sent);
  expect(choice.of({ ...recipe(), vessel: 'pot-9cm-of-another-kind' })).toBeNull();
});

test('a new line answers as it is typed: begin, cells, mix, frost; an impossible test is said and not sent', () => {
  const fixture = show(LinePage, { id: 'new' });
  give();
  // 5 May + 14 days less seven weeks.
  expect(said(fixture)).toMatch(/Begin\s*Wed 31 Mar/);
  type(fixture, 'Plants wanted, each time', '200');
  expect(said(fixture)).toMatch(/227 × 9 cm pot/);
  type(fixture, 'Your test: seeds laid out', '20');
  type(fixture, 'Your test: came up', '30');
  expect(said(fixture)).toContain('No more can come up than the 20 that were laid out, was 30');
  type(fixture, 'Your test: came up', '12');
  expect(said(fixture)).toMatch(/counting on 4\d % \(your test: 4\d % to 7\d %\)/);
  press(fixture, 'Add it to the season');
  const { body } = http.expectOne('/api/plan/lines').request as { body: object };
  expect(body).toMatchObject({ crop: 'tomato', plants: 200, seedTest: { came: 12, of: 20 } });
});

test('what to buy stands by the month in which it must be there; trays are counted as trays; what nobody counted is counted first', () => {
  const fixture = show(BuyPage);
  give({}, [
    { kind: 'material', item: 'peat-fine', name: 'Bale', left: 5000, daysLeft: null, pricePerUnit: null },
    { kind: 'material', item: 'perlite-coarse', name: 'Sack', left: 1, daysLeft: null, pricePerUnit: null },
    { kind: 'vessel', item: 'cell-128', name: 'Stack', left: 0, daysLeft: null, pricePerUnit: null },
  ]);
  const words = said(fixture);
  expect(words).toMatch(/128-cell tray ?\d+ \(\d+ cells\) by/);
  expect(words).toMatch(/Count these first.*Seed of Tomato/);
  expect(words).toMatch(/What lasts .*Sphagnum peat, fine/);
  expect(words.indexOf('February 2027')).toBeGreaterThan(0);
  expect(words.indexOf('February 2027')).toBeLessThan(words.indexOf('March 2027'));
});

test('frosts that do not follow each other are said and cannot be kept', () => {
  const fixture = show(RoomPage);
  give({}, [], false);
  const keep = () =>
    [...page(fixture).querySelectorAll('button')].find((b) => b.textContent.trim() === 'Save')!;
  expect(keep().disabled).toBe(false);
  const late = labelled(fixture, 'Late, one year of ten after it');
  late.value = '2027-04-01';
  late.dispatchEvent(new Event('input'));
  TestBed.tick();
  expect(said(fixture)).toContain('must follow one another: 2027-04-20, 2027-05-05, 2027-04-01 do not');
  expect(keep().disabled).toBe(true);
});
