import { type HttpTestingController } from '@angular/common/http/testing';
import { type ComponentRef, type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { batchSheet } from '#core/batch/sheet';
import { judgeMix } from '#core/judge/judge';
import { sampleReadings } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { recipe, type RecipeSketch } from '#testing/recipe';
import { type VesselKind } from '#core/vessel/tray';
import { amendment, vesselKind } from '#testing/library';
import { bench, giveLibrary, labelled, type } from '#testing/page';
import { RecipeStore } from '../bench/recipe-store';
import { Units } from '../data/units';
import { MiniCut } from '../ui/pictures/mini-cut';
import { CutThrough } from '../bench/cut-through';
import { findingsOf } from '#core/advise/findings';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type WayTold } from '../workers/advise.protocol';
import { FindingList } from './answer/finding-list';
import { OverTime } from './answer/over-time';
import { DoseWays } from './doses/dose-ways';
import { ReadingRuler } from './answer/reading-ruler';
import { WhereFrom } from './answer/where-from';

const good = { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 };
const judged = (parts: Record<string, number> = good, sketch: RecipeSketch = {}) =>
  judgeMix(recipe(parts, { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 }, ...sketch }));

let http: HttpTestingController;
beforeEach(() => {
  http = bench();
});

function show<T>(
  piece: Type<T>,
  inputs: Record<string, unknown>,
): { page: HTMLElement; ref: ComponentRef<T>; fixture: ComponentFixture<T> } {
  const fixture = TestBed.createComponent(piece);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  TestBed.tick();
  return { page: fixture.nativeElement as HTMLElement, ref: fixture.componentRef, fixture };
}
const said = (page: HTMLElement): string => page.textContent.replace(/\s+/g, ' ').trim();

describe('what to mind', () => {
  const { flags } = judged(good, { doses: { 'lime-dolomitic': 60, 'calcium-nitrate': 3 } });
  const { findings, care } = findingsOf({ flags });
  const way = (text: string): WayTold => ({
    ...{ edits: 1, moves: [], recipe: starterMixes.germination },
    says: {
      say: 'advise.way',
      with: {
        edits: [{ does: 'dose', what: { id: 'own-x', name: text }, gPerL: 2, wasGPerL: 60 }],
        moves: null,
      },
    },
  });

  test('each subject once, the worst open, the rest behind one press; care is one quiet line', () => {
    const { page } = show(FindingList, { findings, care, first: 1 });
    expect(findings.length).toBeGreaterThan(1);
    expect(page.querySelectorAll(':scope > ul > li')).toHaveLength(1);
    expect(said(page)).toMatch(/^\s*Stop: /);
    page.querySelector<HTMLButtonElement>('.more')!.click();
    TestBed.tick();
    expect(page.querySelectorAll(':scope > ul > li')).toHaveLength(findings.length);
    expect(said(page)).toContain('Handle with care:');
  });

  test('a way out is a press that says what it does, in the units of the reader; others behind it', () => {
    TestBed.inject(Units).use('us');
    const [first] = findings;
    const ways = new Map([
      [first!.subject, { subject: first!.subject, ways: [way('Lime'), way('Ash')], would: null }],
    ]);
    const { page, ref } = show(FindingList, { findings, care, ways, whole: true });
    const pressed: unknown[] = [];
    ref.instance.pressed.subscribe((each) => pressed.push(each));
    const button = page.querySelector<HTMLButtonElement>('.out button')!;
    expect(button.textContent).toMatch(/lb\/yd³ of Lime instead of/);
    button.click();
    expect(pressed).toEqual([way('Lime')]);
    expect(page.querySelectorAll('.out details button')).toHaveLength(1);
    expect(said(page)).not.toContain('g/L');
  });

  test('while it looks it says so; where nothing does it, what would', () => {
    const [first] = findings.filter(({ cause }) => cause.fix);
    expect(said(show(FindingList, { findings: [first] }).page)).toContain('Looking for a way out');
    const would = { say: 'advise.would-finder', with: {} };
    const ways = new Map([[first!.subject, { subject: first!.subject, ways: [], would }]]);
    const { page } = show(FindingList, { findings: [first], ways, whole: true });
    expect(said(page)).toContain('No small change puts it right here.');
    expect(page.querySelector('a')!.getAttribute('href')).toBe('/mix/finder');
  });

  test('nothing to mind is said too', () => {
    expect(said(show(FindingList, { findings: [] }).page)).toBe('Nothing to mind.');
  });
});

