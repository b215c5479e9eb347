import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { type PlantEvent } from '#core/plants/planting';
import { type PlantingLine, type Trial } from '../data/plants';
import { bench, giveLibrary, labelled, page, press, said, show, type } from '#testing/page';
import { EventSheet } from './event-sheet';
import { metric, us } from '#testing/readers';
import { eventSays, read } from '#words/read';
import { PlantCurves } from './plant-curves';
import { PlantListPage } from './plant-list';
import { PlantNew } from './plant-new';
import { TrayPicture } from './tray-picture';
import { TrialPage } from './trial-page';
import { WhatsWrong } from './whats-wrong';

let http: HttpTestingController;
/** The page counts days by its own clock, in the nursery's zone. */
const TODAY = new Date().toISOString().slice(0, 10);
const giveNursery = (): void => {
  for (const asked of http.match('/api/nursery')) asked.flush({ id: 'a', timeZone: 'UTC', today: TODAY });
  TestBed.tick();
};
const settle = async (): Promise<void> => {
  for (let i = 0; i < 20; i++) await Promise.resolve();
  TestBed.tick();
};

beforeEach(() => {
  http = bench();
});

const line: PlantingLine = {
  ...{
    id: 7,
    key: 'planting-7',
    start: 'sow',
    crop: 'tomato',
    name: 'Long Red',
    seed: '',
    vessel: 'cell-72',
    cells: 72,
  },
  ...{ perCell: 1, batch: null, on: '2031-02-01', bareRoot: false, halfFilled: false, season: null },
  ...{ from: [], trial: null, batchName: 'First', care: null, putAway: false },
  seedLot: null,
  tally: {
    begun: 72,
    entered: 60,
    alive: 50,
    lost: [{ cause: 'cold', count: 10 }],
    thinned: 0,
    moved: 0,
    out: 0,
  },
};

describe('a picture of the tray', () => {
  test('each cell is a press; a tray of 72 is six across, the last tray holds what is left', () => {
    const fixture = show(TrayPicture, { cells: 80, perTray: 72, empty: [] });
    const trays = Array.from(page(fixture).querySelectorAll<HTMLElement>('.tray'));
    expect(trays.map((tray) => tray.querySelectorAll('button').length)).toEqual([72, 8]);
    expect(trays[0]!.style.gridTemplateColumns).toContain('repeat(6,');
    const cell = (n: number): HTMLButtonElement => page(fixture).querySelectorAll('button')[n]!;
    cell(71).click();
    cell(7).click();
    TestBed.tick();
    expect(fixture.componentInstance.empty()).toEqual([7, 71]);
    expect([cell(7).getAttribute('aria-pressed'), cell(7).getAttribute('aria-label')]).toEqual([
      'true',
      'Row 2, place 2, empty',
    ]);
    cell(7).click();
    expect(fixture.componentInstance.empty()).toEqual([71]);
  });
});

describe('what happened, in two presses and a number', () => {
  const sheet = () => {
    const inputs = { problem: '', cells: 72, perTray: 72, perCell: 1, emptyBefore: [3] };
    const fixture = show(EventSheet, inputs);
    giveNursery();
    const sent: PlantEvent[] = [];
    fixture.componentInstance.entered.subscribe((event) => sent.push(event));
    return { fixture, sent };
  };

  test.each<[string, [label: string, text: string][], object]>([
    ['Came up', [['How many in all', '61']], { kind: 'up', count: 61 }],
    ['Counted', [['How many stand', '58']], { kind: 'count', alive: 58 }],
    ['Lost', [['So many', '3']], { kind: 'lost', count: 3, cause: 'damped off' }],
    ['Watered from below', [], { kind: 'watered', litres: undefined, minutes: undefined }],
    ['Topped up', [['With, L', '12']], { kind: 'topped', litres: 12 }],
    ['Height', [['Of one in the middle, mm', '85']], { kind: 'size', mm: 85 }],
    ['Weighed', [['A tray weighs, g', '3300']], { kind: 'weight', grams: 3300 }],
    ['Cold night', [['Down to, °C', '-1']], { kind: 'cold', celsius: -1 }],
    ['Planted or sold', [['So many', '5']], { kind: 'out', count: 5, way: 'planted' }],
    ['Note', [['Note', 'by the door']], { kind: 'note', text: 'by the door' }],
  ])('%s', (name, typed, event) => {
    const { fixture, sent } = sheet();
    press(fixture, name);
    for (const [label, text] of typed) type(fixture, label, text);
    press(fixture, 'Save');
    expect(sent).toEqual([{ ...event, on: TODAY }]);
  });

  test('pH and EC are read in passing, each or both', () => {
    const { fixture, sent } = sheet();
    type(fixture, 'EC of what drains, mS/cm', '0.8');
    press(fixture, 'Enter what was read');
    type(fixture, 'pH of what drains', '6.1');
    type(fixture, 'EC of what drains, mS/cm', '0.9');
    press(fixture, 'Enter what was read');
    expect(sent).toEqual([
      { kind: 'ec', on: TODAY, value: 0.8 },
      { kind: 'ph', on: TODAY, value: 6.1 },
      { kind: 'ec', on: TODAY, value: 0.9 },
    ]);
  });

  test('what is missing is said, what was typed stays until it is kept', () => {
    const { fixture, sent } = sheet();
    press(fixture, 'Counted');
    press(fixture, 'Save');
    expect([sent, said(fixture)]).toEqual([[], expect.stringContaining('not filled in yet')]);
    type(fixture, 'How many stand', '58');
    press(fixture, 'Save');
    expect(labelled(fixture, 'How many stand').value).toBe('58');
    fixture.componentInstance.done();
    TestBed.tick();
    expect(page(fixture).querySelector('form')).toBeNull();
  });

  test('cell by cell: begun from the last count; the cells go with the number while both agree', () => {
    const { fixture, sent } = sheet();
    press(fixture, 'Counted');
    press(fixture, 'By a picture of the tray');
    page(fixture).querySelectorAll<HTMLButtonElement>('.tray button')[5]!.click();
    TestBed.tick();
    expect(labelled(fixture, 'How many stand').value).toBe('70');
    press(fixture, 'Save');
    type(fixture, 'How many stand', '69');
    press(fixture, 'Save');
    expect(sent).toEqual([
      { kind: 'count', on: TODAY, alive: 70, empty: [3, 5] },
      { kind: 'count', on: TODAY, alive: 69 },
    ]);
  });
});

