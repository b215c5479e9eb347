import { type HttpTestingController } from '@angular/common/http/testing';
import { type Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { defaultSpreads } from '#core/spread/spreads';
import { lifeOf } from '#core/water/life';
import { LifeSampler } from '#core/water/life-band';
import { ActivatedRoute, convertToParamMap } from '@angular/router';
import { of } from 'rxjs';
import { starterMixes } from '#core/recipe/starter-mixes';
import { vesselKinds } from '#core/vessel/kinds';
import { bench, giveLibrary, labelled, press, said, show, type } from '#testing/page';
import { FakeHired } from '#testing/hired';
import { KeepingService } from '../data/keeping-choice';
import { SPREAD_WORKER, WEEKS_WORKER } from '../workers/tokens';
import { Refused } from '../workers/calls';
import { type WeeksApi } from '../workers/weeks.protocol';
import { FeedMaker } from './feed-maker';
import { WeeksPage } from './weeks-page';

let http: HttpTestingController;
let worker: FakeHired<WeeksApi>;
beforeEach(() => {
  jest.useFakeTimers();
  begin();
});
function begin(more: Provider[] = []): void {
  worker = new FakeHired<WeeksApi>();
  http = bench([
    ...more,
    { provide: WEEKS_WORKER, useValue: () => worker },
    { provide: SPREAD_WORKER, useValue: () => new FakeHired() },
  ]);
}
afterEach(() => jest.useRealTimers());

/** The page with the newest request that it sent, once the hand rests. */
const open = () => {
  const page = show(WeeksPage);
  giveLibrary(http);
  jest.advanceTimersByTime(300);
  return page;
};
/** The lives that were asked for. */
const lives = () =>
  worker.asked
    .filter(({ name }) => name === 'lives')
    .map((call) => {
      const [input, keeping, spreads, draws, progress] = call.given as Parameters<WeeksApi['lives']>;
      return { ...call, input, keeping, spreads, draws, progress };
    });

test('it asks for lives of the mix on the bench, and says what comes of them with its odds', async () => {
  const page = open();
  const [asked] = lives();
  expect(asked).toMatchObject({ draws: 500, keeping: { days: 56, water: { alkalinityMgPerL: 80 } } });
  const { input, keeping } = asked!;
  const hungry = { ...keeping, rule: { ...keeping.rule, feedNMgPerL: 0 } };
  const sampler = new LifeSampler(input, hungry, defaultSpreads);
  sampler.draw(40);
  asked!.progress(0.5);
  TestBed.tick();
  expect(said(page)).toContain('Stop');
  await asked!.answer({ typical: lifeOf(input, hungry), band: sampler.result() });
  expect(said(page)).toMatch(/Nearly always: nitrogen runs out, about day 3\d\. Feed sooner or more/);
  expect(said(page)).toMatch(/Lift it: water a cell at\s*37\.2 g/);
  expect(said(page)).toContain('short below 10');
  expect(said(page)).not.toContain('Stop');
});

test('acid takes its share of the alkalinity from what is lived through, and its cautions stand beside it', () => {
  const page = open();
  TestBed.inject(KeepingService).patch({
    acid: 'nitric61',
    acidPh: 5.8,
    water: { alkalinityMgPerL: 250, ecMSPerCm: 0.6 },
  });
  TestBed.tick();
  jest.advanceTimersByTime(300);
  const { keeping } = lives().at(-1)!;
  // Model section 21: 250 mg/L to pH 5.8, a share of 0.780, 0.30 mL/L of 61 % nitric acid and 55 mg/L of nitrogen.
  expect(keeping.water.alkalinityMgPerL).toBeCloseTo(250 * (1 - 0.78), 0);
  expect(said(page)).toMatch(/30 mL to 100 L of water takes it to pH 5\.8: 55 mg\/L of alkalinity stay/);
  expect(said(page)).toContain('brings 55 mg/L of nitrogen');
  expect(said(page)).toContain('acid into water, never water into acid');
});

test('two waters are blended to an alkalinity that is asked for; what they cannot give is said and kept as typed', () => {
  const page = open();
  const water = {
    ...{ ecMSPerCm: 0.5, ph: null, takenOn: null },
    ...{ caMgPerL: null, mgMgPerL: null, naMgPerL: null, clMgPerL: null },
  };
  http.expectOne('/api/waters').flush([
    { id: 4, name: 'Well', kind: 'well', ...water, alkalinityMgPerL: 260 },
    { id: 7, name: 'Barrel', kind: 'rain', ...water, alkalinityMgPerL: 10 },
  ]);
  const keeping = TestBed.inject(KeepingService);
  keeping.patch({ waterId: 4, blendId: 7, blendPct: 50 });
  TestBed.tick();
  const asked = 'So that its alkalinity is, mg/L';
  expect(labelled(page, asked).value).toBe('135');
  // (60 - 10) / (260 - 10): a fifth.
  type(page, asked, '60');
  expect(keeping.now().blendPct).toBeCloseTo(20, 9);
  expect(labelled(page, 'Of it Well, %').value).toBe('20');
  expect(labelled(page, asked).value).toBe('60');
  type(page, asked, '300');
  expect(said(page)).toContain('These two together can have 10 to 260 mg/L, not 300.');
  expect(keeping.now().blendPct).toBeCloseTo(20, 9);
  expect(labelled(page, asked).value).toBe('300');
  type(page, 'Of it Well, %', '40');
  expect(said(page)).not.toContain('These two together');
  expect(labelled(page, asked).value).toBe('110');
});

test('a rule is looked for and taken; what no rule mends is said', async () => {
  const page = open();
  press(page, 'Find me a rule');
  const asked = worker.asked.at(-1)!;
  expect(asked.name).toBe('rule');
  // The hand has not rested yet when it was pressed: the lives are asked for after it.
  TestBed.inject(KeepingService).patch({ tempC: 21 });
  TestBed.tick();
  jest.advanceTimersByTime(300);
  expect(worker.asked.at(-1)!.name).toBe('lives');
  const rule = { waterAt: 0.6, leachPct: 20, feedNMgPerL: 50, feedFromDay: 21 };
  await asked.answer({ rule, waterings: 9, left: [], tried: 888 });
  expect(said(page)).toContain(
    'Keeps all in range with the fewest waterings: water when 60 % of its water is gone, let 20 % run through, 50 mg/L of nitrogen from day 21: 9 waterings.',
  );
  // What is lived through meanwhile does not stop it, nor the other way round.
  expect(worker.asked.filter(({ name }) => name === 'stop')).toEqual([]);
  press(page, 'Save');
  expect(TestBed.inject(KeepingService).now().rule).toEqual(rule);
  press(page, 'Find me a rule');
  await worker
    .last('rule')
    .answer({ rule, waterings: 9, left: [{ trouble: 'sweet', first: 30 }], tried: 888 });
  expect(said(page)).toMatch(
    /None of 888 rules keeps all in range\..*it is too alkaline from day 30\. Acid in the water/,
  );
});

test('an answer to an older question is dropped, and what cannot be is said', async () => {
  const page = open();
  const older = lives().at(-1)!;
  const { input, keeping } = older;
  TestBed.inject(KeepingService).patch({ weeks: 4 });
  TestBed.tick();
  jest.advanceTimersByTime(300);
  const sampler = new LifeSampler(input, keeping, defaultSpreads);
  sampler.draw(1);
  await older.answer({ typical: lifeOf(input, keeping), band: sampler.result() });
  expect(said(page)).toContain('Working it out…');
  await lives().at(-1)!.refuse(new Refused('the tray is upside down'));
  expect(said(page)).toContain('Not possible: the tray is upside down.');
});

test('the feed: model section 21, 200 mg/L of nitrogen from 20 % is 1 g/L, for a can and for an injector', () => {
  const form = show(FeedMaker);
  giveLibrary(http);
  const keeping = TestBed.inject(KeepingService);
  keeping.setRule({ feedNMgPerL: 155 });
  type(form, 'Of which', 'calcium-nitrate');
  type(form, 'Can or tank, L', '100');
  // 15.5 % of nitrogen: a gram to the litre.
  expect(said(form)).toContain('100 g of calcium nitrate');
  expect(said(form)).toContain('in 100 L of water');
  expect(said(form)).toContain('strong for seedlings');
  expect(said(form)).toContain('Feeds fire');
  type(form, 'Injector, one to (1: none)', '100');
  expect(said(form)).toContain('10.0 kg of calcium nitrate');
  expect(said(form)).toContain('in 100 L of stock');
});

describe('of a planting', () => {
  const planting = (change: object = {}) => ({
    ...{
      id: 7,
      start: 'sow',
      crop: 'tomato',
      name: 'Long Red',
      seed: '',
      vessel: 'cell-24',
      cells: 24,
      perCell: 1,
    },
    ...{ on: '2031-02-01', batch: 3, batchName: 'Spring mix', from: [], trial: null, bareRoot: false },
    ...{ halfFilled: false, season: null, putAway: false, care: null, allCare: [], kin: [], lots: [] },
    tally: { begun: 24, entered: null, alive: null, thinned: 0, moved: 0, out: 0, lost: [] },
    events: [
      { id: 1, at: '', event: { kind: 'ph', on: '2031-02-20', value: 6.9 } },
      { id: 2, at: '', event: { kind: 'ec', on: '2031-02-22', value: 1.5 } },
      { id: 3, at: '', event: { kind: 'ph', on: '2031-02-23', value: 4 } },
      { id: 4, at: '', event: { kind: 'undo', on: '2031-02-23', of: 3 } },
    ],
    ...change,
  });
  const batch = { id: 3, name: 'Spring mix', snapshot: { recipe: starterMixes.seedling } };
  const openPlanting = (change: object = {}) => {
    TestBed.resetTestingModule();
    begin([
      {
        provide: ActivatedRoute,
        useValue: { queryParamMap: of(convertToParamMap({ planting: '7' })) },
      },
    ]);
    const page = show(WeeksPage);
    giveLibrary(http);
    http.expectOne('/api/plants/7').flush(planting(change));
    http.match('/api/batches/3').forEach((testRequest) => testRequest.flush(batch));
    TestBed.tick();
    jest.advanceTimersByTime(300);
    return page;
  };

  test('its own mix and vessel live, through its readings, and its days are dates', async () => {
    const page = openPlanting();
    const asked = lives().at(-1)!;
    expect(asked.input.vessel).toEqual(vesselKinds.find(({ id }) => id === 'cell-24')!.vessel);
    // What was taken back is no reading.
    expect(asked.keeping.readings).toEqual([
      { day: 20, of: 'ph', value: 6.9 },
      { day: 22, of: 'ecDisplacedMSPerCm', value: 1.5 },
    ]);
    const { input, keeping } = asked;
    const sampler = new LifeSampler(input, keeping, defaultSpreads);
    sampler.draw(20);
    await asked.answer({ typical: lifeOf(input, keeping), band: sampler.result() });
    expect(said(page)).toContain('The lines go through the 2 readings of what drains');
    expect(said(page)).toMatch(/too alkaline, about day \d+, \d+ Feb/);
  });

  test('without a batch its mix is not known, and that is said', () => {
    expect(said(openPlanting({ batch: null }))).toContain('it is in no saved batch');
    expect(lives()).toHaveLength(0);
  });
});

test('how long it lasts, that it sinks, and what a chosen feed leaves behind', () => {
  const page = open();
  expect(said(page)).toMatch(/Not watered, it is dry after .* in dull weather, .* in sun and wind/);
  expect(said(page)).toMatch(/By week 8 it has sunk [\d.]+\smm to [\d.]+\smm, and holds \d+ to \d+ % of air/);
  expect(lives().at(-1)!.keeping.feedAcidMeqPerMgN).toBe(0);
  TestBed.inject(KeepingService).patch({ feed: 'calcium-nitrate' });
  TestBed.tick();
  jest.advanceTimersByTime(300);
  expect(lives().at(-1)!.keeping.feedAcidMeqPerMgN).toBeLessThan(0);
});