describe('a reading', () => {
  const judgement = judged();
  const bands = sampleReadings(judgement.input, defaultSpreads, 1, 300).bands;
  const ph = judgement.readings.find((r) => r.id === 'ph')!;
  const inputs = { reading: ph, judgement, noun: 'cell', band: bands.find((b) => b.id === 'ph') };

  test('value, window, verdict, and how sure', () => {
    const { page } = show(ReadingRuler, inputs);
    expect(said(page)).toMatch(/^pH once the lime has acted 5\.8likely 5\.\d–6\.\d5\.5–6right$/);
    const share = (of: string): number => parseFloat(page.querySelector<HTMLElement>(of)!.style.left);
    const needle = parseFloat(
      page.querySelector<HTMLElement>('.needle')!.style.transform.replace('translateX(', ''),
    );
    expect(share('.band')).toBeLessThan(needle);
    expect(share('.window')).toBeLessThan(needle);
  });

  test('asked where it is from, it opens its sum and closes again', () => {
    const { page } = show(ReadingRuler, inputs);
    const ask = page.querySelector<HTMLButtonElement>('button')!;
    expect(ask.getAttribute('aria-expanded')).toBe('false');
    ask.click();
    TestBed.tick();
    expect(ask.getAttribute('aria-expanded')).toBe('true');
    expect(said(page)).toContain('Argo & Fisher 2002');
    ask.click();
    TestBed.tick();
    expect(page.querySelector('app-where-from')).toBeNull();
  });

  test('every number that can be asked answers with words, terms and a source', () => {
    for (const of of [
      'air',
      'ph',
      'ecSaturated',
      'n',
      'overSize',
      'limeDose',
      'scooped',
      'waterToAdd',
      'wetWeight',
    ]) {
      const { page } = show(WhereFrom, { judgement, of });
      expect(page.querySelectorAll('tr').length).toBeGreaterThan(0);
      expect(said(page)).toMatch(/Source: .{5}/);
      expect(said(page)).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
});

describe('the vessel cut open', () => {
  const draw = (kind: VesselKind) =>
    show(CutThrough, { kind, evaluation: judged(good, { vessel: kind.vessel }).evaluation });

  test.each(['cell-288', 'cell-72', 'block-50', 'flat', 'pot-15'])(
    '%s is told in words that add up',
    (id) => {
      const { page } = draw(vesselKind(id));
      const label = page.querySelector('[role=img]')!.getAttribute('aria-label')!;
      const shares = [...label.matchAll(/([\d.]+) % (air|water|solid)/g)].map((m) => Number(m[1]));
      expect(shares).toHaveLength(3);
      expect(Math.abs(shares.reduce((a, b) => a + b) - 100)).toBeLessThanOrEqual(1.1);
      expect(label).toMatch(/[Ss]aturated|Drains/);
    },
  );

  test('a deeper vessel shows more air; inches with the switch', () => {
    const air = (id: string): number =>
      Number(
        /([\d.]+) % air/.exec(
          draw(vesselKind(id)).page.querySelector('[role=img]')!.getAttribute('aria-label')!,
        )![1],
      );
    expect(air('pot-15')).toBeGreaterThan(air('cell-72'));
    expect(air('cell-72')).toBeGreaterThan(air('cell-288'));
    TestBed.inject(Units).use('us');
    expect(said(draw(vesselKind('pot-15')).page)).toMatch(/\bin\b/);
  });

  test('the small cut holds all three phases inside its walls', () => {
    const { page } = show(MiniCut, { evaluation: judged().evaluation });
    const paths = [...page.querySelectorAll('path')].map((p) => p.getAttribute('d')!);
    expect(paths).toHaveLength(4);
    for (const number of paths
      .join(' ')
      .match(/[\d.]+/g)!
      .map(Number)) {
      expect(number).toBeGreaterThanOrEqual(0);
      expect(number).toBeLessThanOrEqual(48);
    }
  });
});

test('over days and weeks: opened only when asked, and says what the model says', () => {
  const judgement = judged();
  const sheet = batchSheet(judgement.evaluation, 50, 'sowing');
  const { page } = show(OverTime, { judgement, sheet, noun: 'cell' });
  expect(page.querySelector('dl')).toBeNull();
  const details = page.querySelector('details')!;
  details.open = true;
  details.dispatchEvent(new Event('toggle'));
  TestBed.tick();
  const text = said(page);
  expect(text).toContain('holds a clump and crumbs open (45 %)');
  // The lime goes on acting after a month: the last tenth comes later.
  expect(text).toMatch(/day 28 5\.[78]/);
  expect(text).toMatch(/saturated extract 0\.\d\d/);
  // The mix's own worst figures are numbers; days are the clock's.
  expect(text).not.toMatch(/week \d|day \d+: feed/);
  page.querySelector<HTMLButtonElement>('.ask')!.click();
  TestBed.tick();
  expect(page.querySelector('app-where-from')).not.toBeNull();
});

test('a dose said another way goes in by the unit that stands beside it, in US units too', () => {
  TestBed.inject(Units).use('us');
  const { page, ref, fixture } = show(DoseWays, { amendment: amendment('calcium-nitrate'), gPerL: 0.2 });
  giveLibrary(http);
  const doses: number[] = [];
  ref.instance.dosed.subscribe((gPerL) => doses.push(gPerL));
  const fold = page.querySelector('details')!;
  fold.open = true;
  fold.dispatchEvent(new Event('toggle'));
  TestBed.tick();
  type(fixture, 'So much', '2');
  expect(page.querySelector('select')!.selectedOptions[0]!.textContent.trim()).toBe('pounds to the batch');
  page.querySelector<HTMLButtonElement>('button')!.click();
  TestBed.tick();
  // 2 × 453.59 g over the litres of the job, by the definition of the pound.
  expect(doses).toEqual([expect.closeTo(907.185 / TestBed.inject(RecipeStore).litres(), 2)]);
  expect(labelled(fixture, 'So much').value).toBe('');
});