test('what stands, what is done with and what was put away are three lists', () => {
  const fixture = show(PlantListPage);
  http.expectOne('/api/plants?finished=no').flush([line]);
  http.expectOne('/api/plants?finished=yes').flush([]);
  http.expectOne('/api/plants?finished=away').flush([{ ...line, id: 9, name: 'By mistake', putAway: true }]);
  TestBed.tick();
  expect(said(fixture)).toContain('60 of 72 came up (83 %), 50 stand');
  expect(said(fixture)).toContain('Archived (1)');
  expect(said(fixture)).not.toContain('Done with');
  expect(page(fixture).querySelector('a[href="/plants/9"]')!.textContent).toContain('By mistake');
});

describe('sown, potted, set apart', () => {
  const form = () => {
    const fixture = show(PlantNew);
    giveNursery();
    giveLibrary(http);
    http.expectOne('/api/crops').flush([]);
    for (const asked of http.match((r) => r.url.startsWith('/api/batches'))) asked.flush([]);
    http.expectOne('/api/plants?finished=no').flush([line]);
    TestBed.tick();
    return fixture;
  };

  test('half-filled pots say so, and only pots', () => {
    const fixture = form();
    press(fixture, 'Pot plants');
    Array.from(page(fixture).querySelectorAll('label'))
      .find((label) => label.textContent.includes('Part filled'))!
      .click();
    TestBed.tick();
    press(fixture, 'Save');
    expect(http.expectOne('/api/plants').request.body).toMatchObject({ start: 'pot', halfFilled: true });
    press(fixture, 'Sow');
    expect(said(fixture)).not.toContain('Part filled');
  });

  test('set apart: from one planting, no potting sheet; what is half filled in is on the device at once', () => {
    const fixture = form();
    press(fixture, 'Set some apart');
    expect(said(fixture)).toContain('They stay in the same vessels');
    expect(said(fixture)).not.toContain('Potting sheet');
    press(fixture, 'Taken from plants you have');
    type(fixture, 'Plants of it', '20');
    expect(sessionStorage.getItem('welcome.half-done.planting.{}')).toContain('"plants":20');
    press(fixture, 'Save');
    const sent = http.expectOne('/api/plants');
    expect(sent.request.body).toMatchObject({ start: 'split', from: [{ planting: 7, plants: 20 }] });
    const why = 'from must be one planting';
    sent.flush({ title: 'Out of range', detail: why, issues: [] }, { status: 400, statusText: 'Bad' });
    TestBed.tick();
    expect(said(fixture)).toContain('Not saved:');
    expect(labelled(fixture, 'Plants of it').value).toBe('20');
  });
});

describe('a trial', () => {
  const trays = (up: (arm: number, block: number) => number | null, blocks = 3): Trial['trays'] =>
    Array.from({ length: blocks }, (_, i) => i + 1).flatMap((block) =>
      [0, 1].map((arm) => {
        const planting = 10 * block + arm;
        return {
          planting,
          key: `tray-${planting}`,
          block,
          place: arm + 1,
          arm,
          up: up(arm, block),
          alive: null,
          begun: 72,
        };
      }),
    );
  const trial = (all: Trial['trays']): Trial => ({
    ...{ id: 1, name: 'Grit', seed: 9, blocks: 3, crop: 'tomato', seedLot: '', vessel: 'cell-72', cells: 72 },
    ...{
      perCell: 1,
      on: '2031-02-01',
      arms: [
        { name: 'Plain', batch: null },
        { name: 'Grit', batch: null },
      ],
    },
    trays: all,
  });
  const shown = (all: Trial['trays']) => {
    const fixture = show(TrialPage, { id: '1' });
    http.expectOne('/api/trials/1').flush(trial(all));
    giveNursery();
    return fixture;
  };

  test('one honest sentence; trays that differ by more than chance are said beside it', () => {
    expect(said(shown(trays((arm) => (arm ? 66 : 50), 6)))).toMatch(
      /Grit did better than Plain.*Chance alone/,
    );
    http = ((): HttpTestingController => {
      TestBed.resetTestingModule();
      return bench();
    })();
    const few = said(shown(trays((arm) => (arm ? 66 : 50))));
    expect(few).toMatch(/Too few to say. Grit is ahead.*3 groups cannot tell: lay out 6 or more/);
    TestBed.resetTestingModule();
    http = bench();
    // Two trays of each: their cells are counted, and how they scatter is said.
    const wild = said(shown(trays((arm, block) => ((arm + block) % 2 ? 20 : 70), 2)));
    expect(wild).toMatch(/trays of the same mix differ by more than chance/i);
  });

  test('a tray that is not counted yet; what cannot be is said beside its tray and stays as typed', async () => {
    const fixture = shown(trays((arm, block) => (arm === 0 && block === 1 ? null : 60)));
    expect(said(fixture)).toContain('1 of 6 trays are not counted yet');
    const box = page(fixture).querySelector<HTMLInputElement>('#tray-10')!;
    box.value = '99';
    box.closest('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    TestBed.tick();
    expect(said(fixture)).toContain('A whole number from 0 to 72, not “99”');
    expect(box.value).toBe('99');
    http.expectNone('/api/plants/10/events');
    box.value = '64';
    box.closest('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const sent = http.expectOne('/api/plants/10/events');
    const { key, event } = sent.request.body as { key: string; event: object };
    expect(event).toMatchObject({ kind: 'up', count: 64, on: TODAY });
    expect(said(fixture)).not.toContain('not counted yet');
    // Taken, and the trial not told anew yet: the count stays.
    sent.flush({ id: 7, key, event, at: `${TODAY}T09:00:00Z` });
    await settle();
    expect(said(fixture)).not.toContain('not counted yet');
    // Told anew, and another has taken it back meanwhile: what is told counts.
    http
      .expectOne('/api/trials/1')
      .flush(trial(trays((arm, block) => (arm === 0 && block === 1 ? null : 60))));
    await settle();
    expect(said(fixture)).toContain('1 of 6 trays are not counted yet');
  });
});

describe('what is wrong', () => {
  test('own weights change the order, are kept, and go back to the table', async () => {
    const fixture = show(WhatsWrong, { events: [], found: {}, cells: 72, volumeL: 0.06 });
    http.expectOne('/api/plants/taught').flush([]);
    http.expectOne('/api/plants/odds').flush({});
    giveNursery();
    page(fixture).querySelectorAll<HTMLButtonElement>('.signs button')[3]!.click();
    TestBed.tick();
    const first = (): string => page(fixture).querySelector('.causes li b')!.textContent;
    expect(first()).toBe('Too cold');
    type(fixture, 'Too cold', '0');
    const sent = http.expectOne({ method: 'PUT', url: '/api/plants/odds' });
    expect(sent.request.body).toEqual({ purple: { cold: 0 } });
    sent.flush(sent.request.body as object);
    await settle();
    expect(first()).toMatch(/^Hungry/);
    expect(said(fixture)).toContain('(yours; the table says 6)');
    press(fixture, 'Back to the table');
    expect(http.expectOne({ method: 'PUT', url: '/api/plants/odds' }).request.body).toEqual({});
    await settle();
    expect(first()).toBe('Too cold');
  });
});

test('curves are in the reader’s units, each with its table', () => {
  localStorage.setItem('welcome.units', JSON.stringify('us'));
  const events = [10, 20].map((day, i) => ({
    ...{ id: i + 1, kind: 'size' as const, on: `2031-02-${day}`, mm: 25.4 * (i + 1) },
  }));
  const fixture = show(PlantCurves, { planting: line, events });
  expect(said(fixture)).toContain('Height');
  expect(Array.from(page(fixture).querySelectorAll('td')).map((cell) => cell.textContent)).toEqual([
    ...['9', '1.0', '19', '2.0'],
  ]);
});

test('a weighed tray is said in the reader’s units, heavy or light', () => {
  const says = (grams: number, system: 'metric' | 'us') =>
    read(eventSays({ kind: 'weight', on: '2031-03-01', grams }), system === 'us' ? us : metric);
  expect(says(3118, 'metric')).toBe('a tray weighs 3.12\u00a0kg');
  expect(says(3118, 'us')).toMatch(/^a tray weighs 6\.8\d?\slb$/);
  expect(says(118, 'us')).toMatch(/oz$/);
});
